import { type Static, Type } from '@sinclair/typebox'
import type { Judged, Verdict } from './criterion.ts'

export const FirstAnswerValid = Type.Object({ kind: Type.Literal('first-answer-valid') }, { additionalProperties: false })

/** The first answer had its shape: nothing was mended, nothing was asked for again. */
export function firstAnswerValid(_: Static<typeof FirstAnswerValid>, { tries, mended }: Judged): Verdict {
  if (tries > 1) return { pass: false, says: 'The first answer could not be used; it was asked for again.' }
  return mended.length ? { pass: false, says: mended.join(' ') } : { pass: true, says: 'The first answer fitted its shape as it was.' }
}
