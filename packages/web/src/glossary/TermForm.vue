<script setup lang="ts">
import { FACETS, type GlossaryEntry } from '@idolon/core'
import { reactive } from 'vue'
import { needed } from '../shared/field-rules.ts'
import { useFormCheck } from '../shared/form-check.ts'
import { vFocusFirst } from '../shared/focus-first.ts'

/** Writes a term, or corrects one; lists are words with commas. */
const props = defineProps<{ entry?: GlossaryEntry | undefined; projectName: string | undefined }>()
const emit = defineEmits<{ save: [entry: GlossaryEntry, forProject: boolean]; cancel: [] }>()
const LISTS = [
  { key: 'also', label: 'Also written', hint: 'other ways to write it' },
  { key: 'near', label: 'Near', hint: 'terms that do nearly the same' },
  { key: 'excludes', label: 'Not with', hint: 'what cannot stand beside it' },
  { key: 'brings', label: 'Brings', hint: 'what it drags in unasked' },
  { key: 'instead', label: 'Instead', hint: 'what to say where that is not wanted' },
] as const
const given = props.entry
const form = reactive({
  term: given?.term ?? '',
  facet: given?.facet ?? FACETS[0],
  does: given?.does ?? '',
  broader: given?.broader ?? '',
  lists: Object.fromEntries(LISTS.map(({ key }) => [key, (given?.[key] ?? []).join(', ')])) as Record<(typeof LISTS)[number]['key'], string>,
  forProject: props.projectName !== undefined,
})
const split = (list: string) => [...new Set(list.split(',').map((one) => one.trim().slice(0, 80)).filter(Boolean))].slice(0, 40)
const { check, whenSound } = useFormCheck()
const save = whenSound(() => {
  const lists = Object.fromEntries(LISTS.map(({ key }) => [key, split(form.lists[key])] as const).filter(([, list]) => list.length))
  const broader = form.broader.trim()
  emit('save', { term: form.term.trim(), facet: form.facet, does: form.does.trim(), ...(broader ? { broader } : {}), ...lists }, form.forProject)
})
</script>

<template>
  <v-form ref="check" class="form" @submit.prevent="save" @keydown.escape.stop="emit('cancel')">
    <v-text-field v-model="form.term" v-focus-first label="Term" :rules="[needed]" maxlength="80" />
    <v-select v-model="form.facet" label="Facet" :items="FACETS" />
    <v-text-field v-model="form.does" label="What it does to a picture, in one sentence" :rules="[needed]" maxlength="300" class="wide" />
    <v-text-field v-model="form.broader" label="Kind of" maxlength="80" />
    <v-text-field v-for="list in LISTS" :key="list.key" v-model="form.lists[list.key]" :label="`${list.label}: ${list.hint}, with commas`" />
    <v-radio-group v-if="projectName" v-model="form.forProject" label="Holds for" inline class="wide">
      <v-radio :label="projectName" :value="true" />
      <v-radio label="all projects" :value="false" />
    </v-radio-group>
    <p class="row-actions wide"><v-btn color="primary" variant="flat" type="submit">Save the term</v-btn><v-btn variant="text" @click="emit('cancel')">Cancel</v-btn></p>
  </v-form>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 16px;
}
.wide {
  grid-column: 1 / -1;
}
</style>
