import { draftFor, type EngineProfile, type Output } from '@idolon/core'
import { onScopeDispose, shallowRef, toRaw, watch, type WatchSource } from 'vue'
import { showCut } from '../reading/cut-mark.ts'
import type { DraftSession } from './draft-session.ts'

/** A pause in typing after which the output is made. */
const PAUSE_MS = 120

/** Exactly what the engine would be given; what it would not read is shown in the text. */
export function useOutput(session: DraftSession, engine: WatchSource<EngineProfile | undefined>) {
  const output = shallowRef<Output>()
  let timer: ReturnType<typeof setTimeout> | undefined
  watch(
    [session.draft, engine],
    ([draft, profile]) => {
      clearTimeout(timer)
      timer = setTimeout(() => {
        if (!profile) {
          output.value = undefined
          return
        }
        const choice = draft.engines.find(({ engine, revision }) => engine === profile.id && (revision ?? profile.revision) === profile.revision)
        void session.reading.ask('output', { draft: choice ? draftFor(draft, choice) : draft, engine: toRaw(profile) }).then((said) => {
          // Typed on meanwhile: the next answer is on its way.
          if (session.draft.value !== draft) return
          output.value = said
          session.view.dispatch({ effects: showCut.of(said.cut) })
        })
      }, PAUSE_MS)
    },
    { immediate: true },
  )
  onScopeDispose(() => clearTimeout(timer))
  return output
}
