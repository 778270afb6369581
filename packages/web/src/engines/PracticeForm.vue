<script setup lang="ts" generic="Fault extends string">
import { ref } from 'vue'
import NumberField from '../shared/NumberField.vue'

/** Faults on purpose, for practice: which, and how often, until the simulated services behave again. */
const props = defineProps<{ label: string; act: string; faults: Readonly<Record<Fault, string>>; first: Fault }>()
const emit = defineEmits<{ misbehave: [fault: Fault, times: number]; behave: [] }>()
const fault = ref<Fault>(props.first)
const times = ref(1)
</script>

<template>
  <form class="line" @submit.prevent="emit('misbehave', fault as Fault, times)">
    <v-select v-model="fault" :label="label" class="practice" :items="Object.entries<string>(faults).map(([key, says]) => ({ title: says, value: key }))" />
    <NumberField label="How many times" :min="1" :max="100" integer :value="times" class="times" @set="$event !== undefined && (times = $event)" />
    <v-btn type="submit">{{ act }}</v-btn>
    <slot />
    <v-btn variant="text" @click="emit('behave')">Behave again</v-btn>
  </form>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: end;
}
.practice {
  flex: 1 1 260px;
}
.times {
  width: 130px;
}
</style>
