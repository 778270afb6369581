import { type Static, Type } from '@sinclair/typebox'
import { Facet } from '../../facet.ts'
import { SWAPS } from '../say/swap-parts.ts'

/** Measured; said and borne out by a measure; said and nobody measured it; said and contradicted. */
export const STANDS = ['measured', 'held', 'unmeasured', 'contradicted'] as const
/** One thing that is said of a picture, by whom, and how it stands. */
export const AgreementRow = Type.Object(
  {
    facet: Facet,
    text: Type.String(),
    saidBy: Type.Array(Type.String(), { description: '“measures”, or the id of a model.' }),
    stand: Type.Union(STANDS.map((stand) => Type.Literal(stand))),
    says: Type.String({ description: 'What was measured about it, in a clause; empty where nothing was.' }),
    evidence: Type.Union([Type.String(), Type.Null()], { description: 'The fact that bears it out, or contradicts it.' }),
    part: Type.Union([...SWAPS.map((part) => Type.Literal(part)), Type.Null()], { description: 'What of the picture it says, of what may be swapped.' }),
    confidence: Type.Union([Type.Number({ minimum: 0, maximum: 1 }), Type.Null()], { description: 'How often such a thing is right; null where nothing is known of whoever says it.' }),
  },
  { title: 'AgreementRow' },
)
export type AgreementRow = Static<typeof AgreementRow>
