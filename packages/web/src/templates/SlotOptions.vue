<script setup lang="ts">
import { readOptions, type TemplateSlot, TERMS_BY_FACET } from '@idolon/core'
import { computed, ref, useTemplateRef } from 'vue'
import { useTask } from '../notices/notices.ts'
import PartOptions from '../series/PartOptions.vue'
import { readText } from '../shared/read-text.ts'

/** The options of one slot: typed or pasted, one a line, from a CSV file, or from the glossary. */
const props = defineProps<{ of: TemplateSlot }>()
const emit = defineEmits<{ change: [options: string[]] }>()
const task = useTask()
const file = useTemplateRef<HTMLInputElement>('file')
const problems = ref<string[]>([])
const text = computed(() => props.of.options.join('\n'))
const terms = computed(() => (props.of.facet ? TERMS_BY_FACET[props.of.facet] : []))
const chosenTerm = ref('')

function take(given: string, added: readonly string[] = []): void {
  const read = readOptions([...added, given].join('\n'))
  problems.value = read.problems
  emit('change', read.options)
}
async function fromFile(input: HTMLInputElement): Promise<void> {
  const [given] = input.files ?? []
  input.value = ''
  const read = given && (await task(() => readText(given)))
  if (read === undefined) return
  const more = readOptions(read)
  take(more.options.join('\n'), props.of.options)
  problems.value = [...problems.value, ...more.problems]
}
function addTerm(): void {
  if (chosenTerm.value.trim()) take(chosenTerm.value, props.of.options)
  chosenTerm.value = ''
}
</script>

<template>
  <div class="options">
    <label class="labelled"><span>Options of {{ of.name }}, one a line ({{ of.options.length.toLocaleString('en') }})</span><textarea class="field" rows="4" :value="text" @change="take(($event.target as HTMLTextAreaElement).value)" /></label>
    <p class="row-actions">
      <button type="button" class="plain" @click="file?.click()">Add from a CSV file</button>
      <span v-if="terms.length" class="from-glossary">
        <input v-model="chosenTerm" class="field" :list="`terms-${of.facet}`" :aria-label="`A term of the glossary for ${of.name}`" placeholder="a term of the glossary" @keydown.enter.prevent="addTerm" />
        <datalist :id="`terms-${of.facet}`"><option v-for="term in terms" :key="term" :value="term" /></datalist>
        <button type="button" class="plain" :disabled="!chosenTerm.trim()" @click="addTerm">Add</button>
      </span>
      <PartOptions @add="take($event.join('\n'), of.options)" />
      <input ref="file" type="file" accept=".csv,.tsv,.txt,text/csv,text/plain" class="visually-hidden" tabindex="-1" aria-hidden="true" @change="fromFile($event.target as HTMLInputElement)" />
    </p>
    <ul v-if="problems.length" role="status"><li v-for="problem in problems.slice(0, 4)" :key="problem">{{ problem }}</li></ul>
  </div>
</template>

<style scoped>
.options {
  display: grid;
  gap: 4px;
}
textarea {
  width: 100%;
  font-family: var(--serif);
  font-size: 15px;
}
.from-glossary {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
</style>
