import { Type, type Static } from '@sinclair/typebox'
import type { AnswerShape } from './answer.ts'

export const EngineAnswer = Type.Object(
  {
    prompt: Type.String({ minLength: 1, maxLength: 20_000, pattern: '\\S', description: 'The prompt as this engine reads best.' }),
    settings: Type.Record(Type.String({ maxLength: 40 }), Type.Union([Type.Number(), Type.String({ maxLength: 200 })]), { description: 'Settings of the engine by their keys.' }),
    why: Type.String({ maxLength: 2_000, description: 'Why, in a sentence or two.' }),
  },
  { additionalProperties: false },
)
export type EngineAnswer = Static<typeof EngineAnswer>

/** A prompt for one engine, with settings and the reason. */
export const engine: AnswerShape<EngineAnswer> = {
  schema: EngineAnswer,
  says: 'A prompt for one engine with recommended settings and why.',
  prose: ({ prompt, why }) => [prompt, why],
  cleaned: ({ prompt, settings, why }, clean) => ({ prompt: clean(prompt), settings, why: clean(why) }),
}
