import { aCase, helper } from './shipped-helper.ts'

/** Ideas along the lines of one, and unlike others. */
export const moreLikeThis = helper(
  'more-like-this',
  {
    name: 'More like this',
    does: 'Further ideas along the lines of one, unlike others that did not please.',
    answer: 'ideas',
    inputs: [
      { key: 'like', label: 'Like this', kind: 'text', needed: true },
      { key: 'unlike', label: 'Unlike these', kind: 'text' },
      { key: 'count', label: 'How many', kind: 'number', min: 2, max: 20, default: 10 },
    ],
    temperature: 1,
    tags: ['beginning'],
    instruction: `Give {{ count }} more ideas like this one: the same kind of subject and the same spirit, each with a subject and a place of its own.

{{ like }}

Each is one line of ten to twenty words: who or what, doing what, where, and when.
{{#unlike}}Give nothing like these:
{{ unlike }}
{{/unlike}}{{#existing}}These are there already; give nothing like them:
{{ existing }}
{{/existing}}{{#takes}}Make them unlike these:
{{ takes }}
{{/takes}}`,
  },
  [aCase('Like one', '', [{ kind: 'distinct', count: 10 }], { values: { like: 'a ferryman asleep against his oar on a misty lake at dawn' } })],
)
