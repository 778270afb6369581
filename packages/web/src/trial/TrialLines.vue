<script setup lang="ts">
import { listTrials, type Trial } from '@idolon/contract'
import { shallowRef, watch } from 'vue'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'
import TrialLine from './TrialLine.vue'

/** The newest trial plans of a prompt, a project or all, each in a line. */
const props = defineProps<{ prompt?: string; project?: string }>()
const SHOWN = 3
const trials = shallowRef<Trial[]>([])
const load = async () => {
  trials.value = await call(listTrials, { query: { limit: SHOWN, ...(props.prompt ? { prompt: props.prompt } : {}), ...(props.project ? { project: props.project } : {}) } }).catch(() => trials.value)
}
watch(() => [props.prompt, props.project], () => void load(), { immediate: true })
let soon: ReturnType<typeof setTimeout> | undefined
onChange((event) => {
  if (event !== 'reset' && event.kind !== 'run' && event.kind !== 'proof') return
  clearTimeout(soon)
  soon = setTimeout(() => void load(), 500)
})
</script>

<template>
  <div v-if="trials.length" class="trials" aria-label="Trial plans" role="group">
    <TrialLine v-for="trial in trials" :key="trial.id" :trial="trial" linked @changed="load" />
  </div>
</template>

<style scoped>
.trials {
  display: grid;
  gap: 4px;
  padding: 6px 0 8px;
}
</style>
