import { counts, type Difference, type Draft, type Edit } from '@idolon/core'
import { onScopeDispose, shallowRef, watch, type WatchSource } from 'vue'
import type { DraftSession } from './draft-session.ts'

/** A difference that shows in a picture, with the edit of the first draft that makes it alone. */
export interface Change {
  difference: Difference
  edit: Edit
}

/** A pause in typing after which two drafts are held against each other. */
const PAUSE_MS = 250

/** In what the second of two drafts differs from the first, with the first that the edits are of; nothing while there is no first. */
export function useDifferences(session: DraftSession, drafts: WatchSource<{ before: Draft; after: Draft } | undefined>) {
  const found = shallowRef<{ before: Draft; changes: Change[] }>()
  let timer: ReturnType<typeof setTimeout> | undefined
  let newest: object | undefined
  watch(
    drafts,
    (now) => {
      clearTimeout(timer)
      newest = now
      if (!now) {
        found.value = undefined
        return
      }
      timer = setTimeout(() => {
        void session.reading.ask('differences', now).then((list) => {
          // Of older drafts an answer is worth nothing.
          if (newest === now) found.value = { before: now.before, changes: list.filter(({ difference }) => counts(difference)) }
        })
      }, PAUSE_MS)
    },
    { immediate: true },
  )
  onScopeDispose(() => clearTimeout(timer))
  return found
}
