import { aCase, helper, LOCKED_AND_UNLIKE } from './shipped-helper.ts'

/** A change told in words, carried through every phrase that it touches. */
export const changeThroughout = helper(
  'change-throughout',
  {
    name: 'Change throughout',
    does: 'Carries a change told in words through every phrase that it touches, and only through those.',
    answer: 'prompt',
    inputs: [{ key: 'change', label: 'The same, but', kind: 'text', needed: true, hint: 'at night in rain' }],
    tags: ['refining'],
    instruction: `Change this prompt as the writer says:

{{ change }}

The prompt:

{{ prompt }}

Carry the change through every phrase that it touches: what the light, the sky, the colours and the clothes then are. Leave every other phrase word for word as it is. No praise, no lead-in, no settings.
${LOCKED_AND_UNLIKE}`,
  },
  [
    aCase('At night in rain', 'a lamplighter on a ladder in a cobbled lane, bright noon sun, blue sky, short shadows, warm ochre palette, gouache', [{ kind: 'says', words: 'night', never: false }, { kind: 'says', words: 'noon', never: true }, { kind: 'says', words: 'lamplighter', never: false }, { kind: 'says', words: 'gouache', never: false }, { kind: 'no-stops' }], { values: { change: 'at night in rain' } }),
    aCase('In winter', 'children picking apples in an orchard, late summer afternoon, golden light, watercolour', [{ kind: 'says', words: 'winter', never: false }, { kind: 'says', words: 'summer', never: true }, { kind: 'no-stops' }], { values: { change: 'in winter' } }),
  ],
)
