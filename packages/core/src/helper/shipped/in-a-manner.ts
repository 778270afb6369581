import { aCase, helper, LENGTH } from './shipped-helper.ts'

const MANNER = 'A list with commas between its parts, without a capital, without a full stop at the end.\n10 to 18 words, mostly about 14.\nIn this order: medium, subject, setting, moment, technique, colour.\nAlways said, word for word: linocut; thick black outlines.\nFavourite words for colour: two colours; cream and rust.\nFavourite words for moment: misty dawn; moonlit night.'

/** A word, a line or a draft written in a manner that was learned from examples. */
export const inAManner = helper(
  'in-a-manner',
  {
    name: 'In a manner',
    does: 'Writes the draft in a manner that was learned from examples: its order, its length, its words.',
    answer: 'prompt',
    inputs: [{ key: 'manner', label: 'The manner, told in words', kind: 'text', needed: true, hint: 'from the Shelf, under Manners' }, LENGTH],
    tags: ['drafting'],
    instruction: `Write this draft in the manner that is told below.

{{ prompt }}

The manner:

{{ manner }}

Write about {{ length }} words. Keep what the draft says. Say the facets in the order of the manner and as it is punctuated; say word for word what is always said; take its favourite words where they fit, and leave out those that do not go with what the draft says.
No praise, no lead-in, no settings.
{{#fixed}}Keep these words exactly as they are:
{{ fixed }}
{{/fixed}}{{#takes}}Make it unlike these:
{{ takes }}
{{/takes}}`,
  },
  [
    aCase('One word', 'badger', [{ kind: 'first-answer-valid' }, { kind: 'says', words: 'badger', never: false }, { kind: 'says', words: 'linocut', never: false }, { kind: 'says', words: 'thick black outlines', never: false }, { kind: 'length-within', least: 8, most: 24 }], { values: { manner: MANNER, length: 14 } }),
    aCase('What the draft says stays', 'a crow on a gravestone at noon', [{ kind: 'says', words: 'noon', never: false }, { kind: 'says', words: 'moonlit', never: true }, { kind: 'no-stops' }], { values: { manner: MANNER, length: 16 } }),
  ],
)
