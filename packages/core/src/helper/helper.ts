import { Type, type Static } from '@sinclair/typebox'
import { ANSWER_KINDS } from './answers/kinds.ts'

const closed = { additionalProperties: false } as const
const Key = Type.String({ pattern: '^[a-z][A-Za-z0-9]{0,29}$' })
const Label = Type.String({ minLength: 1, maxLength: 60, pattern: '\\S' })

/** What a helper asks the writer for before it is sent. */
export const HelperInput = Type.Union(
  [
    Type.Object({ key: Key, label: Label, kind: Type.Literal('text'), default: Type.Optional(Type.String({ maxLength: 4_000 })), needed: Type.Optional(Type.Boolean()), hint: Type.Optional(Type.String({ maxLength: 200 })) }, closed),
    Type.Object({ key: Key, label: Label, kind: Type.Literal('number'), min: Type.Integer(), max: Type.Integer(), default: Type.Integer() }, closed),
    Type.Object({ key: Key, label: Label, kind: Type.Literal('choice'), values: Type.Array(Label, { minItems: 1, maxItems: 40 }), default: Label }, closed),
    Type.Object({ key: Key, label: Label, kind: Type.Literal('phrase') }, { ...closed, description: 'A phrase of the draft.' }),
    Type.Object({ key: Key, label: Label, kind: Type.Literal('picture') }, { ...closed, description: 'A reference of the project, by the SHA-256 of its picture; the picture goes with the question.' }),
    Type.Object({ key: Key, label: Label, kind: Type.Literal('engine') }, { ...closed, description: 'An engine that is written for; the draft’s own at first.' }),
  ],
  { title: 'HelperInput' },
)
export type HelperInput = Static<typeof HelperInput>

export const AnswerKind = Type.Unsafe<(typeof ANSWER_KINDS)[number]>(Type.Union(ANSWER_KINDS.map((kind) => Type.Literal(kind)), { title: 'AnswerKind' }))
export type AnswerKind = (typeof ANSWER_KINDS)[number]

export const MAX_INSTRUCTION = 20_000

/** A reusable instruction to a language model, as one version of it is frozen. */
export const HelperBody = Type.Object(
  {
    name: Label,
    does: Type.String({ maxLength: 300, description: 'What it does, in one sentence.' }),
    instruction: Type.String({ minLength: 1, maxLength: MAX_INSTRUCTION, description: 'Text with slots, {{ name }} (Mustache).' }),
    answer: AnswerKind,
    inputs: Type.Array(HelperInput, { maxItems: 12 }),
    examples: Type.Array(Type.String({ minLength: 1, maxLength: 4_000 }), { maxItems: 20, description: 'What the slot {{ examples }} stands for.' }),
    model: Type.Union([Type.String({ minLength: 1, maxLength: 60 }), Type.Null()], { description: 'The model it is sent to by itself; null for the one the writer uses.' }),
    temperature: Type.Number({ minimum: 0, maximum: 2, description: 'How freely the model chooses its words; a model is asked within what its profile says.' }),
    tags: Type.Array(Type.String({ minLength: 1, maxLength: 60, pattern: '^[^,\\n\\u0000]+$' }), { maxItems: 40 }),
  },
  { title: 'HelperBody', additionalProperties: false },
)
export type HelperBody = Static<typeof HelperBody>

/** What the writer gave for a helper's inputs. */
export const HelperValues = Type.Record(Type.String({ pattern: '^[a-z][A-Za-z0-9]{0,29}$' }), Type.Union([Type.String({ maxLength: 60_000 }), Type.Number()]), { title: 'HelperValues' })
export type HelperValues = Static<typeof HelperValues>

/** The values of a helper's inputs with what stands where nothing was given. */
export const withDefaults = ({ inputs }: Pick<HelperBody, 'inputs'>, given: HelperValues): HelperValues =>
  Object.fromEntries(inputs.map((input) => [input.key, given[input.key] ?? ('default' in input ? (input.default ?? '') : '')]))

/** What is wrong with the values for a helper's inputs, in a sentence; undefined when they can be sent. */
export function wrongWithValues({ inputs }: Pick<HelperBody, 'inputs'>, given: HelperValues): string | undefined {
  const all = withDefaults({ inputs }, given)
  for (const input of inputs) {
    const value = all[input.key]
    if (input.kind === 'text' && input.needed && String(value).trim() === '') return `“${input.label}” is empty.`
    if (input.kind === 'number' && !(typeof value === 'number' && value >= input.min && value <= input.max)) return `“${input.label}” is a number from ${input.min} to ${input.max}.`
    if (input.kind === 'choice' && !input.values.includes(String(value))) return `“${input.label}” is one of: ${input.values.join(', ')}.`
    if (input.kind === 'picture' && !/^[0-9a-f]{64}$/.test(String(value))) return `“${input.label}” wants a reference of the project.`
    if (input.kind === 'phrase' && String(value).trim() === '') return `“${input.label}” wants a phrase of the draft.`
  }
  return undefined
}
