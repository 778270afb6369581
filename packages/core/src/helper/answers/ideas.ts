import { Type, type Static } from '@sinclair/typebox'
import type { AnswerShape } from './answer.ts'

export const IdeasAnswer = Type.Object({ ideas: Type.Array(Type.String({ minLength: 1, maxLength: 600 }), { minItems: 1, maxItems: 40 }) }, { additionalProperties: false })
export type IdeasAnswer = Static<typeof IdeasAnswer>

/** Distinct subjects or takes to choose from. */
export const ideas: AnswerShape<IdeasAnswer> = {
  schema: IdeasAnswer,
  says: 'A list of ideas, each a line that a prompt could begin with.',
  bare: 'ideas',
  prose: (value) => value.ideas,
  cleaned: (value, clean) => ({ ideas: value.ideas.map(clean).filter(Boolean) }),
}
