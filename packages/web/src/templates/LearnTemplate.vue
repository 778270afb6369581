<script setup lang="ts">
import type { TemplateSlot } from '@idolon/core'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { ReadingClient, startReadingWorker } from '../reading/reading-client.ts'
import { textsIn } from '../shared/texts-in.ts'
import { frameParts } from './frame-parts.ts'
import FrameText from './FrameText.vue'

/** Finds the frame that texts share, with the slots in which they differ; of one text, takes it apart by what it says. */
const props = defineProps<{ begun?: readonly string[] }>()
const emit = defineEmits<{ take: [text: string, slots: TemplateSlot[]]; cancel: [] }>()
const reading = new ReadingClient(startReadingWorker)
onScopeDispose(() => reading.stop())
const MOST = 50
const given = ref((props.begun ?? []).join('\n\n'))
const texts = computed(() => textsIn(given.value, MOST))
const found = shallowRef<{ text: string; slots: TemplateSlot[]; rows: Record<string, string>[] }>()
let asked = 0
watch(texts, async (now) => {
  const mine = ++asked
  const answer = now.length ? await reading.ask('learn', { texts: now }) : undefined
  if (mine === asked) found.value = answer
}, { immediate: true })
/** A frame that is nothing but a slot says that the texts share nothing. */
const shares = computed(() => found.value !== undefined && found.value.slots.length > 0 && found.value.text.replace(/\{\{[^}]*\}\}/g, '').replace(/[\s\p{P}]/gu, '') !== '')
</script>

<template>
  <form class="learn" @submit.prevent="found && shares && emit('take', found.text, found.slots)">
    <v-textarea v-model="given" label="Two or more variants of a prompt, with an empty line between them; or one, to take it apart" rows="8" maxlength="200000" auto-grow />
    <template v-if="found && shares">
      <p class="soft">{{ texts.length === 1 ? 'Taken apart by what it says' : `What ${texts.length} texts share; filled with the values below, each comes back exactly` }}</p>
      <FrameText :parts="frameParts(found.text)" />
      <v-data-table :headers="found.slots.map(({ name }) => ({ title: name, key: name, value: (row: Record<string, string>) => row[name] || '—' }))" :items="found.rows" class="values" />
    </template>
    <p v-else-if="found" class="soft" role="status">These texts have nothing in common. Give variants of one prompt, such as the same scene with another subject.</p>
    <p class="row-actions"><v-btn color="primary" variant="flat" :disabled="!shares" type="submit">Go on with this template</v-btn><v-btn @click="emit('cancel')">Cancel</v-btn></p>
  </form>
</template>

<style scoped>
.learn {
  display: grid;
  gap: 10px;
}
.values {
  font-family: var(--serif);
}
</style>
