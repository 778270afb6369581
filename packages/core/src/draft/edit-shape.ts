import { Type, type Static, type TSchema } from '@sinclair/typebox'
import { Mark } from './mark-shape.ts'
import { EngineChoice, LeaveOutEntry, ReferenceUse, settingKey, SettingValue } from './shape.ts'
import { TextChange } from './text-change.ts'

const spliceOf = <T extends TSchema>(entry: T) =>
  Type.Object(
    {
      at: Type.Integer({ minimum: 0 }),
      remove: Type.Integer({ minimum: 0 }),
      insert: Type.Array(entry, { maxItems: 500 }),
    },
    { additionalProperties: false },
  )

/**
 * One change of a draft, as a value. Text changes come first; marks follow
 * the text by themselves, and `marks` speaks of the text as it is afterwards.
 */
export const Edit = Type.Object(
  {
    text: Type.Optional(Type.Array(TextChange, { maxItems: 5_000 })),
    marks: Type.Optional(
      Type.Object(
        { remove: Type.Array(Mark, { maxItems: 2_000 }), add: Type.Array(Mark, { maxItems: 2_000 }) },
        { additionalProperties: false },
      ),
    ),
    leaveOut: Type.Optional(spliceOf(LeaveOutEntry)),
    settings: Type.Optional(
      Type.Record(settingKey, Type.Union([SettingValue, Type.Null()]), {
        additionalProperties: false,
        description: 'New values by key; null takes a setting away.',
      }),
    ),
    engines: Type.Optional(spliceOf(EngineChoice)),
    references: Type.Optional(spliceOf(ReferenceUse)),
  },
  { title: 'Edit', additionalProperties: false },
)
export type Edit = Static<typeof Edit>
