import { Type, type Static } from '@sinclair/typebox'
import { LeaveOutEntry } from '../draft/shape.ts'
import { Facet } from '../facet.ts'

const words = Type.String({ minLength: 1, maxLength: 200 })

/** What every prompt of a project must say and must never say. */
export const HouseRules = Type.Object(
  {
    must: Type.Array(Type.Union([Type.Object({ phrase: words }, { additionalProperties: false }), Type.Object({ facet: Facet }, { additionalProperties: false })]), {
      maxItems: 100,
      description: 'Phrases every prompt must carry, and facets it must have something of.',
    }),
    never: Type.Array(words, { maxItems: 500, description: 'Words never to be used.' }),
    leaveOut: Type.Array(LeaveOutEntry, { maxItems: 100, description: 'What stands on every leave-out list.' }),
    colours: Type.Array(Type.Object({ name: words, value: Type.String({ pattern: '^#[0-9A-Fa-f]{6}$' }) }, { additionalProperties: false }), { maxItems: 60 }),
    engine: Type.Optional(Type.String({ minLength: 1, maxLength: 60 })),
    aspectRatio: Type.Optional(Type.String({ pattern: '^[1-9][0-9]{0,2}:[1-9][0-9]{0,2}$' })),
  },
  { title: 'HouseRules', additionalProperties: false },
)
export type HouseRules = Static<typeof HouseRules>
export const NO_RULES: HouseRules = { must: [], never: [], leaveOut: [], colours: [] }
