<script setup lang="ts">
import { mdiTuneVariant } from '@mdi/js'
import type { EngineProfile, Settings } from '@idolon/core'
import { computed } from 'vue'
import { between, whole } from '../shared/field-rules.ts'

/** The settings an engine has of its own, and the seed, behind one button that says which are not as usual. */
const props = defineProps<{ profile: EngineProfile; settings: Settings; seed?: boolean }>()
const emit = defineEmits<{ set: [changes: Record<string, string | number | undefined>] }>()
const MAX_SEED = 2_147_483_646

const changed = computed(() => [
  ...props.profile.settings.flatMap(({ key, label, default: usual }) => (props.settings[key] === undefined || props.settings[key] === usual ? [] : [`${label.toLowerCase()} ${props.settings[key]}`])),
  ...(props.seed && props.settings['seed'] !== undefined ? [`seed ${props.settings['seed']}`] : []),
])
/** Takes a number as it is typed while it is one that the engine takes, so that cost and output are those of what stands in the fields. */
function setNumber(key: string, typed: unknown, min: number, max: number, whole: boolean): void {
  const text = String(typed ?? '').trim()
  const value = Number(text)
  if (text === '') emit('set', { [key]: undefined })
  else if (Number.isFinite(value) && value >= min && value <= max && (!whole || Number.isInteger(value))) emit('set', { [key]: value })
}
</script>

<template>
  <v-menu :close-on-content-click="false" location="top start">
    <template #activator="{ props: opens }">
      <v-btn v-bind="opens" class="settings" :prepend-icon="mdiTuneVariant" :aria-label="`Settings of ${profile.name}${changed.length ? `: ${changed.join(', ')}` : ''}`">{{ changed.length ? changed.join(', ') : 'Settings' }}</v-btn>
    </template>
    <div class="fields" role="group" :aria-label="`Settings of ${profile.name}`">
      <template v-for="setting in profile.settings" :key="setting.key">
        <v-text-field
          v-if="setting.kind === 'number'"
          :model-value="settings[setting.key] ?? ''"
          :label="setting.label"
          type="number"
          :min="setting.min"
          :max="setting.max"
          :step="setting.step"
          :placeholder="String(setting.default)"
          :hint="setting.says"
          persistent-hint
          :rules="[between(setting.min, setting.max)]"
          @update:model-value="setNumber(setting.key, $event, setting.min, setting.max, false)"
        />
        <v-select v-else :model-value="String(settings[setting.key] ?? setting.default)" :label="setting.label" :items="setting.values" :hint="setting.says" persistent-hint @update:model-value="emit('set', { [setting.key]: $event ?? setting.default })" />
      </template>
      <v-text-field v-if="seed" :model-value="settings['seed'] ?? ''" label="Seed" inputmode="numeric" placeholder="a new one each time" hint="The same seed with the same words gives the same picture." persistent-hint :rules="[whole, between(0, MAX_SEED)]" @update:model-value="setNumber('seed', $event, 0, MAX_SEED, true)" />
    </div>
  </v-menu>
</template>

<style scoped>
.settings {
  max-width: 260px;
}
.settings :deep(.v-btn__content) {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
}
.fields {
  display: grid;
  gap: 14px;
  width: 320px;
  max-height: 70vh;
  overflow: auto;
  padding: 16px 14px 14px;
  background: var(--sheet);
  border: 1px solid var(--rule-strong);
}
</style>
