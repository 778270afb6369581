<script setup lang="ts">
import { addPart } from '@idolon/contract'
import { aspectFor, canBeSaidOf, type FoundPhrase, isMadeOf, PART_KINDS, partFromPhrases, type PartKind, partProblems, referenceFor } from '@idolon/core'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { needed } from '../shared/field-rules.ts'

/** Makes a character, a place or a style of phrases that a draft says or a picture gives. */
const props = defineProps<{ phrases: readonly FoundPhrase[]; projectId: string; from: string; picture?: string | undefined }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const notices = useNotices()
const task = useTask()
const TITLES: Readonly<Record<PartKind, string>> = { character: 'a character', place: 'a place', style: 'a style' }
const kind = ref<PartKind>('character')
const name = ref('')
const rows = computed(() => props.phrases.filter(({ facet }) => canBeSaidOf(kind.value, facet)))
/** Those that surely belong to such a part are taken at first. */
const taken = ref<boolean[]>([])
watch(rows, (now) => (taken.value = now.map(({ facet }) => isMadeOf(kind.value, facet))), { immediate: true })
const withPicture = ref(true)
const body = computed(() => {
  const made = partFromPhrases(kind.value, name.value.trim() || 'without a name', rows.value.filter((_, i) => taken.value[i]))
  return props.picture && withPicture.value ? { ...made, references: [referenceFor(kind.value, props.picture)] } : made
})
const says = computed(() => [...body.value.says.map(({ text }) => text), ...body.value.variants.map(({ aspect, text }) => `${aspect}: ${text}`)])
/** What was taken and is not said: it repeats or contradicts what comes before it. */
const passed = computed(() => rows.value.filter(({ text }, i) => taken.value[i] && !says.value.some((one) => one.includes(text.trim().replace(/[\s.,;]+$/, '')))))
const make = () =>
  task(async () => {
    const id = crypto.randomUUID()
    await call(addPart, { body: { id, projectId: props.projectId, body: body.value, why: `From ${props.from}.`.slice(0, 2_000) } })
    emit('close')
    notices.show(`“${body.value.name}” is ${TITLES[kind.value]} of this project now.`, { action: { label: 'Open it', run: () => void router.push(`/parts/${id}`) } })
  })
const wrong = computed(() => partProblems(body.value)[0])
</script>

<template>
  <v-dialog :model-value="true" max-width="620" aria-labelledby="make-part-title" @update:model-value="emit('close')">
    <form class="dialog make-part" @submit.prevent="make">
      <h1 id="make-part-title">Make a part of it</h1>
      <v-radio-group v-model="kind" label="What it becomes" inline><v-radio v-for="one in PART_KINDS" :key="one" :label="TITLES[one]" :value="one" /></v-radio-group>
      <v-text-field v-model="name" label="Its name, as scenes will call it" maxlength="120" :rules="[needed]" />
      <p v-if="!rows.length" class="soft">Nothing here belongs to {{ TITLES[kind] }}. It begins empty, and you write what it says.</p>
      <ul>
        <li v-for="({ facet, text }, i) in rows" :key="i"><v-checkbox :model-value="taken[i] ?? false" @update:model-value="taken[i] = $event === true"><template #label><span class="words">{{ text }}</span> <span class="soft">{{ facet }}{{ aspectFor(kind, { facet, text }) ? `, may change: ${aspectFor(kind, { facet, text })}` : '' }}</span></template></v-checkbox></li>
      </ul>
      <p v-if="passed.length" class="soft">Passed over, since it repeats or contradicts another: {{ passed.map(({ text }) => `“${text}”`).join(', ') }}.</p>
      <v-checkbox v-if="picture" v-model="withPicture" label="the picture goes along as its reference" />
      <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
      <p class="row-actions">
        <v-btn color="primary" variant="flat" type="submit" :disabled="!name.trim() || !!wrong">Make {{ TITLES[kind] }}</v-btn>
        <v-btn @click="emit('close')">Cancel</v-btn>
      </p>
    </form>
  </v-dialog>
</template>

<style scoped>
.make-part {
  display: grid;
  gap: 12px;
}
ul {
  max-height: 300px;
  overflow: auto;
}
li {
  padding: 3px 0;
  border-top: 1px solid var(--rule);
}
.words {
  font-family: var(--serif);
  font-size: 15.5px;
}
.problem {
  padding-left: 10px;
  border-left: 2px solid var(--accent);
}
</style>
