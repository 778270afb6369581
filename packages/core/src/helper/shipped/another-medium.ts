import { aCase, helper, LOCKED_AND_UNLIKE } from './shipped-helper.ts'

/** The same picture, told for another medium. */
export const anotherMedium = helper(
  'another-medium',
  {
    name: 'Another medium',
    does: 'Tells the same picture for another medium: what belonged to the old one goes with it.',
    answer: 'prompt',
    inputs: [{ key: 'medium', label: 'Medium', kind: 'text', needed: true, default: 'linocut', hint: 'linocut, watercolour, photograph' }],
    tags: ['refining'],
    instruction: `Tell this picture for another medium. The new medium:

{{ medium }}

The prompt:

{{ prompt }}

Keep subject, action, details, setting, moment, framing and mood as they are. Replace the old medium and all technique that belongs to it; name two things of the new medium's own technique.
No praise, no lead-in, no settings.
${LOCKED_AND_UNLIKE}`,
  },
  [
    aCase('Photograph to linocut', 'a heron in the reeds at dawn, soft mist, photograph, 200mm lens, shallow depth of field', [{ kind: 'says', words: 'linocut', never: false }, { kind: 'says', words: 'photograph', never: true }, { kind: 'says', words: 'heron', never: false }, { kind: 'no-stops' }], { values: { medium: 'linocut' } }),
    aCase('Print to photograph', 'a tea tin on a slate counter, morning, woodcut, bold black lines', [{ kind: 'says', words: 'photograph', never: false }, { kind: 'says', words: 'woodcut', never: true }, { kind: 'no-stops' }], { values: { medium: 'photograph' } }),
  ],
)
