import { Type, type Static } from '@sinclair/typebox'
import type { AnswerShape } from './answer.ts'

export const AlternativesAnswer = Type.Object({ alternatives: Type.Array(Type.String({ minLength: 1, maxLength: 600 }), { minItems: 1, maxItems: 20 }) }, { additionalProperties: false })
export type AlternativesAnswer = Static<typeof AlternativesAnswer>

/** Other ways to say one phrase. */
export const alternatives: AnswerShape<AlternativesAnswer> = {
  schema: AlternativesAnswer,
  says: 'Other ways to say one phrase.',
  bare: 'alternatives',
  prose: (value) => value.alternatives,
  cleaned: (value, clean) => ({ alternatives: value.alternatives.map(clean).filter(Boolean) }),
}
