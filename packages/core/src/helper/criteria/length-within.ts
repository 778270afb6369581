import { type Static, Type } from '@sinclair/typebox'
import type { Judged, Verdict } from './criterion.ts'

export const LengthWithin = Type.Object({ kind: Type.Literal('length-within'), least: Type.Integer({ minimum: 0, maximum: 5_000 }), most: Type.Integer({ minimum: 1, maximum: 5_000 }) }, { additionalProperties: false, description: 'In words.' })

/** Every text of the answer is so many words long. */
export function lengthWithin({ least, most }: Static<typeof LengthWithin>, { proposed, texts }: Judged): Verdict {
  const lengths = (proposed ? [proposed.text] : texts).map((text) => (text.match(/\S+/g) ?? []).length)
  const off = lengths.find((length) => length < least || length > most)
  return off === undefined ? { pass: true, says: `${[...new Set(lengths)].join(', ')} words.` } : { pass: false, says: `${off} words; ${least} to ${most} are wanted.` }
}
