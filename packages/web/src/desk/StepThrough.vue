<script setup lang="ts">
import { costOf, countOf, type EngineProfile, type Settings, sumByUnit } from '@idolon/core'
import { computed, ref, watch } from 'vue'
import { between, whole } from '../shared/field-rules.ts'
import { counted, sayAmounts } from '../shared/said.ts'
import { stepsBetween, type Way } from './sweep.ts'

/** Tries a prompt with one setting value by value, everything else alike. */
const props = defineProps<{ rows: readonly { profile: EngineProfile | undefined; settings: Settings }[] }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ try: [way: Way] }>()
const MOST_STEPS = 12

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
function start(): void {
  if (!setting.value || values.value.length < 2) return
  open.value = false
  emit('try', { sweep: { key: setting.value.key, values: values.value } })
}
</script>

<template>
  <v-dialog v-model="open" max-width="480" aria-labelledby="step-title">
    <v-form class="dialog step" @submit.prevent="start">
      <h1 id="step-title">Step through a setting</h1>
      <p v-if="!setting">The engines chosen have no setting in common to step through.</p>
      <template v-else>
        <v-select :model-value="setting.key" label="Setting" :items="shared.map((one) => ({ title: one.label, value: one.key }))" @update:model-value="key = $event" />
        <div v-if="setting.kind === 'number'" class="range">
          <v-text-field v-model.number="from" label="From" type="number" :min="setting.min" :max="setting.max" :step="setting.step" :rules="[between(setting.min, setting.max)]" />
          <v-text-field v-model.number="to" label="To" type="number" :min="setting.min" :max="setting.max" :step="setting.step" :rules="[between(setting.min, setting.max)]" />
          <v-text-field v-model.number="steps" label="Steps" type="number" min="2" :max="MOST_STEPS" :rules="[whole, between(2, MOST_STEPS)]" />
        </div>
        <p class="soft" role="status">{{ values.join(', ') }}: {{ counted(results, 'result') }}, {{ cost }}</p>
      </template>
      <p class="row-actions">
        <v-btn color="primary" variant="flat" type="submit" :disabled="!setting || values.length < 2">Try {{ counted(values.length, 'value') }}</v-btn>
        <v-btn variant="text" @click="open = false">Cancel</v-btn>
      </p>
    </v-form>
  </v-dialog>
</template>

<style scoped>
.step {
  display: grid;
  gap: 16px;
}
.range {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 10px;
}
</style>
