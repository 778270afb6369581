import { aCase, helper } from './shipped-helper.ts'

/** Distinct subjects or takes for a theme. */
export const ideas = helper(
  'ideas',
  {
    name: 'Ideas',
    does: 'Ten distinct subjects or takes for a theme, a project or a brief, none that the project has already.',
    answer: 'ideas',
    inputs: [
      { key: 'theme', label: 'Theme or brief', kind: 'text', needed: true, hint: 'A word, a line, or the client’s own text' },
      { key: 'count', label: 'How many', kind: 'number', min: 2, max: 20, default: 10 },
    ],
    temperature: 1,
    tags: ['beginning'],
    instruction: `Give {{ count }} ideas for pictures on this theme.

{{ theme }}

Each is one line of ten to twenty words: who or what, doing what, where, and when. No two share a subject, an action or a place.
Use ordinary words, and no names of people, places or brands.
{{#houseRules}}The rules of the house:
{{ houseRules }}
{{/houseRules}}{{#existing}}These are there already; give nothing like them:
{{ existing }}
{{/existing}}{{#takes}}Make them unlike these:
{{ takes }}
{{/takes}}`,
  },
  [
    aCase('A season', '', [{ kind: 'distinct', count: 10 }, { kind: 'length-within', least: 6, most: 26 }], { values: { theme: 'late autumn' } }),
    aCase('A thing', '', [{ kind: 'distinct', count: 10 }, { kind: 'first-answer-valid' }], { values: { theme: 'bridges' } }),
    aCase('A brief', '', [{ kind: 'distinct', count: 10 }], { values: { theme: 'Posters for a mountain railway that runs all year; families and walkers should want to go.' } }),
  ],
)
