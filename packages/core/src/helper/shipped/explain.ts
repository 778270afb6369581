import { aCase, helper } from './shipped-helper.ts'

/** What each phrase of a found prompt is for. */
export const explain = helper(
  'explain',
  {
    name: 'Explain',
    does: 'Says what each phrase of a prompt is for, and what could go.',
    answer: 'explanation',
    tags: ['learning'],
    instruction: `Explain this prompt, phrase by phrase.

{{ prompt }}

Its phrases as they were read:
{{ phrases }}

Say in one plain sentence what each phrase does to the picture, and whether it could go without a loss: what is said twice, what says nothing, what the engine cannot draw.`,
  },
  [aCase('With empty words', 'a cat on a wall, masterpiece, stunning, evening light, a cat, gouache', [{ kind: 'first-answer-valid' }, { kind: 'says', words: 'praise', never: false }])],
)
