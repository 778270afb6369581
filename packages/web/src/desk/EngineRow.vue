<script setup lang="ts">
import { costOf, countOf, type EngineProfile, MAX_COUNT, type Settings, sizeFor } from '@idolon/core'
import { computed } from 'vue'
import { sayAmounts } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'

/** One engine that is asked: its size, how many results, its own settings, and what these cost. */
const props = defineProps<{ profile: EngineProfile | undefined; settings: Settings; several: boolean }>()
const emit = defineEmits<{ choose: [profile: EngineProfile]; set: [changes: Record<string, string | number | undefined>]; remove: []; copy: [] }>()
const engines = useEngines()

/** The newest revision goes by the engine's name alone. */
const keyOf = (one: EngineProfile) => (engines.newest.includes(one) ? one.id : `${one.id}|${one.revision}`)
function choose(key: string): void {
  const [id = '', revision] = key.split('|')
  const profile = engines.find(id, revision)
  if (profile) emit('choose', profile)
}
const size = computed(() => props.profile && sizeFor(props.profile, props.settings))
/** Sizes of one ratio are told apart by their pixels. */
const severalOf = (ratio: string) => (props.profile?.sizes ?? []).filter(({ aspectRatio }) => aspectRatio === ratio).length > 1
const keyOfSize = ({ aspectRatio, width }: EngineProfile['sizes'][number]) => (severalOf(aspectRatio) ? `${aspectRatio}|${width}` : aspectRatio)
const sizes = computed(() => (props.profile?.sizes ?? []).map((one) => ({ key: keyOfSize(one), said: severalOf(one.aspectRatio) ? `${one.aspectRatio}, ${one.width} × ${one.height}` : one.aspectRatio })))
function chooseSize(key: string): void {
  const [aspectRatio = '', width] = key.split('|')
  emit('set', { aspectRatio, width: width === undefined ? undefined : Number(width) })
}
const cost = computed(() => (props.profile ? sayAmounts([{ unit: props.profile.costUnit, amount: costOf(props.profile, props.settings) }]) : ''))
const count = computed(() => countOf(props.settings))
const connected = computed(() => engines.isConnected(props.profile))

/** Takes a number as it is typed, so that cost and output are always those of what stands in the fields. */
function setNumber(key: string, event: Event, min: number, max: number, whole = true): void {
  const { value: typed } = event.target as HTMLInputElement
  const value = Number(typed)
  if (typed.trim() === '') emit('set', { [key]: undefined })
  else if (Number.isFinite(value)) emit('set', { [key]: Math.min(max, Math.max(min, whole ? Math.round(value) : value)) })
}
/** Leaves in the field what was taken. */
function settle(event: Event, value: string | number | undefined): void {
  ;(event.target as HTMLInputElement).value = value === undefined ? '' : String(value)
}
</script>

<template>
  <div class="row" role="group" :aria-label="`Asked of ${profile ? `${profile.name} ${profile.revision}` : 'an engine that is gone'}`">
    <v-select label="Engine" :model-value="profile ? keyOf(profile) : ''" @update:model-value="choose($event)" :items="engines.profiles.map((engine) => ({ title: `${engine.name} ${engine.revision}${engine.simulated ? ' (simulated)' : engines.isConnected(engine) ? '' : ' (not connected)'}`, value: keyOf(engine) }))" />
    <v-select label="Aspect ratio" :model-value="size ? keyOfSize(size) : ''" @update:model-value="chooseSize($event)" :items="sizes.map((s) => ({ title: s.said, value: s.key }))" />
    <v-text-field label="Results" type="number" min="1" :max="MAX_COUNT" :placeholder="String(count)" :model-value="settings['count'] ?? ''" @input="setNumber('count', $event, 1, MAX_COUNT)" @change="settle($event, settings['count'])" class="small" />
    <template v-for="setting in profile?.settings ?? []" :key="setting.key">
      <v-text-field v-if="setting.kind === 'number'" :label="setting.label" :title="setting.says" type="number" :min="setting.min" :max="setting.max" :step="setting.step" :placeholder="String(setting.default)" :model-value="settings[setting.key] ?? ''" @input="setNumber(setting.key, $event, setting.min, setting.max, false)" @change="settle($event, settings[setting.key])" class="small" />
      <v-select v-else :label="setting.label" :title="setting.says" :model-value="String(settings[setting.key] ?? setting.default)" :items="setting.values" @update:model-value="emit('set', { [setting.key]: $event ?? setting.default })" />
    </template>
    <span class="ends">
      <span v-if="several" class="soft">{{ cost }}</span>
      <v-btn variant="text" v-tooltip="'Freezes this version and waits for pictures that you make there yourself'" @click="emit('copy')">Copy for this engine</v-btn>
      <v-btn variant="text" v-if="several" @click="emit('remove')">Remove this engine</v-btn>
    </span>
    <p v-if="profile && !connected" class="soft away">{{ profile.name }} cannot be asked from here. Copy for this engine, make the pictures there, and import them.</p>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}
.row + .row {
  padding-top: 8px;
  border-top: 1px solid var(--rule);
}
.small {
  width: 54px;
}
.row select {
  max-width: 172px;
}
.ends {
  display: flex;
  gap: 12px;
  margin-left: auto;
  padding-bottom: 6px;
  white-space: nowrap;
}
.away {
  flex-basis: 100%;
}
</style>
