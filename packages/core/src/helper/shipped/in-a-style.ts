import { aCase, helper, LENGTH, LOCKED_AND_UNLIKE } from './shipped-helper.ts'

const TOLD = 'A list with commas between its parts, without a capital, without a full stop at the end.\n10 to 18 words, mostly about 14.\nIn this order: medium, subject, setting, moment, technique, colour.\nAlways said, word for word: linocut; thick black outlines.\nFavourite words for colour: two colours; cream and rust.\nFavourite words for moment: misty dawn; moonlit night.'

/** A word, a line or a draft written in a writing style that was learned from examples. */
export const inAStyle = helper(
  'in-a-style',
  {
    name: 'In a writing style',
    does: 'Writes the draft in a writing style that was learned from examples: its order, its length, its words.',
    answer: 'prompt',
    inputs: [{ key: 'writingStyle', label: 'The writing style, told in words', kind: 'text', needed: true, hint: 'from the Shelf, under Writing styles' }, LENGTH],
    tags: ['drafting'],
    instruction: `Write this draft in the writing style that is told below.

{{ prompt }}

The writing style:

{{ writingStyle }}

Write about {{ length }} words. Keep what the draft says. Say the facets in the order of the writing style and as it is punctuated; say word for word what is always said; take its favourite words where they fit, and leave out those that do not go with what the draft says.
No praise, no lead-in, no settings.
${LOCKED_AND_UNLIKE}`,
  },
  [
    aCase('One word', 'badger', [{ kind: 'first-answer-valid' }, { kind: 'says', words: 'badger', never: false }, { kind: 'says', words: 'linocut', never: false }, { kind: 'says', words: 'thick black outlines', never: false }, { kind: 'length-within', least: 8, most: 24 }], { values: { writingStyle: TOLD, length: 14 } }),
    aCase('What the draft says stays', 'a crow on a gravestone at noon', [{ kind: 'says', words: 'noon', never: false }, { kind: 'says', words: 'moonlit', never: true }, { kind: 'no-stops' }], { values: { writingStyle: TOLD, length: 16 } }),
  ],
)
