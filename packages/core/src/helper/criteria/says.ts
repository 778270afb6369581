import { type Static, Type } from '@sinclair/typebox'
import { holdsWords } from '../proposed-draft.ts'
import type { Judged, Verdict } from './criterion.ts'

export const Says = Type.Object({ kind: Type.Literal('says'), words: Type.String({ minLength: 1, maxLength: 300 }), never: Type.Boolean({ description: 'Whether it must not say them.' }) }, { additionalProperties: false })

/** The answer says some words somewhere, or nowhere. */
export function says({ words, never }: Static<typeof Says>, { proposed, texts }: Judged): Verdict {
  const there = holdsWords(proposed?.text ?? texts.join('\n'), words)
  return { pass: there !== never, says: there ? `It says “${words}”.` : `It does not say “${words}”.` }
}
