import { Type, type Static } from '@sinclair/typebox'
import { EngineChoice, settingKey, SettingValue } from '../draft/shape.ts'
import { MAX_TEXT } from '../draft/draft.ts'
import { MAX_SEED } from '../engine/seed.ts'
import { MAX_VALUE, SlotValues, TemplateSlot } from '../template/body.ts'

/** Most combinations of one plan. */
export const MAX_COMBINATIONS = 500
const closed = { additionalProperties: false } as const
const MOST_OPTIONS = 60

/** One thing that varies, with the options it goes through: words in a slot, engines and their revisions, values of a setting. */
export const Factor = Type.Union(
  [
    Type.Object({ kind: Type.Literal('words'), slot: Type.String({ minLength: 1, maxLength: 60 }), options: Type.Array(Type.String({ maxLength: MAX_VALUE, pattern: '^[^\\u0000\\n\\r]*$' }), { minItems: 2, maxItems: MOST_OPTIONS }) }, closed),
    Type.Object({ kind: Type.Literal('engine'), options: Type.Array(EngineChoice, { minItems: 2, maxItems: 12 }) }, closed),
    Type.Object({ kind: Type.Literal('setting'), key: settingKey, options: Type.Array(SettingValue, { minItems: 2, maxItems: MOST_OPTIONS }) }, closed),
  ],
  { title: 'Factor' },
)
export type Factor = Static<typeof Factor>

/** Which combinations of the options are tried. */
export const Way = Type.Union(
  [
    Type.Object({ kind: Type.Literal('all') }, closed),
    Type.Object({ kind: Type.Literal('one-at-a-time') }, { ...closed, description: 'From the first option of everything, each other option once.' }),
    Type.Object({ kind: Type.Literal('pairs') }, { ...closed, description: 'Every two options of different things together at least once, in few combinations.' }),
    Type.Object({ kind: Type.Literal('sample'), count: Type.Integer({ minimum: 1, maximum: MAX_COMBINATIONS }), seed: Type.Integer({ minimum: 0, maximum: MAX_SEED }) }, { ...closed, description: 'So many of all combinations, drawn by a seed.' }),
  ],
  { title: 'Way' },
)
export type Way = Static<typeof Way>

/** What is never tried together: places of options, by places of things that vary. */
export const SkipRule = Type.Array(Type.Object({ factor: Type.Integer({ minimum: 0, maximum: 11 }), option: Type.Integer({ minimum: 0, maximum: MOST_OPTIONS - 1 }) }, closed), { minItems: 1, maxItems: 12, title: 'SkipRule' })
export type SkipRule = Static<typeof SkipRule>

export const TrialBody = Type.Object(
  {
    name: Type.String({ minLength: 1, maxLength: 120, pattern: '^[^\\u0000\\n]*$' }),
    frame: Type.String({ minLength: 1, maxLength: MAX_TEXT, description: 'The text, with a slot where words vary.' }),
    slots: Type.Array(TemplateSlot, { maxItems: 60 }),
    values: Type.Unsafe<SlotValues>({ ...SlotValues, description: 'Of the slots that do not vary.' }),
    factors: Type.Array(Factor, { minItems: 1, maxItems: 12 }),
    way: Way,
    skip: Type.Array(SkipRule, { maxItems: 60 }),
    count: Type.Integer({ minimum: 1, maximum: 8, description: 'Results of each combination.' }),
    seed: Type.Optional(Type.Integer({ minimum: 0, maximum: MAX_SEED, description: 'Of the first result of every combination, so that nothing differs but the options; absent: the plan draws one.' })),
  },
  { title: 'TrialBody', ...closed },
)
export type TrialBody = Static<typeof TrialBody>

const SETTING: Readonly<Record<string, string>> = { aspectRatio: 'aspect ratio' }
/** What varies, in words. */
export const factorName = (factor: Factor): string => (factor.kind === 'words' ? factor.slot : factor.kind === 'engine' ? 'engine' : (SETTING[factor.key] ?? factor.key))

/** An option in words; `nameOf` says what an engine is called. */
export function optionName(factor: Factor, option: number, nameOf: (choice: EngineChoice) => string = ({ engine, revision = '' }) => `${engine} ${revision}`.trim()): string {
  if (factor.kind === 'words') return factor.options[option] || 'nothing'
  if (factor.kind === 'setting') return String(factor.options[option])
  return factor.options[option] ? nameOf(factor.options[option]) : ''
}
