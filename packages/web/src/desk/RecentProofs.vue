<script setup lang="ts">
import type { Proof, Run } from '@idolon/contract'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import RunRow from '../proofs/RunRow.vue'
import { counted, sayAmounts } from '../shared/said.ts'
import type { DraftSession } from './draft-session.ts'
import TrialLines from '../trial/TrialLines.vue'
import FaultSuggestions from './FaultSuggestions.vue'

/** The newest runs of the prompt. Closed, one line still says how the last one stands. */
const props = defineProps<{ promptId: string; projectId: string; runs: Run[]; session: DraftSession }>()
const emit = defineEmits<{ changed: [run: Run]; proofChanged: [proof: Proof] }>()
const open = useLocalStorage('idolon.desk-proofs', true)
const latest = computed(() => props.runs[0])
const done = computed(() => latest.value?.proofs.filter(({ state }) => state !== 'asked' && state !== 'sent').length ?? 0)
defineExpose({ show: () => (open.value = true) })
</script>

<template>
  <section class="recent" aria-label="Recent proofs">
    <p class="bar">
      <v-btn variant="text" :aria-expanded="open" @click="open = !open">{{ open ? 'Close the proofs' : 'Show the proofs' }}</v-btn>
      <span v-if="!open && latest" class="soft">Version {{ latest.version }}: {{ done }} of {{ counted(latest.proofs.length, 'result') }} back, {{ sayAmounts(latest.cost) }}</span>
      <span v-if="runs.length" class="all soft"><RouterLink :to="{ path: '/proofs/sheet', query: { prompt: promptId } }">All as a sheet</RouterLink> <RouterLink :to="{ path: '/proofs', query: { prompt: promptId } }">All by run</RouterLink></span>
    </p>
    <template v-if="open">
      <p v-if="runs.length === 0" class="soft">Nothing tried yet. The pictures that come back stay here with all that made them.</p>
      <TrialLines :prompt="promptId" />
      <FaultSuggestions :runs="runs" :session="session" :project-id="projectId" />
      <RunRow v-for="run in runs" :key="run.id" :run="run" :height="136" @changed="emit('changed', $event)" @proof-changed="emit('proofChanged', $event)" />
    </template>
  </section>
</template>

<style scoped>
.recent {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--rule);
  min-width: 0;
}
.bar {
  display: flex;
  gap: 18px;
  align-items: baseline;
}
.all {
  display: flex;
  gap: 14px;
  margin-left: auto;
}
</style>
