import type { Run, Version } from '@idolon/contract'
import type { Draft } from '@idolon/core'
import { computed, type Ref } from 'vue'
import type { DraftSession } from './draft-session.ts'
import { useDifferences } from './use-differences.ts'

/** What has changed in the draft since the version last tried: text, marks, list, references, engines and settings. */
export function useSinceTried(session: DraftSession, versions: Ref<Version[]>, runs: Ref<Run[]>) {
  const run = computed(() => runs.value[0])
  const tried = computed((): Draft | undefined => {
    const version = versions.value.find(({ id }) => id === run.value?.versionId)
    return version && run.value && { ...version.body, settings: run.value.settings, engines: run.value.byHand ? session.draft.value.engines : run.value.engines }
  })
  const found = useDifferences(session, () => tried.value && { before: tried.value, after: session.draft.value })
  return { version: computed(() => run.value?.version), tried, changes: computed(() => found.value?.changes ?? []) }
}
