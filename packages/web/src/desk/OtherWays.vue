<script setup lang="ts">
import { costOf, countOf, type EngineProfile, type ReferenceUse, type Settings, sumByUnit } from '@idolon/core'
import { computed, ref, watch } from 'vue'
import { useTask } from '../notices/notices.ts'
import { PICTURES, uploadPicture } from '../proofs/upload.ts'
import { counted, sayAmounts } from '../shared/said.ts'
import { stepsBetween, type Way } from './sweep.ts'
import { usePickFiles } from '../shared/pick-files.ts'

/** Trying again with the same seeds or new ones, going through a setting, and adding a reference picture. */
const props = defineProps<{ rows: { profile: EngineProfile | undefined; settings: Settings }[]; references: ReferenceUse[]; lastSeed: number | undefined; ready: boolean }>()
const emit = defineEmits<{ try: [way: Way]; import: []; references: [references: ReferenceUse[]] }>()
const open = ref(false)
const task = useTask()

/** Settings that every engine chosen has. */
const shared = computed(() => {
  const [first, ...others] = props.rows
  return (first?.profile?.settings ?? []).filter(({ key }) => others.every(({ profile }) => profile?.settings.some((one) => one.key === key)))
})
const key = ref('')
const setting = computed(() => shared.value.find((one) => one.key === key.value) ?? shared.value[0])
const from = ref(0)
const to = ref(0)
const steps = ref(4)
watch(
  setting,
  (now) => {
    if (now?.kind !== 'number') return
    const middle = (now.max - now.min) / 2
    from.value = stepsBetween(now, now.min + middle * 0.4, now.max, 2)[0] ?? now.min
    to.value = stepsBetween(now, now.min, now.max - middle * 0.2, 2)[1] ?? now.max
  },
  { immediate: true },
)
const values = computed(() => (setting.value?.kind === 'number' ? stepsBetween(setting.value, from.value, to.value, steps.value) : (setting.value?.values ?? [])))
const results = computed(() => values.value.length * props.rows.reduce((sum, { settings }) => sum + countOf(settings), 0))
const cost = computed(() => sayAmounts(sumByUnit(props.rows.flatMap(({ profile, settings }) => (profile ? [{ unit: profile.costUnit, amount: values.value.length * costOf(profile, settings) }] : [])))))
const pickReference = usePickFiles({ accept: PICTURES }, ([file]) => {
  if (file) void task(async () => emit('references', [...props.references, { reference: (await uploadPicture(file)).sha256, role: 'layout', strength: 50 }]))
})
</script>

<template>
  <v-btn variant="text" :aria-expanded="open" aria-controls="other-ways" @click="open = !open">Other ways to try</v-btn>
  <div v-if="open" id="other-ways" class="ways">
    <p class="row-actions">
      <v-btn variant="text" :disabled="!ready || lastSeed === undefined" v-tooltip="lastSeed === undefined ? 'Nothing has been tried yet' : `Seed ${lastSeed}: what changes is what you changed`" @click="emit('try', { seed: lastSeed ?? null })">Try again, same seed</v-btn>
      <v-btn variant="text" :disabled="!ready" @click="emit('try', { seed: null })">Try again, new seeds</v-btn>
      <v-btn variant="text" :disabled="!ready" v-tooltip="'Freezes this version and waits for pictures whose maker is not known here'" @click="emit('import')">Import pictures made elsewhere</v-btn>
      <v-btn variant="text" @click="pickReference()">Add a reference picture</v-btn>
    </p>
    <p v-if="setting" class="sweep">
      Step through
      <v-select label="Setting to step through" :model-value="setting.key" @update:model-value="key = $event" :items="shared.map((one) => ({ title: one.label, value: one.key }))" />
      <template v-if="setting.kind === 'number'">
        from <v-text-field label="From" v-model.number="from" type="number" :min="setting.min" :max="setting.max" :step="setting.step" class="number" /> to
        <v-text-field label="To" v-model.number="to" type="number" :min="setting.min" :max="setting.max" :step="setting.step" class="number" /> in
        <v-text-field label="Steps" v-model.number="steps" type="number" min="2" max="12" class="number" /> steps:
      </template>
      <span class="soft">{{ values.join(', ') }}; {{ counted(results, 'result') }}, {{ cost }}</span>
      <v-btn :disabled="!ready || values.length < 2" @click="emit('try', { sweep: { key: setting.key, values } })">Try these</v-btn>
    </p>
    <p v-else-if="rows.length > 1" class="soft">The engines chosen have no setting in common to step through.</p>
  </div>
</template>

<style scoped>
.ways {
  order: 9;
  flex-basis: 100%;
  display: grid;
  gap: 10px;
  padding: 10px 0 2px 12px;
  border-left: 2px solid var(--rule);
}
.sweep {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
}
.number {
  width: 62px;
}
.file:focus-within {
  outline: 2px solid var(--accent);
  outline-offset: 2px;
}
</style>
