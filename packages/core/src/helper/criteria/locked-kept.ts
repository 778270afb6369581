import { type Static, Type } from '@sinclair/typebox'
import { holdsWords } from '../proposed-draft.ts'
import { markedTexts } from '../slots.ts'
import type { Judged, Verdict } from './criterion.ts'

export const LockedKept = Type.Object({ kind: Type.Literal('locked-kept') }, { additionalProperties: false })

/** Every word that is locked in the case's draft stands in the answer. */
export function lockedKept(_: Static<typeof LockedKept>, { draft, proposed, texts }: Judged): Verdict {
  const text = proposed?.text ?? texts.join('\n')
  const lost = markedTexts(draft, 'locked').filter((words) => !holdsWords(text, words))
  return lost.length ? { pass: false, says: `Locked words are lost: ${lost.map((words) => `“${words}”`).join(', ')}.` } : { pass: true, says: 'All locked words are there.' }
}
