import { type Static, Type } from '@sinclair/typebox'
import { Facet } from '../../facet.ts'
import { FACETS } from '../../facets.ts'
import type { Judged, Verdict } from './criterion.ts'

export const FacetsPresent = Type.Object({ kind: Type.Literal('facets-present'), facets: Type.Optional(Type.Array(Facet, { minItems: 1 })), least: Type.Optional(Type.Integer({ minimum: 1, maximum: 12 })) }, { additionalProperties: false })

/** The prompt says something of each facet of a list, or of at least so many. */
export function facetsPresent({ facets, least }: Static<typeof FacetsPresent>, { proposed, texts, read }: Judged): Verdict {
  const text = proposed?.text ?? texts.join('\n')
  const has = new Set(read(text).phrases.map(({ facet }) => facet))
  const missing = (facets ?? []).filter((facet) => !has.has(facet))
  if (missing.length) return { pass: false, says: `It says nothing of ${missing.join(', ')}.` }
  if (least !== undefined && has.size < least) return { pass: false, says: `It says something of ${has.size} facets, not of ${least}: ${FACETS.filter((facet) => !has.has(facet)).join(', ')} are missing.` }
  return { pass: true, says: `It says something of ${has.size} facets.` }
}
