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
const added = ref('')
const lines = computed(() => (props.varied.kind === 'words' ? props.varied.options.join('\n') : ''))
const isChosen = ({ id, revision }: EngineProfile) => props.varied.kind === 'engine' && props.varied.options.some((one) => engines.find(one.engine, one.revision) === engines.find(id, revision))

function words(text: string): void {
  const options = text.split('\n').map((line) => line.trim().slice(0, 500))
  // An empty line in the middle means that nothing stands there; at the end it is only where one writes on.
  const last = options.findLastIndex(Boolean)
  emit('options', [...new Set(options.slice(0, last + 1))].slice(0, 60))
}
function add(): void {
  if (props.varied.kind === 'words' && added.value.trim()) emit('options', [...new Set([...props.varied.options, added.value.trim()])].slice(0, 60))
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
      <input v-if="varied.kind === 'words'" class="name" :value="varied.name" aria-label="What it is called" maxlength="60" @change="emit('rename', ($event.target as HTMLInputElement).value)" />
      <strong v-else class="name">{{ nameOf(varied) }}</strong>
      <span class="soft">{{ varied.options.length }} {{ varied.options.length === 1 ? 'option' : 'options' }}</span>
      <button class="plain" :aria-label="`Leave ${nameOf(varied)} as it is`" @click="emit('remove')">Leave as it is</button>
    </div>
    <div v-if="varied.kind === 'words'">
      <textarea class="field" :rows="Math.min(8, Math.max(2, varied.options.length))" :aria-label="`Options of ${varied.name}, one a line`" placeholder="one a line" :value="lines" @change="words(($event.target as HTMLTextAreaElement).value)" />
      <p class="add">
        <input v-model="added" class="field" :list="`offered-${varied.start}`" :aria-label="`Another option for ${varied.name}`" placeholder="another, or a term" maxlength="500" @keydown.enter.prevent="add" />
        <datalist :id="`offered-${varied.start}`"><option v-for="term in offered" :key="term" :value="term" /></datalist>
        <button class="plain" :disabled="!added.trim()" @click="add">Add</button>
        <PartOptions @add="addAll" />
        <button class="plain" :disabled="varied.options.includes('')" title="One option in which nothing stands there" @click="emit('options', [...varied.options, ''])">Add “nothing”</button>
      </p>
    </div>
    <p v-else-if="varied.kind === 'engine'" class="ticks">
      <label v-for="profile in profiles" :key="`${profile.id} ${profile.revision}`"><input type="checkbox" :checked="isChosen(profile)" @change="tick(profile)" /> {{ profile.name }} {{ profile.revision }}</label>
    </p>
    <input v-else class="field wide" :aria-label="`Values of ${varied.key}, with commas`" :value="varied.options.join(', ')" @change="values(($event.target as HTMLInputElement).value)" />
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
input.name:hover,
input.name:focus {
  border-color: var(--rule-strong);
}
textarea {
  width: 100%;
  font-family: var(--serif);
  font-size: 15.5px;
}
.add .field {
  flex: 1;
}
.wide {
  width: 100%;
}
</style>
