import { Type, type Static } from '@sinclair/typebox'
import { LeaveOutEntry } from '../draft/shape.ts'
import { MAX_LEAVE_OUT, MAX_TEXT } from '../draft/draft.ts'
import { Facet } from '../facet.ts'
import { readTemplate, slotsOf, type TemplateProblem } from './template.ts'

/** Most options of one slot. */
export const MAX_OPTIONS = 10_000
/** Longest value of a slot, in UTF-16 code units. */
export const MAX_VALUE = 500
const closed = { additionalProperties: false } as const
const Value = Type.String({ maxLength: MAX_VALUE, pattern: '^[^\\u0000\\n\\r]*$' })

/** A place of a template to be filled: what it says, what to put there, and what stands there when nothing is put. */
export const TemplateSlot = Type.Object(
  {
    name: Type.String({ minLength: 1, maxLength: 60 }),
    facet: Type.Optional(Facet),
    hint: Type.String({ maxLength: 300, pattern: '^[^\\u0000]*$' }),
    options: Type.Array(Value, { maxItems: MAX_OPTIONS }),
    fallback: Type.Unsafe<string>({ ...Value, description: 'What stands there when nothing is given; may be empty.' }),
  },
  { title: 'TemplateSlot', ...closed },
)
export type TemplateSlot = Static<typeof TemplateSlot>

/** What a template is, apart from where it is kept. */
export const TemplateBody = Type.Object(
  {
    name: Type.String({ minLength: 1, maxLength: 120, pattern: '^[^\\u0000\\n]*$' }),
    does: Type.String({ maxLength: 500, pattern: '^[^\\u0000]*$', description: 'What it is for, in a sentence.' }),
    text: Type.String({ minLength: 1, maxLength: MAX_TEXT, pattern: '^[^\\u0000]*$' }),
    slots: Type.Array(TemplateSlot, { maxItems: 60 }),
    leaveOut: Type.Array(LeaveOutEntry, { maxItems: MAX_LEAVE_OUT }),
  },
  { title: 'TemplateBody', ...closed },
)
export type TemplateBody = Static<typeof TemplateBody>

/** Values of slots by their names. */
export const SlotValues = Type.Record(Type.String({ minLength: 1, maxLength: 60 }), Value, { title: 'SlotValues' })
export type SlotValues = Static<typeof SlotValues>

export const blankSlot = (name: string, facet?: Facet): TemplateSlot => ({ name, ...(facet ? { facet } : {}), hint: '', options: [], fallback: '' })

/** The slots of a body as its text has them, in its order: known ones as they are described, new ones blank, others gone. */
export function slotsFor(text: string, slots: readonly TemplateSlot[]): TemplateSlot[] {
  return slotsOf(readTemplate(text).parts).map((name) => slots.find((slot) => slot.name === name) ?? blankSlot(name))
}

/** All that is wrong with a template: its text by line, its slots by name. Empty for one that can be used. */
export function templateProblems({ text, slots }: Pick<TemplateBody, 'text' | 'slots'>): string[] {
  const { parts, problems } = readTemplate(text)
  if (problems.length) return problems.map(({ says }: TemplateProblem) => says)
  const names = slotsOf(parts)
  const said: string[] = []
  if (names.length === 0) said.push('The text has no slot. Put {{ name }} where something is to be filled in.')
  const seen = new Set<string>()
  for (const { name, options, fallback } of slots) {
    if (seen.has(name)) said.push(`The slot “${name}” is described twice.`)
    seen.add(name)
    // Values are put in once, and never read as a template: one that names a slot would stay as it is in every draft.
    const nested = [fallback, ...options].findIndex((value) => value.includes('{{'))
    if (nested === 0) said.push(`What “${name}” says by itself refers to a slot; a value is plain words.`)
    else if (nested > 0) said.push(`Line ${nested} of the options of “${name}” refers to a slot; an option is plain words.`)
  }
  return said
}

/** The values a template is filled with: those given, else what its slots say by themselves. */
export const valuesFor = (slots: readonly TemplateSlot[], given: Readonly<SlotValues>): SlotValues => Object.fromEntries(slots.map(({ name, fallback }) => [name, given[name]?.trim() ? given[name] : fallback]))
