import { aCase, helper, LOCKED_AND_UNLIKE } from './shipped-helper.ts'

/** The same picture seen from elsewhere. */
export const anotherViewpoint = helper(
  'another-viewpoint',
  {
    name: 'Another viewpoint',
    does: 'The same picture seen from elsewhere: nearer, further, higher or lower.',
    answer: 'prompt',
    inputs: [{ key: 'change', label: 'Seen', kind: 'choice', values: ['in a close-up', 'in a medium shot', 'in a wide shot', 'from above', 'from a low angle', 'in profile'], default: 'from a low angle' }],
    tags: ['refining'],
    instruction: `Change this prompt so that the picture is seen {{ change }}.

{{ prompt }}

Carry the change through the framing, and through details that could not be seen any more. Leave every other phrase word for word as it is. No praise, no lead-in, no settings.
${LOCKED_AND_UNLIKE}`,
  },
  [aCase('From a low angle', 'a windmill on a hill, high angle, oil painting', [{ kind: 'says', words: 'low angle', never: false }, { kind: 'says', words: 'high angle', never: true }, { kind: 'no-stops' }])],
)
