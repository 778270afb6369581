<script setup lang="ts">
import { mdiClose, mdiContentCopy } from '@mdi/js'
import { costOf, countOf, type EngineProfile, MAX_COUNT, type Settings, sizeFor } from '@idolon/core'
import { computed } from 'vue'
import NumberField from '../shared/NumberField.vue'
import { sayAmounts } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'
import EngineSettings from './EngineSettings.vue'

/** One engine that is asked: its size, how many results, its own settings, and what these cost. */
const props = defineProps<{ profile: EngineProfile | undefined; settings: Settings; several: boolean }>()
const emit = defineEmits<{ choose: [profile: EngineProfile]; set: [changes: Record<string, string | number | undefined>]; remove: []; copy: [] }>()
const engines = useEngines()

/** The newest revision goes by the engine's name alone. */
const keyOf = (one: EngineProfile) => (engines.newest.includes(one) ? one.id : `${one.id}|${one.revision}`)
const offered = computed(() => engines.profiles.map((one) => ({ title: `${one.name} ${one.revision}`, value: keyOf(one), props: { subtitle: one.simulated ? 'simulated' : engines.isConnected(one) ? '' : 'not connected' } })))
function choose(key: string): void {
  const [id = '', revision] = key.split('|')
  const profile = engines.find(id, revision)
  if (profile) emit('choose', profile)
}
const size = computed(() => props.profile && sizeFor(props.profile, props.settings))
/** Sizes of one ratio are told apart by their pixels. */
const severalOf = (ratio: string) => (props.profile?.sizes ?? []).filter(({ aspectRatio }) => aspectRatio === ratio).length > 1
const keyOfSize = ({ aspectRatio, width }: EngineProfile['sizes'][number]) => (severalOf(aspectRatio) ? `${aspectRatio}|${width}` : aspectRatio)
const sizes = computed(() => (props.profile?.sizes ?? []).map((one) => ({ value: keyOfSize(one), title: severalOf(one.aspectRatio) ? `${one.aspectRatio}, ${one.width} × ${one.height}` : one.aspectRatio })))
function chooseSize(key: string): void {
  const [aspectRatio = '', width] = key.split('|')
  emit('set', { aspectRatio, width: width === undefined ? undefined : Number(width) })
}
const cost = computed(() => (props.profile ? sayAmounts([{ unit: props.profile.costUnit, amount: costOf(props.profile, props.settings) }]) : ''))
const count = computed(() => countOf(props.settings))
const connected = computed(() => engines.isConnected(props.profile))
const name = computed(() => (props.profile ? `${props.profile.name} ${props.profile.revision}` : 'an engine that was removed'))
</script>

<template>
  <div class="row" role="group" :aria-label="`Asked of ${name}`">
    <v-select class="engine" label="Engine" :model-value="profile ? keyOf(profile) : null" :items="offered" @update:model-value="choose($event ?? '')" />
    <v-select class="ratio" label="Aspect ratio" :model-value="size ? keyOfSize(size) : null" :items="sizes" @update:model-value="chooseSize($event ?? '')" />
    <NumberField class="count" label="Results" :min="1" :max="MAX_COUNT" integer :placeholder="String(count)" :value="settings['count']" @set="emit('set', { count: $event })" />
    <EngineSettings v-if="profile" :profile="profile" :settings="settings" :seed="!several" @set="emit('set', $event)" />
    <span class="ends">
      <span v-if="several" class="soft">{{ cost }}</span>
      <v-btn v-tooltip="'Copy for this engine: freezes this version and waits for pictures that you make there yourself'" variant="text" size="small" :icon="mdiContentCopy" :aria-label="`Copy for ${name}`" @click="emit('copy')" />
      <v-btn v-if="several" v-tooltip="'Remove this engine'" variant="text" size="small" :icon="mdiClose" :aria-label="`Remove ${name}`" @click="emit('remove')" />
    </span>
    <p v-if="profile && !connected" class="soft away">{{ profile.name }} cannot be asked from here. Copy the text for it, make the pictures there, and import them.</p>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: start;
}
.engine {
  flex: 1 1 104px;
  max-width: 190px;
}
.ratio {
  flex: 0 0 106px;
}
.count {
  flex: 0 0 72px;
}
.ends {
  display: flex;
  gap: 4px;
  align-items: center;
  margin-left: auto;
  white-space: nowrap;
}
.away {
  flex-basis: 100%;
}
</style>
