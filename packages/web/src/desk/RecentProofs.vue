<script setup lang="ts">
import type { Proof, Run } from '@idolon/contract'
import RunRow from '../proofs/RunRow.vue'
import TrialLines from '../trial/TrialLines.vue'
import type { DraftSession } from './draft-session.ts'
import FaultSuggestions from './FaultSuggestions.vue'

/** The newest runs of the prompt, and what may be changed against faults that came again. */
defineProps<{ promptId: string; projectId: string; runs: Run[]; session: DraftSession }>()
const emit = defineEmits<{ changed: [run: Run]; proofChanged: [proof: Proof] }>()
const HEIGHT = 92
</script>

<template>
  <section class="recent" aria-label="Tries">
    <p v-if="runs.length === 0" class="soft">Nothing tried yet. The pictures that come back stay here with all that made them.</p>
    <p v-else class="soft"><RouterLink :to="{ path: '/proofs/sheet', query: { prompt: promptId } }">All as a sheet</RouterLink>, <RouterLink :to="{ path: '/proofs', query: { prompt: promptId } }">all by run</RouterLink></p>
    <TrialLines :prompt="promptId" />
    <FaultSuggestions :runs="runs" :session="session" :project-id="projectId" />
    <RunRow v-for="run in runs" :key="run.id" :run="run" :height="HEIGHT" @changed="emit('changed', $event)" @proof-changed="emit('proofChanged', $event)" />
  </section>
</template>

<style scoped>
.recent {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  min-width: 0;
}
</style>
