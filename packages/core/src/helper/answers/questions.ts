import { Type, type Static } from '@sinclair/typebox'
import { Facet } from '../../facet.ts'
import type { AnswerShape } from './answer.ts'

export const QuestionsAnswer = Type.Object(
  {
    questions: Type.Array(
      Type.Object(
        {
          facet: Facet,
          question: Type.String({ minLength: 3, maxLength: 300 }),
          answers: Type.Array(Type.String({ minLength: 1, maxLength: 200, description: 'A phrase that could stand in the prompt.' }), { minItems: 1, maxItems: 12 }),
        },
        { additionalProperties: false },
      ),
      { maxItems: 16 },
    ),
  },
  { additionalProperties: false },
)
export type QuestionsAnswer = Static<typeof QuestionsAnswer>

/** Short questions with likely answers; an answer becomes a phrase. */
export const questions: AnswerShape<QuestionsAnswer> = {
  schema: QuestionsAnswer,
  says: 'Questions, each of one facet, with likely answers that could stand in the prompt.',
  bare: 'questions',
  prose: (value) => value.questions.flatMap(({ question, answers }) => [question, ...answers]),
  cleaned: (value, clean) => ({ questions: value.questions.map(({ facet, question, answers }) => ({ facet, question: clean(question), answers: answers.map(clean).filter(Boolean) })).filter(({ answers }) => answers.length > 0) }),
}
