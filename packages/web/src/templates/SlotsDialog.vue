<script setup lang="ts">
import { FACETS, type OutlinePhrase, takenApart } from '@idolon/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { frameParts } from './frame-parts.ts'
import FrameText from './FrameText.vue'
import { giveTexts } from './texts-to-learn.ts'
import { shaped } from '../shared/field-rules.ts'
import { useFormCheck } from '../shared/form-check.ts'

/** Chooses which phrases of a draft become the slots of a template, and what they are called. */
const props = defineProps<{ text: string; leaveOut: string[]; phrases: readonly OutlinePhrase[]; chosen: readonly OutlinePhrase[]; title: string }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const rows = computed(() => FACETS.flatMap((facet) => props.phrases.filter((phrase) => phrase.facet === facet)))
/** Without a phrase asked for, the subject: what is swapped most often. */
const taken = ref(new Set((props.chosen.length ? props.chosen : props.phrases.filter(({ facet }) => facet === 'subject')).map(({ start }) => start)))
const names = ref<Record<number, string>>({})
const made = computed(() =>
  takenApart(
    props.text,
    props.phrases.filter(({ start }) => taken.value.has(start)).map(({ start, end, facet }) => ({ start, end, facet, ...(names.value[start]?.trim() ? { name: names.value[start].trim() } : {}) })),
  ),
)
function toggle(start: number): void {
  const next = new Set(taken.value)
  if (!next.delete(start)) next.add(start)
  taken.value = next
}
const slotName = shaped(/^\p{L}[\p{L}\p{N} _-]*$/u, 'Begins with a letter; letters, figures, spaces and hyphens.')
const { check, whenSound } = useFormCheck()
const goOn = whenSound(async () => {
  giveTexts({ body: { name: props.title.slice(0, 120), does: '', text: made.value.text, slots: made.value.slots, leaveOut: [...props.leaveOut] } })
  emit('close')
  await router.push('/shelf/templates')
})
</script>

<template>
  <v-dialog :model-value="true" max-width="680" aria-labelledby="slots-title" @update:model-value="emit('close')">
    <v-form ref="check" class="dialog slots" @submit.prevent="goOn">
      <h1 id="slots-title">Make a template</h1>
      <p>Choose what is to be swapped. What stands there now is what the slot says by itself.</p>
      <ul>
        <li v-for="phrase in rows" :key="phrase.start">
          <v-checkbox :model-value="taken.has(phrase.start)" @update:model-value="toggle(phrase.start)"><template #label><span class="soft facet">{{ phrase.facet }}</span> <span class="words">{{ phrase.text }}</span></template></v-checkbox>
          <v-text-field v-if="taken.has(phrase.start)" v-model="names[phrase.start]" :label="`Name of the slot for ${phrase.text}`" :placeholder="phrase.facet" maxlength="60" :rules="[slotName]" />
        </li>
      </ul>
      <FrameText :parts="frameParts(made.text)" />
      <p class="row-actions">
        <v-btn color="primary" variant="flat" type="submit" :disabled="taken.size === 0">Go on</v-btn>
        <v-btn @click="emit('close')">Cancel</v-btn>
      </p>
    </v-form>
  </v-dialog>
</template>

<style scoped>
.slots {
  display: grid;
  gap: 12px;
}
ul {
  display: grid;
  gap: 2px;
  max-height: 40vh;
  overflow: auto;
}
li {
  display: flex;
  gap: 14px;
  justify-content: space-between;
  align-items: baseline;
  min-height: 33px;
}
.facet {
  display: inline-block;
  width: 74px;
  font-size: 12.5px;
}
.words {
  font-family: var(--serif);
  font-size: 16px;
}
</style>
