import type { Run, Version } from '@idolon/contract'
import { counts, type Difference, type Draft, type Edit } from '@idolon/core'
import { computed, type Ref, shallowRef, watch } from 'vue'
import type { DraftSession } from './draft-session.ts'

export interface Change {
  difference: Difference
  /** Of the draft as it was tried: makes this change alone. */
  edit: Edit
}

/** A pause in typing after which the draft is held against what was tried. */
const PAUSE_MS = 250

/** What has changed in the draft since the version last tried: text, marks, list, references, engines and settings. */
export function useSinceTried(session: DraftSession, versions: Ref<Version[]>, runs: Ref<Run[]>) {
  const run = computed(() => runs.value[0])
  const tried = computed((): Draft | undefined => {
    const version = versions.value.find(({ id }) => id === run.value?.versionId)
    return version && run.value && { ...version.body, settings: run.value.settings, engines: run.value.byHand ? session.draft.value.engines : run.value.engines }
  })
  const all = shallowRef<Change[]>([])
  let timer: ReturnType<typeof setTimeout> | undefined
  watch(
    [session.draft, tried],
    ([draft, before]) => {
      clearTimeout(timer)
      if (!before) {
        all.value = []
        return
      }
      timer = setTimeout(() => {
        void session.reading.ask('differences', { before, after: draft }).then((list) => {
          if (session.draft.value === draft && tried.value === before) all.value = list
        })
      }, PAUSE_MS)
    },
    { immediate: true },
  )
  /** Changes that show in a picture. */
  const changes = computed(() => all.value.filter(({ difference }) => counts(difference)))
  return { version: computed(() => run.value?.version), tried, changes }
}
