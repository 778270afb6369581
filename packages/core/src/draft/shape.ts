import { Type, type Static } from '@sinclair/typebox'
import { MAX_LEAVE_OUT, MAX_TEXT } from './draft.ts'
import { Mark } from './mark-shape.ts'

export const SettingValue = Type.Union([Type.Number(), Type.String({ maxLength: 200 })], { title: 'SettingValue' })
export type SettingValue = Static<typeof SettingValue>

export const settingKey = Type.String({ pattern: '^[A-Za-z][A-Za-z0-9]{0,39}$' })

/** What goes to an engine as fields: aspectRatio, count, seed, steps, guidance and whatever else its profile declares. */
export const Settings = Type.Record(settingKey, SettingValue, {
  title: 'Settings',
  additionalProperties: false,
})
export type Settings = Static<typeof Settings>

export const EngineChoice = Type.Object(
  {
    engine: Type.String({ minLength: 1, maxLength: 60 }),
    revision: Type.Optional(
      Type.String({ minLength: 1, maxLength: 60, description: 'The newest of the engine when absent.' }),
    ),
    settings: Type.Optional(Type.Unsafe<Settings>({ ...Settings, description: "What holds for this engine instead of the draft's own settings: aspect ratio, results and the rest." })),
  },
  { title: 'EngineChoice', additionalProperties: false },
)
export type EngineChoice = Static<typeof EngineChoice>

/** What a reference picture is for: the picture to start from, or what of it to follow. */
export const ReferenceRole = Type.Union([Type.Literal('base'), Type.Literal('layout'), Type.Literal('palette'), Type.Literal('person'), Type.Literal('finish')], { title: 'ReferenceRole' })
export type ReferenceRole = Static<typeof ReferenceRole>

export const ReferenceUse = Type.Object(
  {
    reference: Type.String({ minLength: 1, maxLength: 100, description: 'A picture by its SHA-256, or a proof by its id.' }),
    role: ReferenceRole,
    strength: Type.Integer({ minimum: 0, maximum: 100 }),
  },
  { title: 'ReferenceUse', additionalProperties: false },
)
export type ReferenceUse = Static<typeof ReferenceUse>

export const LeaveOutEntry = Type.String({ minLength: 1, maxLength: 300 })

/** What is being written. Every part of it changes by an Edit, and by nothing else. */
export const Draft = Type.Object(
  {
    text: Type.String({ maxLength: MAX_TEXT }),
    marks: Type.Array(Mark, { maxItems: 2_000 }),
    leaveOut: Type.Array(LeaveOutEntry, { maxItems: MAX_LEAVE_OUT }),
    settings: Settings,
    engines: Type.Array(EngineChoice, { maxItems: 12 }),
    references: Type.Array(ReferenceUse, { maxItems: 12 }),
    kind: Type.Optional(Type.Literal('change', { description: 'Says how to change the picture it starts from, instead of what the picture shows.' })),
  },
  { title: 'Draft', additionalProperties: false },
)
export type Draft = Static<typeof Draft>

/** The frozen part of a draft: what a version keeps. Settings and engines belong to a run. */
export const VersionBody = Type.Pick(Draft, ['text', 'marks', 'leaveOut', 'references', 'kind'], {
  title: 'VersionBody',
  additionalProperties: false,
})
export type VersionBody = Static<typeof VersionBody>
