<script setup lang="ts">
import type { EngineChoice, EngineProfile } from '@idolon/core'
import { computed, ref } from 'vue'
import PartOptions from '../series/PartOptions.vue'
import { useEngines } from '../stores/engines.ts'
import { nameOf, type Varied } from './trial-setup.ts'

/** One thing that varies, with its options: words one a line, engines to tick, values of a setting with commas. */
const props = defineProps<{ varied: Varied; offered: readonly string[]; profiles: readonly EngineProfile[] }>()
const emit = defineEmits<{ options: [options: (string | number | EngineChoice)[]]; rename: [name: string]; remove: [] }>()
const engines = useEngines()
const added = ref<string | null>('')
const lines = computed(() => (props.varied.kind === 'words' ? props.varied.options.join('\n') : ''))
const isChosen = ({ id, revision }: EngineProfile) => props.varied.kind === 'engine' && props.varied.options.some((one) => engines.find(one.engine, one.revision) === engines.find(id, revision))

function words(text: string): void {
  const options = text.split('\n').map((line) => line.trim().slice(0, 500))
  // An empty line in the middle means that nothing stands there; at the end it is only where one writes on.
  const last = options.findLastIndex(Boolean)
  emit('options', [...new Set(options.slice(0, last + 1))].slice(0, 60))
}
function add(): void {
  if (props.varied.kind === 'words' && added.value?.trim()) emit('options', [...new Set([...props.varied.options, added.value?.trim()])].slice(0, 60))
  added.value = ''
}
const addAll = (options: string[]) => props.varied.kind === 'words' && emit('options', [...new Set([...props.varied.options, ...options])].slice(0, 60))
function tick({ id, revision }: EngineProfile): void {
  if (props.varied.kind !== 'engine') return
  const rest = props.varied.options.filter((one) => engines.find(one.engine, one.revision) !== engines.find(id, revision))
  emit('options', rest.length < props.varied.options.length ? rest : [...rest, { engine: id, revision }])
}
function values(text: string): void {
  const list = text.split(',').map((one) => one.trim()).filter(Boolean)
  emit('options', [...new Set(list)].slice(0, 60).map((one) => (/^-?\d+(?:\.\d+)?$/.test(one) ? Number(one) : one)))
}
</script>

<template>
  <li class="varied">
    <div class="head">
      <v-text-field v-if="varied.kind === 'words'" label="What it is called" :model-value="varied.name" maxlength="60" class="name" @change="emit('rename', ($event.target as HTMLInputElement).value)" />
      <strong v-else class="name">{{ nameOf(varied) }}</strong>
      <span class="soft">{{ varied.options.length }} {{ varied.options.length === 1 ? 'option' : 'options' }}</span>
      <v-btn variant="text" :aria-label="`Do not vary ${nameOf(varied)}`" @click="emit('remove')">Remove</v-btn>
    </div>
    <div v-if="varied.kind === 'words'">
      <v-textarea :label="`Options of ${varied.name}, one a line`" :rows="Math.min(8, Math.max(2, varied.options.length))" placeholder="one a line" :model-value="lines" auto-grow @change="words(($event.target as HTMLTextAreaElement).value)" />
      <p class="add">
        <v-combobox v-model="added" :items="[...offered]" :label="`Another option for ${varied.name}`" placeholder="rust red" maxlength="500" hide-no-data @keydown.enter.prevent="add" />
        <v-btn variant="text" :disabled="!added?.trim()" @click="add">Add</v-btn>
        <PartOptions @add="addAll" />
        <v-btn v-tooltip="'One option in which nothing stands there'" variant="text" :disabled="varied.options.includes('')" @click="emit('options', [...varied.options, ''])">Add “nothing”</v-btn>
      </p>
    </div>
    <p v-else-if="varied.kind === 'engine'" class="ticks">
      <v-checkbox v-for="profile in profiles" :key="`${profile.id} ${profile.revision}`" :label="`${profile.name} ${profile.revision}`" :model-value="isChosen(profile)" @update:model-value="tick(profile)" />
    </p>
    <v-text-field v-else :label="`Values of ${varied.key}, with commas`" :model-value="varied.options.join(', ')" class="wide" @change="values(($event.target as HTMLInputElement).value)" />
  </li>
</template>

<style scoped>
.varied {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: 6px 14px;
  padding: 8px 0;
  border-top: 1px solid var(--rule);
}
.head {
  display: grid;
  gap: 2px;
  align-content: start;
  justify-items: start;
}
.add,
.ticks {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
}
.name {
  width: 100%;
  padding: 1px 4px;
  margin-left: -5px;
  border: 1px solid transparent;
  background: none;
  font-weight: 600;
}
.wide {
  width: 100%;
}
</style>
