import { aCase, helper, LOCKED_AND_UNLIKE } from './shipped-helper.ts'

/** The same picture at another hour. */
export const anotherLight = helper(
  'another-light',
  {
    name: 'Another light',
    does: 'The same picture in another light and hour, and nothing else changed.',
    answer: 'prompt',
    inputs: [{ key: 'change', label: 'Hour and light', kind: 'choice', values: ['at dawn', 'in the morning', 'at noon', 'in the late afternoon', 'at dusk', 'at night', 'in fog', 'in rain', 'in snow'], default: 'at dusk' }],
    tags: ['refining'],
    instruction: `Change this prompt so that it plays {{ change }}.

{{ prompt }}

Carry the change through moment, light and colour, and through nothing else. Leave every other phrase word for word as it is. No praise, no lead-in, no settings.
${LOCKED_AND_UNLIKE}`,
  },
  [aCase('At dusk', 'a narrow boat on a canal at noon, hard overhead sun, pale dry colours, photograph', [{ kind: 'says', words: 'dusk', never: false }, { kind: 'says', words: 'noon', never: true }, { kind: 'no-stops' }])],
)
