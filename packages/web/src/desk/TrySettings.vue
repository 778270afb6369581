<script setup lang="ts">
import { costOf, type Draft, ELSEWHERE, type EngineChoice, type EngineProfile, type Settings, settingsFor, sumByUnit } from '@idolon/core'
import { computed } from 'vue'
import { sayAmounts } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'
import EngineRow from './EngineRow.vue'
import OtherWays from './OtherWays.vue'
import ReferenceRows from './ReferenceRows.vue'
import type { Way } from './sweep.ts'

/** The engines that are asked, each with what it is asked for; the seed; what it costs in all; and the button that tries the prompt. */
const props = defineProps<{ draft: Draft; starting: boolean; lastSeed?: number | undefined }>()
const emit = defineEmits<{ change: [change: Partial<Draft>]; try: [way?: Way]; copyFor: [choice: EngineChoice] }>()
const engines = useEngines()
const MOST = 12

const rows = computed(() => props.draft.engines.map((choice) => ({ choice, profile: engines.find(choice.engine, choice.revision), settings: settingsFor(props.draft, choice) })))
const several = computed(() => rows.value.length > 1)
const costs = computed(() => sumByUnit(rows.value.flatMap(({ profile, settings }) => (profile ? [{ unit: profile.costUnit, amount: costOf(profile, settings) }] : []))))
const nothing = computed(() => props.draft.text.trim() === '')
const unconnected = computed(() => rows.value.filter(({ profile }) => !engines.isConnected(profile)).map(({ profile, choice }) => profile?.name ?? choice.engine))
const why = computed(() => (nothing.value ? 'Write what the picture shows first' : unconnected.value.length ? `${unconnected.value.join(' and ')} cannot be asked from here; copy the output instead, or leave it out` : 'Ctrl Enter'))
const ready = computed(() => !nothing.value && !props.starting && rows.value.length > 0 && unconnected.value.length === 0)

const setEngines = (list: EngineChoice[]) => emit('change', { engines: list })
/** The newest revision goes by the engine's name alone, so that a prompt moves on with it. */
const choiceOf = (profile: EngineProfile): EngineChoice => (engines.newest.includes(profile) ? { engine: profile.id } : { engine: profile.id, revision: profile.revision })
const choose = (i: number, profile: EngineProfile) => {
  const { settings } = props.draft.engines[i]!
  setEngines(props.draft.engines.with(i, { ...choiceOf(profile), ...(settings ? { settings } : {}) }))
}
function add(): void {
  // One that is not asked yet, before the same one a second time.
  const next = engines.newest.find((profile) => !props.draft.engines.some(({ engine }) => engine === profile.id)) ?? engines.newest[0]
  if (next) setEngines([...props.draft.engines, choiceOf(next)])
}
/** Of one engine alone a setting is the draft's; of several each has its own. */
function set(i: number, changes: Record<string, string | number | undefined>): void {
  const { settings: own, ...bare } = props.draft.engines[i]!
  const changed = (settings: Settings = {}): Settings =>
    Object.fromEntries(Object.entries({ ...settings, ...changes }).filter((entry): entry is [string, string | number] => entry[1] !== undefined))
  const without = (settings: Settings = {}): Settings => Object.fromEntries(Object.entries(settings).filter(([key]) => !(key in changes)))
  const withOwn = (settings: Settings): EngineChoice => (Object.keys(settings).length ? { ...bare, settings } : bare)
  if (several.value) setEngines(props.draft.engines.with(i, withOwn(changed(own))))
  else emit('change', { settings: changed(props.draft.settings), ...(own ? { engines: [withOwn(without(own))] } : {}) })
}
function setSeed(event: Event): void {
  const { value: typed } = event.target as HTMLInputElement
  const { seed: _, ...rest } = props.draft.settings
  if (typed.trim() === '') emit('change', { settings: rest })
  else if (/^\d+$/.test(typed.trim())) emit('change', { settings: { ...rest, seed: Math.min(2_147_483_646, Number(typed)) } })
}
</script>

<template>
  <!-- No form: Enter in a field must never spend. -->
  <div class="settings" role="group" aria-label="How to try it">
    <EngineRow
      v-for="(row, i) in rows"
      :key="i"
      :profile="row.profile"
      :settings="row.settings"
      :several="several"
      @choose="choose(i, $event)"
      @set="set(i, $event)"
      @remove="setEngines(draft.engines.toSpliced(i, 1))"
      @copy="emit('copyFor', row.choice)"
    />
    <ReferenceRows v-if="draft.references.length" :references="draft.references" @change="emit('change', { references: $event })" />
    <div class="last">
      <v-btn variant="text" :disabled="rows.length >= MOST" @click="add">{{ rows.length ? 'Ask another engine too' : 'Choose an engine' }}</v-btn>
      <OtherWays :rows="rows" :references="draft.references" :last-seed="lastSeed" :ready="ready" @try="emit('try', $event)" @import="emit('copyFor', { engine: ELSEWHERE.id })" @references="emit('change', { references: $event })" />
      <v-text-field label="Seed" inputmode="numeric" placeholder="any" :model-value="draft.settings['seed'] ?? ''" @input="setSeed" class="seed" />
      <div class="go">
        <span class="soft cost">{{ rows.length ? sayAmounts(costs) : '' }}</span>
        <v-btn color="primary" variant="flat" :disabled="!ready" v-tooltip="why" @click="emit('try')">Try it</v-btn>
      </div>
    </div>
  </div>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 10px;
}
.last {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
}
.seed {
  display: flex;
  gap: 6px;
  align-items: center;
}
.seed input {
  width: 92px;
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
