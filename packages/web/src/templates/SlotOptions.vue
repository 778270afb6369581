<script setup lang="ts">
import { readOptions, type TemplateSlot, TERMS_BY_FACET } from '@idolon/core'
import { computed, ref } from 'vue'
import { useTask } from '../notices/notices.ts'
import PartOptions from '../series/PartOptions.vue'
import { readText } from '../shared/read-text.ts'
import { TABLE_FILES, usePickFiles } from '../shared/pick-files.ts'

/** The options of one slot: typed or pasted, one a line, from a CSV file, or from the glossary. */
const props = defineProps<{ of: TemplateSlot }>()
const emit = defineEmits<{ change: [options: string[]] }>()
const task = useTask()
const problems = ref<string[]>([])
const text = computed(() => props.of.options.join('\n'))
const terms = computed(() => (props.of.facet ? TERMS_BY_FACET[props.of.facet] : []))
const chosenTerm = ref<string | null>('')

function take(given: string, added: readonly string[] = []): void {
  const read = readOptions([...added, given].join('\n'))
  problems.value = read.problems
  emit('change', read.options)
}
const pickFile = usePickFiles({ accept: TABLE_FILES }, ([given]) => void (given && fromFile(given)))
async function fromFile(given: File): Promise<void> {
  const read = await task(() => readText(given))
  if (read === undefined) return
  const more = readOptions(read)
  take(more.options.join('\n'), props.of.options)
  problems.value = [...problems.value, ...more.problems]
}
function addTerm(): void {
  if (chosenTerm.value?.trim()) take(chosenTerm.value.trim(), props.of.options)
  chosenTerm.value = ''
}
</script>

<template>
  <div class="options">
    <v-textarea :label="`Options of ${of.name}, one a line (${of.options.length.toLocaleString('en')})`" rows="4" :model-value="text" auto-grow @change="take(($event.target as HTMLTextAreaElement).value)" />
    <p class="row-actions">
      <v-btn variant="text" @click="pickFile()">Add from a CSV file</v-btn>
      <span v-if="terms.length" class="from-glossary">
        <v-combobox v-model="chosenTerm" :items="[...terms]" :label="`A term of the glossary for ${of.name}`" hide-no-data @keydown.enter.prevent="addTerm" />
        <v-btn variant="text" :disabled="!chosenTerm?.trim()" @click="addTerm">Add</v-btn>
      </span>
      <PartOptions @add="take($event.join('\n'), of.options)" />
    </p>
    <ul v-if="problems.length" role="status"><li v-for="problem in problems.slice(0, 4)" :key="problem">{{ problem }}</li></ul>
  </div>
</template>

<style scoped>
.options {
  display: grid;
  gap: 4px;
}
.from-glossary {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
</style>
