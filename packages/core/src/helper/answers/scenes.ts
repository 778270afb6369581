import { Type, type Static } from '@sinclair/typebox'
import type { AnswerShape } from './answer.ts'

export const ScenesAnswer = Type.Object(
  {
    scenes: Type.Array(
      Type.Object(
        {
          begins: Type.String({ minLength: 1, maxLength: 400, description: 'The first words of the scene, as they stand in the story.' }),
          beat: Type.String({ minLength: 1, maxLength: 400, description: 'What happens in it, in one line.' }),
        },
        { additionalProperties: false },
      ),
      { minItems: 1, maxItems: 400 },
    ),
  },
  { additionalProperties: false },
)
export type ScenesAnswer = Static<typeof ScenesAnswer>

/** Where the scenes of a story begin, and what happens in each. */
export const scenes: AnswerShape<ScenesAnswer> = {
  schema: ScenesAnswer,
  says: 'For each scene of a story its first words, as they stand there, and what happens in one line.',
  bare: 'scenes',
  prose: (value) => value.scenes.map(({ beat }) => beat),
  cleaned: (value, clean) => ({ scenes: value.scenes.map(({ begins, beat }) => ({ begins: begins.trim(), beat: clean(beat) })) }),
}
