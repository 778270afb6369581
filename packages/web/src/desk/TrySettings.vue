<script setup lang="ts">
import { mdiChevronDown, mdiPlus } from '@mdi/js'
import { costOf, type Draft, ELSEWHERE, type EngineChoice, type EngineProfile, type Settings, settingsFor, sumByUnit } from '@idolon/core'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useTask } from '../notices/notices.ts'
import { PICTURES, uploadPicture } from '../proofs/upload.ts'
import ChoiceMenu from '../shared/ChoiceMenu.vue'
import { usePickFiles } from '../shared/pick-files.ts'
import { sayAmounts } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'
import EngineRow from './EngineRow.vue'
import type { Way } from './sweep.ts'

const ReferenceRows = defineAsyncComponent(() => import('./ReferenceRows.vue'))
const StepThrough = defineAsyncComponent(() => import('./StepThrough.vue'))

/** The engines that are asked, each with what it is asked for; what it costs in all; and the button that tries the prompt. */
const props = defineProps<{ draft: Draft; starting: boolean; lastSeed?: number | undefined }>()
const emit = defineEmits<{ change: [change: Partial<Draft>]; try: [way?: Way]; copyFor: [choice: EngineChoice] }>()
const engines = useEngines()
const task = useTask()
const MOST = 12
const stepping = ref(false)

/** Of the draft what this is of: a key in the text changes none of it. */
const choices = computed(() => props.draft.engines)
const settings = computed(() => props.draft.settings)
const rows = computed(() => choices.value.map((choice) => ({ choice, profile: engines.find(choice.engine, choice.revision), settings: settingsFor({ settings: settings.value }, choice) })))
const several = computed(() => rows.value.length > 1)
const costs = computed(() => sumByUnit(rows.value.flatMap(({ profile, settings }) => (profile ? [{ unit: profile.costUnit, amount: costOf(profile, settings) }] : []))))
const nothing = computed(() => props.draft.text.trim() === '')
const unconnected = computed(() => rows.value.filter(({ profile }) => !engines.isConnected(profile)).map(({ profile, choice }) => profile?.name ?? choice.engine))
const why = computed(() => (nothing.value ? 'Write what the picture shows first' : unconnected.value.length ? `${unconnected.value.join(' and ')} cannot be asked from here; copy the output instead, or remove it` : 'Ctrl Enter'))
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
const pickReference = usePickFiles({ accept: PICTURES }, ([file]) => {
  if (file) void task(async () => emit('change', { references: [...props.draft.references, { reference: (await uploadPicture(file)).sha256, role: 'layout', strength: 50 }] }))
})

const ways = computed(() => [
  ...(ready.value && props.lastSeed !== undefined ? [{ title: 'Try again, same seed', value: 'same', detail: `Seed ${props.lastSeed}: what changes is what you changed` }] : []),
  ...(ready.value ? [{ title: 'Try again, new seeds', value: 'new' }, { title: 'Step through a setting …', value: 'step' }] : []),
  { title: 'Add a reference picture …', value: 'reference' },
  ...(nothing.value ? [] : [{ title: 'Import pictures made elsewhere', value: 'elsewhere', detail: 'Freezes this version and waits for them' }]),
])
const act: Readonly<Record<string, () => void>> = {
  same: () => emit('try', { seed: props.lastSeed ?? null }),
  new: () => emit('try', { seed: null }),
  step: () => (stepping.value = true),
  reference: () => pickReference(),
  elsewhere: () => emit('copyFor', { engine: ELSEWHERE.id }),
}
</script>

<template>
  <!-- No form: Enter in a field must never spend. -->
  <div class="settings" role="group" aria-label="How to try it">
    <div class="rows">
      <EngineRow
        v-for="(row, i) in rows"
        :key="i"
        v-memo="[row, several]"
        :profile="row.profile"
        :settings="row.settings"
        :several="several"
        @choose="choose(i, $event)"
        @set="set(i, $event)"
        @remove="setEngines(draft.engines.toSpliced(i, 1))"
        @copy="emit('copyFor', row.choice)"
      />
      <ReferenceRows v-if="draft.references.length" :references="draft.references" @change="emit('change', { references: $event })" />
    </div>
    <div class="go">
      <v-btn variant="text" :prepend-icon="mdiPlus" :disabled="rows.length >= MOST" @click="add">{{ rows.length ? 'Add an engine' : 'Choose an engine' }}</v-btn>
      <ChoiceMenu label="Other ways to try" :icon="mdiChevronDown" :items="ways" @choose="act[$event]?.()" />
      <span class="cost">{{ rows.length ? sayAmounts(costs) : '' }}</span>
      <v-btn v-tooltip="why" class="try" color="primary" variant="flat" :disabled="!ready" :loading="starting" @click="emit('try')">Try it</v-btn>
    </div>
    <StepThrough v-if="stepping" v-model="stepping" :rows="rows" @try="emit('try', $event)" />
  </div>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 6px;
}
.rows {
  display: grid;
  gap: 11px;
  padding-top: 5px;
}
.go {
  display: flex;
  gap: 4px;
  align-items: center;
}
.cost {
  margin: 0 10px 0 auto;
  white-space: nowrap;
}
.try {
  min-width: 92px;
}
</style>
