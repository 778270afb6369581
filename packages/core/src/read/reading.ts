import { Type, type Static } from '@sinclair/typebox'
import { Settings } from '../draft/shape.ts'
import { Facet } from '../facet.ts'

const place = {
  start: Type.Integer({ minimum: 0, description: 'UTF-16 code unit.' }),
  end: Type.Integer({ minimum: 0 }),
}

export const Phrase = Type.Object(
  { ...place, text: Type.String(), facet: Facet, confidence: Type.Number({ minimum: 0, maximum: 1 }) },
  { title: 'Phrase' },
)
export type Phrase = Static<typeof Phrase>

export const Noise = Type.Object(
  {
    ...place,
    kind: Type.Union([
      Type.Literal('lead-in'),
      Type.Literal('praise'),
      Type.Literal('setting'),
      Type.Literal('leave-out'),
      Type.Literal('label'),
    ]),
  },
  { title: 'Noise' },
)
export type Noise = Static<typeof Noise>

/** What a text says: phrases by facet in order, and what is not part of the picture. */
export const Reading = Type.Object(
  {
    phrases: Type.Array(Phrase),
    leaveOut: Type.Array(Type.String()),
    settings: Settings,
    noise: Type.Array(Noise),
  },
  { title: 'Reading' },
)
export type Reading = Static<typeof Reading>
