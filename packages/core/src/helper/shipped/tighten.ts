import { aCase, helper, LOCKED_AND_UNLIKE } from './shipped-helper.ts'

/** The same picture in fewer words. */
export const tighten = helper(
  'tighten',
  {
    name: 'Tighten',
    does: 'Says the same picture in fewer words: no praise, nothing twice, no word that shows nothing.',
    answer: 'prompt',
    inputs: [{ key: 'length', label: 'Length in words', kind: 'number', min: 5, max: 400, default: 40 }],
    tags: ['refining'],
    instruction: `Tighten this prompt to at most {{ length }} words. It must ask for the same picture.

{{ prompt }}

Take out praise, what is said twice, and words that show nothing. Keep a phrase of every facet that it has ({{ said }}). Add nothing.
No praise, no lead-in, no settings.
${LOCKED_AND_UNLIKE}`,
  },
  [
    aCase('Praise and repeats', 'A breathtaking, stunning masterpiece of a small red fox, a fox sitting in deep snow, snowy field, at dawn, early in the morning, soft pink light, very beautiful and highly detailed, watercolour painting, watercolor', [
      { kind: 'length-within', least: 8, most: 40 },
      { kind: 'says', words: 'masterpiece', never: true },
      { kind: 'near-example', example: 'a small red fox sitting in deep snow at dawn, soft pink light, watercolour', near: true },
    ]),
    aCase('Locked words', 'an old beekeeper in a waxed canvas coat, lifting a frame from the hive with great care and attention, in a terraced apiary high up above an alpine village, in the very late autumn, gouache', [{ kind: 'locked-kept' }, { kind: 'length-within', least: 12, most: 40 }], { locked: ['waxed canvas coat'] }),
  ],
)
