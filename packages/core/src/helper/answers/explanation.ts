import { Type, type Static } from '@sinclair/typebox'
import type { AnswerShape } from './answer.ts'

export const ExplanationAnswer = Type.Object(
  {
    phrases: Type.Array(
      Type.Object(
        {
          phrase: Type.String({ minLength: 1, maxLength: 600, description: 'As it stands in the prompt.' }),
          purpose: Type.String({ minLength: 1, maxLength: 600 }),
          canGo: Type.Boolean(),
        },
        { additionalProperties: false },
      ),
      { minItems: 1, maxItems: 80 },
    ),
  },
  { additionalProperties: false },
)
export type ExplanationAnswer = Static<typeof ExplanationAnswer>

/** What each phrase of a prompt is for, and whether it could go. */
export const explanation: AnswerShape<ExplanationAnswer> = {
  schema: ExplanationAnswer,
  says: 'For each phrase of a prompt what it is for, and whether it could go.',
  bare: 'phrases',
  prose: (value) => value.phrases.map(({ purpose }) => purpose),
  cleaned: (value, clean) => ({ phrases: value.phrases.map(({ phrase, purpose, canGo }) => ({ phrase: phrase.trim(), purpose: clean(purpose), canGo })) }),
}
