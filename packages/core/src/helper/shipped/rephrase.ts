import { aCase, helper } from './shipped-helper.ts'

/** One phrase in five ways. */
export const rephrase = helper(
  'rephrase',
  {
    name: 'Rephrase',
    does: 'Says one phrase in five other ways that fit the rest.',
    answer: 'alternatives',
    inputs: [
      { key: 'phrase', label: 'Phrase', kind: 'phrase' },
      { key: 'count', label: 'How many', kind: 'number', min: 1, max: 12, default: 5 },
    ],
    temperature: 1,
    tags: ['refining'],
    instruction: `Say this phrase in {{ count }} other ways:

{{ phrase }}

It stands in this prompt, and must go on fitting it:

{{ prompt }}

Each says about the same, is about as long, and can stand in its place word for word. No two begin alike.
{{#takes}}Give none of these:
{{ takes }}
{{/takes}}`,
  },
  [aCase('A light', 'a potter at her wheel, soft window light from the left, oil painting', [{ kind: 'distinct', count: 5 }, { kind: 'first-answer-valid' }], { values: { phrase: 'soft window light from the left' } })],
)
