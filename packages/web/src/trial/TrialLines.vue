<script setup lang="ts">
import { listTrials } from '@idolon/contract'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import TrialLine from './TrialLine.vue'

/** The newest trial plans of a prompt, a project or all, each in a line. */
const props = defineProps<{ prompt?: string; project?: string }>()
const SHOWN = 3
const of = () => ({ ...(props.prompt ? { prompt: props.prompt } : {}), ...(props.project ? { project: props.project } : {}) })
const { data: trials, load } = usePageData({
  key: () => ['trial lines', of()],
  read: (signal) => call(listTrials, { query: { limit: SHOWN, ...of() }, signal }),
  on: ({ kind }) => kind === 'run' || kind === 'proof',
  gatherMs: 500,
})
</script>

<template>
  <div v-if="trials?.length" class="trials" aria-label="Trial plans" role="group">
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
