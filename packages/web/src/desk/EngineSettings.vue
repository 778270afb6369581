<script setup lang="ts">
import { mdiTuneVariant } from '@mdi/js'
import { type EngineProfile, MAX_SEED, type Settings } from '@idolon/core'
import { computed } from 'vue'
import NumberField from '../shared/NumberField.vue'

/** The settings an engine has of its own, and the seed, behind one button that says which are not as usual. */
const props = defineProps<{ profile: EngineProfile; settings: Settings; seed?: boolean }>()
const emit = defineEmits<{ set: [changes: Record<string, string | number | undefined>] }>()

const changed = computed(() => [
  ...props.profile.settings.flatMap(({ key, label, default: usual }) => (props.settings[key] === undefined || props.settings[key] === usual ? [] : [`${label.toLowerCase()} ${props.settings[key]}`])),
  ...(props.seed && props.settings['seed'] !== undefined ? [`seed ${props.settings['seed']}`] : []),
])
</script>

<template>
  <v-menu attach="main" :close-on-content-click="false" location="top start">
    <template #activator="{ props: opens }">
      <v-btn v-bind="opens" class="settings" :prepend-icon="mdiTuneVariant" :aria-label="`Settings of ${profile.name}${changed.length ? `: ${changed.join(', ')}` : ''}`">{{ changed.length ? changed.join(', ') : 'Settings' }}</v-btn>
    </template>
    <div class="fields" role="group" :aria-label="`Settings of ${profile.name}`">
      <template v-for="setting in profile.settings" :key="setting.key">
        <NumberField v-if="setting.kind === 'number'" :value="settings[setting.key]" :label="setting.label" :min="setting.min" :max="setting.max" :placeholder="String(setting.default)" :hint="setting.says" persistent-hint @set="emit('set', { [setting.key]: $event })" />
        <v-select v-else :model-value="String(settings[setting.key] ?? setting.default)" :label="setting.label" :items="setting.values" :hint="setting.says" persistent-hint @update:model-value="emit('set', { [setting.key]: $event ?? setting.default })" />
      </template>
      <NumberField v-if="seed" :value="settings['seed']" label="Seed" :min="0" :max="MAX_SEED" integer placeholder="a new one each time" hint="The same seed with the same words gives the same picture." persistent-hint @set="emit('set', { seed: $event })" />
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
