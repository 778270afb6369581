import { Type, type Static } from '@sinclair/typebox'
import type { AnswerShape } from './answer.ts'

export const PromptAnswer = Type.Object(
  {
    prompt: Type.String({ minLength: 1, maxLength: 20_000, pattern: '\\S', description: 'The whole prompt.' }),
    leaveOut: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 300 }), { maxItems: 60, description: 'Bare words for what must not appear.' })),
  },
  { additionalProperties: false },
)
export type PromptAnswer = Static<typeof PromptAnswer>

/** A whole prompt: it comes to the draft as changes, phrase by phrase. */
export const prompt: AnswerShape<PromptAnswer> = {
  schema: PromptAnswer,
  says: 'A whole prompt, which comes to the draft as changes.',
  bare: 'prompt',
  prose: ({ prompt: text }) => [text],
  cleaned: ({ prompt: text, leaveOut }, clean) => ({ prompt: clean(text), ...(leaveOut ? { leaveOut: leaveOut.map(clean).filter(Boolean) } : {}) }),
}
