import { type Static, Type } from '@sinclair/typebox'
import { holdsWords } from '../proposed-draft.ts'
import { markedTexts } from '../slots.ts'
import type { Judged, Verdict } from './criterion.ts'

export const FixedKept = Type.Object({ kind: Type.Literal('fixed-kept') }, { additionalProperties: false })

/** Every word that is fixed in the case's draft stands in the answer. */
export function fixedKept(_: Static<typeof FixedKept>, { draft, proposed, texts }: Judged): Verdict {
  const text = proposed?.text ?? texts.join('\n')
  const lost = markedTexts(draft, 'fixed').filter((words) => !holdsWords(text, words))
  return lost.length ? { pass: false, says: `Fixed words are lost: ${lost.map((words) => `“${words}”`).join(', ')}.` } : { pass: true, says: 'All fixed words are there.' }
}
