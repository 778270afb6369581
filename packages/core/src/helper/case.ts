import { type Static, Type } from '@sinclair/typebox'
import { type Draft, EngineChoice, LeaveOutEntry } from '../draft/shape.ts'
import { emptyDraft } from '../draft/draft.ts'
import { addMark } from '../draft/mark.ts'
import type { Mark } from '../draft/mark-shape.ts'
import { Criterion } from './criteria/index.ts'
import { HelperValues } from './helper.ts'

/** A saved input of a helper, with what a good answer to it must satisfy. */
export const HelperCase = Type.Object(
  {
    name: Type.String({ minLength: 1, maxLength: 120, pattern: '\\S' }),
    text: Type.String({ maxLength: 20_000, description: 'The draft that it is about.' }),
    locked: Type.Array(Type.String({ minLength: 1, maxLength: 300 }), { maxItems: 40, description: 'Words of the text that may not be changed.' }),
    leaveOut: Type.Array(LeaveOutEntry, { maxItems: 60 }),
    engine: Type.Union([EngineChoice, Type.Null()]),
    values: HelperValues,
    existing: Type.Array(Type.String({ minLength: 1, maxLength: 600 }), { maxItems: 200, description: 'What the project has already.' }),
    criteria: Type.Array(Criterion, { minItems: 1, maxItems: 20 }),
  },
  { title: 'HelperCase', additionalProperties: false },
)
export type HelperCase = Static<typeof HelperCase>

/** The draft that a case is about. Locked words that its text does not have are passed over. */
export function draftOfCase({ text, locked, leaveOut, engine }: Pick<HelperCase, 'text' | 'locked' | 'leaveOut' | 'engine'>): Draft {
  const marks = locked.flatMap((words): Mark[] => {
    const from = text.indexOf(words)
    return from < 0 ? [] : [{ from, to: from + words.length, kind: 'locked' }]
  })
  return { ...emptyDraft(), text, marks: marks.reduce<Mark[]>(addMark, []), leaveOut: [...leaveOut], engines: engine ? [engine] : [] }
}
