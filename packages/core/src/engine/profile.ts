import { Type, type Static } from '@sinclair/typebox'
import { ReferenceRole } from '../draft/shape.ts'
import { Facet } from '../facet.ts'
import { Connection } from './connection.ts'

const closed = { additionalProperties: false } as const
const Name = Type.String({ minLength: 1, maxLength: 60 })

/** A setting an engine takes as a field, with the values it may have. */
export const SettingProfile = Type.Union(
  [
    Type.Object(
      {
        key: Name,
        label: Name,
        kind: Type.Literal('number'),
        min: Type.Number(),
        max: Type.Number(),
        step: Type.Number({ exclusiveMinimum: 0 }),
        default: Type.Number(),
        says: Type.String({ maxLength: 300, description: 'What it does, in one sentence.' }),
      },
      closed,
    ),
    Type.Object(
      {
        key: Name,
        label: Name,
        kind: Type.Literal('choice'),
        values: Type.Array(Name, { minItems: 1, maxItems: 40 }),
        default: Name,
        says: Type.String({ maxLength: 300 }),
      },
      closed,
    ),
  ],
  { title: 'SettingProfile' },
)
export type SettingProfile = Static<typeof SettingProfile>

/** How one revision of an engine reads text, what it accepts and what it costs. */
export const EngineProfile = Type.Object(
  {
    id: Name,
    name: Name,
    revision: Name,
    simulated: Type.Boolean(),
    reads: Type.Union([Type.Literal('sentences'), Type.Literal('keywords'), Type.Literal('either'), Type.Literal('json')]),
    leaveOut: Type.Boolean({ description: 'Whether it takes a leave-out text.' }),
    limit: Type.Optional(
      Type.Object(
        {
          unit: Type.Union([Type.Literal('characters'), Type.Literal('words'), Type.Literal('tokens')]),
          max: Type.Integer({ minimum: 1 }),
        },
        closed,
      ),
    ),
    pastLimit: Type.Optional(Type.Union([Type.Literal('ignores'), Type.Literal('refuses')], { description: 'What it does with a text that is longer: reads no further, or answers nothing.' })),
    emphasis: Type.Union([Type.Literal('order'), Type.Literal('repetition'), Type.Literal('weights'), Type.Literal('none')]),
    settings: Type.Array(SettingProfile, { maxItems: 40 }),
    sizes: Type.Array(
      Type.Object(
        {
          aspectRatio: Type.String({ pattern: '^[1-9][0-9]{0,2}:[1-9][0-9]{0,2}$' }),
          width: Type.Integer({ minimum: 16, maximum: 8192, description: 'Pixels.' }),
          height: Type.Integer({ minimum: 16, maximum: 8192, description: 'Pixels.' }),
          cost: Type.Integer({ minimum: 0, description: 'Of one picture, in the unit the profile names.' }),
        },
        closed,
      ),
      { minItems: 1, maxItems: 40 },
    ),
    costUnit: Name,
    honoursIdempotencyKey: Type.Boolean({ description: 'Whether asking again with the same key is never charged twice.' }),
    refuses: Type.Optional(Type.Array(Name, { maxItems: 20, description: 'Of the settings that engines usually take, those it does not: seed, aspectRatio, count.' })),
    figures: Type.Optional(Type.Integer({ minimum: 0, description: 'Figures it draws well in one picture.' })),
    lettering: Type.Optional(Type.Integer({ minimum: 0, description: 'Words it spells well in one picture.' })),
    references: Type.Optional(Type.Array(ReferenceRole, { maxItems: 5, description: 'What reference pictures it takes; none where this is missing.' })),
    facetOrder: Type.Optional(Type.Array(Facet)),
    connection: Type.Optional(Connection),
    notes: Type.String({ maxLength: 4_000 }),
  },
  { title: 'EngineProfile', additionalProperties: false },
)
export type EngineProfile = Static<typeof EngineProfile>
