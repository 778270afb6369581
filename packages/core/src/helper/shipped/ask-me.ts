import { aCase, helper } from './shipped-helper.ts'

/** Short questions about what is missing. */
export const askMe = helper(
  'ask-me',
  {
    name: 'Ask me',
    does: 'Asks what a picture of this needs to be told, with likely answers to pick from; only of what is missing.',
    answer: 'questions',
    inputs: [{ key: 'count', label: 'Questions at most', kind: 'number', min: 1, max: 11, default: 6 }],
    tags: ['drafting'],
    instruction: `Ask the writer what a picture of this still needs to be told.

{{ prompt }}

It says something of: {{ said }}. It says nothing of: {{ missing }}.
Ask at most {{ count }} short questions, each about one missing facet and none about what is said.
Give four likely answers to each, as phrases that could stand in the prompt and that go with what it says.`,
  },
  [
    aCase('A bare subject', 'a lamplighter', [{ kind: 'distinct' }, { kind: 'first-answer-valid' }]),
    aCase('Nearly all is said', 'a lamplighter climbing a ladder in a cobbled lane at dusk, warm lamplight, gouache', [{ kind: 'first-answer-valid' }, { kind: 'says', words: 'time of day', never: true }]),
  ],
)
