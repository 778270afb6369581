import { Type, type Static } from '@sinclair/typebox'
import { Facet } from '../facet.ts'

const range = {
  from: Type.Integer({ minimum: 0, description: 'First UTF-16 code unit.' }),
  to: Type.Integer({ minimum: 1, description: 'One past the last UTF-16 code unit.' }),
}
const closed = { additionalProperties: false } as const

/** A range of a draft's text that carries something: a facet set by hand, emphasis, off, locked, a dismissed check, or where it came from. */
export const Mark = Type.Union(
  [
    Type.Object({ ...range, kind: Type.Literal('facet'), facet: Facet }, closed),
    Type.Object(
      {
        ...range,
        kind: Type.Literal('emphasis'),
        level: Type.Union([Type.Literal(-2), Type.Literal(-1), Type.Literal(1), Type.Literal(2)]),
      },
      closed,
    ),
    Type.Object({ ...range, kind: Type.Literal('off') }, closed),
    Type.Object({ ...range, kind: Type.Literal('locked') }, closed),
    Type.Object(
      {
        ...range,
        kind: Type.Literal('dismissed'),
        check: Type.String({ minLength: 1, maxLength: 40 }),
        reason: Type.String({ maxLength: 500 }),
      },
      closed,
    ),
    Type.Object(
      {
        ...range,
        kind: Type.Literal('from'),
        source: Type.Object(
          {
            type: Type.Union([
              Type.Literal('character'),
              Type.Literal('place'),
              Type.Literal('style'),
              Type.Literal('slot'),
              Type.Literal('reference'),
              Type.Literal('helper'),
            ]),
            id: Type.String({ minLength: 1, maxLength: 100 }),
            version: Type.Optional(Type.Integer({ minimum: 1 })),
          },
          closed,
        ),
      },
      closed,
    ),
  ],
  { title: 'Mark' },
)
export type Mark = Static<typeof Mark>
