<script setup lang="ts">
import { countFaultsOf, type Run } from '@idolon/contract'
import { countFaults, suggestFromFaults } from '@idolon/core'
import { computed } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useNotices } from '../notices/notices.ts'
import { useEngines } from '../stores/engines.ts'
import type { DraftSession } from './draft-session.ts'

/** Faults that came again in the newest runs of the version last tried, and what may be changed against each by one press. */
const props = defineProps<{ runs: Run[]; session: DraftSession; projectId: string }>()
const engines = useEngines()
const notices = useNotices()

const proofs = computed(() => props.runs.filter(({ versionId }) => versionId === props.runs[0]?.versionId).flatMap((run) => run.proofs.filter(({ picture, verdict, faults }) => picture && (verdict || faults.length))))
const counted = computed(() => countFaults(proofs.value))
/** What is known of the project's faults, once there are some here. */
const { data: record } = usePageData({
  key: () => (counted.value.length ? ['faults', props.projectId, counted.value] : undefined),
  read: (signal) => call(countFaultsOf, { query: { project: props.projectId }, signal }),
  keepBefore: true,
})
const suggestions = computed(() => {
  const read = props.session.reading.reading.value
  const draft = props.session.draft.value
  if (!read || read.text !== draft.text) return []
  return suggestFromFaults({ draft, phrases: read.reading.phrases, profiles: engines.profiles.filter((profile) => engines.isConnected(profile)), counts: counted.value, record: record.value ?? [] }).filter(({ offers }) => offers.length)
})
function take(offer: (typeof suggestions.value)[number]['offers'][number]): void {
  props.session.apply(offer.edit)
  notices.show(`Done: ${offer.label}.`, { action: { label: 'Undo', run: props.session.undo } })
}
</script>

<template>
  <section v-if="suggestions.length" class="suggestions" aria-label="Against repeated faults">
    <div v-for="one in suggestions" :key="one.reason" class="one">
      <p>{{ one.reason }}</p>
      <p class="offers"><v-btn v-for="offer in one.offers" :key="offer.label" variant="text" @click="take(offer)">{{ offer.label }}</v-btn></p>
    </div>
  </section>
</template>

<style scoped>
.suggestions {
  display: grid;
  gap: 8px;
  padding: 2px 0 2px 12px;
  border-left: 2px solid var(--accent);
}
.offers {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}
</style>
