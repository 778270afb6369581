<script setup lang="ts">
import { FACETS, type GlossaryEntry } from '@idolon/core'
import { reactive, useId } from 'vue'

/** Writes a term, or corrects one; lists are words with commas. */
const props = defineProps<{ entry?: GlossaryEntry | undefined; projectName: string | undefined }>()
const emit = defineEmits<{ save: [entry: GlossaryEntry, forProject: boolean]; cancel: [] }>()
const id = useId()
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
function save(): void {
  const lists = Object.fromEntries(LISTS.map(({ key }) => [key, split(form.lists[key])] as const).filter(([, list]) => list.length))
  const broader = form.broader.trim()
  emit('save', { term: form.term.trim(), facet: form.facet, does: form.does.trim(), ...(broader ? { broader } : {}), ...lists }, form.forProject)
}
</script>

<template>
  <form class="form" @submit.prevent="save" @keydown.escape.stop="emit('cancel')">
    <label class="labelled"><span>Term</span><input v-model="form.term" class="field" required maxlength="80" pattern=".*\S.*" @vue:mounted="({ el }: { el: unknown }) => (el as HTMLInputElement).focus()" /></label>
    <label class="labelled"><span>Facet</span><select v-model="form.facet" class="field"><option v-for="facet in FACETS" :key="facet">{{ facet }}</option></select></label>
    <label class="labelled wide"><span>What it does to a picture, in one sentence</span><input v-model="form.does" class="field" required maxlength="300" pattern=".*\S.*" /></label>
    <label class="labelled"><span>Kind of</span><input v-model="form.broader" class="field" maxlength="80" /></label>
    <label v-for="list in LISTS" :key="list.key" class="labelled"><span>{{ list.label }}: {{ list.hint }}, with commas</span><input v-model="form.lists[list.key]" class="field" /></label>
    <p v-if="projectName" class="wide" role="radiogroup" :aria-labelledby="`${id}-for`">
      <span :id="`${id}-for`" class="soft">Holds for</span>
      <label><input v-model="form.forProject" type="radio" :value="true" /> {{ projectName }}</label>
      <label><input v-model="form.forProject" type="radio" :value="false" /> all projects</label>
    </p>
    <p class="row-actions wide"><button class="do">Save the term</button><button class="plain" type="button" @click="emit('cancel')">Cancel</button></p>
  </form>
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
.field {
  width: 100%;
}
[role='radiogroup'] {
  display: flex;
  gap: 16px;
}
</style>
