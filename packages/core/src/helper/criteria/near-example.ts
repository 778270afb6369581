import { type Static, Type } from '@sinclair/typebox'
import type { Judged, Verdict } from './criterion.ts'

export const NearExample = Type.Object({ kind: Type.Literal('near-example'), example: Type.String({ minLength: 1, maxLength: 4_000 }), near: Type.Boolean({ description: 'Whether it must ask for nearly the same picture, or must not.' }) }, { additionalProperties: false })

/** The answer asks for nearly the same picture as an example, or does not. */
export function nearExample({ example, near: wanted }: Static<typeof NearExample>, { proposed, texts, near }: Judged): Verdict {
  const all = proposed ? [proposed.text] : texts
  const off = all.find((text) => near(text, example) !== wanted)
  return off === undefined ? { pass: true, says: wanted ? 'It asks for nearly the same as the example.' : 'It is unlike the example.' } : { pass: false, says: wanted ? 'It asks for another picture than the example.' : `“${off.slice(0, 120)}” is nearly the example.` }
}
