<script setup lang="ts">
import { costOf, countOf, type Draft, type EngineProfile, MAX_COUNT, type Settings, sizeFor } from '@idolon/core'
import { computed } from 'vue'
import { sayAmounts } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'

/** Engine, aspect ratio, results, seed and the engine's own settings, and the button that tries the prompt. */
const props = defineProps<{ draft: Draft; starting: boolean }>()
const emit = defineEmits<{ change: [change: { engines?: Draft['engines']; settings?: Settings }]; try: [] }>()
const engines = useEngines()

const choice = computed(() => props.draft.engines[0])
const profile = computed(() => (choice.value ? engines.find(choice.value.engine, choice.value.revision) : undefined))
/** The newest revision goes by the engine's name alone, so that a prompt moves on with it. */
const keyOf = (one: EngineProfile) => (engines.newest.includes(one) ? one.id : `${one.id}|${one.revision}`)
function choose(key: string): void {
  const [engine = '', revision] = key.split('|')
  emit('change', { engines: [revision === undefined ? { engine } : { engine, revision }] })
}
const cost = computed(() => (profile.value ? sayAmounts([{ unit: profile.value.costUnit, amount: costOf(profile.value, props.draft.settings) }]) : ''))
const count = computed(() => countOf(props.draft.settings))
const size = computed(() => (profile.value ? sizeFor(profile.value, props.draft.settings) : undefined))
const connected = computed(() => engines.isConnected(profile.value))
const why = computed(() => (nothing.value ? 'Write what the picture shows first' : connected.value ? 'Ctrl Enter' : `${profile.value?.name ?? 'This engine'} is not connected; copy its output instead`))
const nothing = computed(() => props.draft.text.trim() === '')

function set(key: string, value: string | number | undefined): void {
  const { [key]: _old, ...rest } = props.draft.settings
  emit('change', { settings: value === undefined ? rest : { ...rest, [key]: value } })
}
/** Takes a number as it is typed, so that cost and output are always those of what stands in the fields. */
function setNumber(key: string, event: Event, min: number, max: number, whole = true): void {
  const { value: typed } = event.target as HTMLInputElement
  const value = Number(typed)
  if (typed.trim() === '') set(key, undefined)
  else if (Number.isFinite(value)) set(key, Math.min(max, Math.max(min, whole ? Math.round(value) : value)))
}
/** Leaves in the field what was taken. */
function settle(event: Event, value: string | number | undefined): void {
  ;(event.target as HTMLInputElement).value = value === undefined ? '' : String(value)
}
</script>

<template>
  <!-- No form: Enter in a field must never spend. -->
  <div class="settings" role="group" aria-label="How to try it">
    <label class="labelled">
      <span>Engine</span>
      <select class="field" :value="profile ? keyOf(profile) : ''" @change="choose(($event.target as HTMLSelectElement).value)">
        <option v-for="engine in engines.profiles" :key="engine.id + engine.revision" :value="keyOf(engine)">{{ engine.name }} {{ engine.revision }}{{ engine.simulated ? ' (simulated)' : engines.isConnected(engine) ? '' : ' (not connected)' }}</option>
      </select>
    </label>
    <label class="labelled">
      <span>Aspect ratio</span>
      <select class="field" :value="size?.aspectRatio" @change="set('aspectRatio', ($event.target as HTMLSelectElement).value)">
        <option v-for="s in profile?.sizes ?? []" :key="s.aspectRatio">{{ s.aspectRatio }}</option>
      </select>
    </label>
    <label class="labelled">
      <span>Results</span>
      <input class="field small" type="number" min="1" :max="MAX_COUNT" :placeholder="String(count)" :value="draft.settings['count'] ?? ''" @input="setNumber('count', $event, 1, MAX_COUNT)" @change="settle($event, draft.settings['count'])" />
    </label>
    <label class="labelled">
      <span>Seed</span>
      <input class="field seed" inputmode="numeric" placeholder="any" :value="draft.settings['seed'] ?? ''" @input="setNumber('seed', $event, 0, 2147483646)" @change="settle($event, draft.settings['seed'])" />
    </label>
    <label v-for="setting in profile?.settings ?? []" :key="setting.key" class="labelled" :title="setting.says">
      <span>{{ setting.label }}</span>
      <input
        v-if="setting.kind === 'number'"
        class="field small"
        type="number"
        :min="setting.min"
        :max="setting.max"
        :step="setting.step"
        :placeholder="String(setting.default)"
        :value="draft.settings[setting.key] ?? ''"
        @input="setNumber(setting.key, $event, setting.min, setting.max, false)"
        @change="settle($event, draft.settings[setting.key])"
      />
      <select v-else class="field" :value="draft.settings[setting.key] ?? setting.default" @change="set(setting.key, ($event.target as HTMLSelectElement).value)">
        <option v-for="value in setting.values" :key="value">{{ value }}</option>
      </select>
    </label>
    <div class="go">
      <span class="soft cost">{{ cost }}</span>
      <button class="do" :disabled="nothing || starting || !connected" :title="why" @click="emit('try')">Try it</button>
    </div>
  </div>
</template>

<style scoped>
.settings {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
}
.small {
  width: 58px;
}
.seed {
  width: 82px;
}
.go {
  margin-left: auto;
  display: flex;
  gap: 12px;
  align-items: center;
}
.cost {
  white-space: nowrap;
}
.do {
  padding-inline: 20px;
}
</style>
