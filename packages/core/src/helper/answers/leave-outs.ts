import { Type, type Static } from '@sinclair/typebox'
import type { AnswerShape } from './answer.ts'

export const LeaveOutsAnswer = Type.Object({ leaveOut: Type.Array(Type.String({ minLength: 1, maxLength: 300, description: 'A bare word or two for a thing or a quality.' }), { minItems: 1, maxItems: 40 }) }, { additionalProperties: false })
export type LeaveOutsAnswer = Static<typeof LeaveOutsAnswer>

/** Entries for the leave-out list. */
export const leaveOuts: AnswerShape<LeaveOutsAnswer> = {
  schema: LeaveOutsAnswer,
  says: 'Entries for the leave-out list, in bare words.',
  bare: 'leaveOut',
  prose: (value) => value.leaveOut,
  cleaned: (value, clean) => ({ leaveOut: value.leaveOut.map(clean).filter(Boolean) }),
}
