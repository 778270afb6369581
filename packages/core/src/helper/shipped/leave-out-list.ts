import { aCase, helper } from './shipped-helper.ts'

/** What would come into the picture unasked. */
export const leaveOutList = helper(
  'leave-out-list',
  {
    name: 'What to leave out',
    does: 'Entries for the leave-out list: what the words of the draft commonly bring along unasked.',
    answer: 'leave-outs',
    inputs: [{ key: 'count', label: 'Entries at most', kind: 'number', min: 1, max: 20, default: 8 }],
    tags: ['refining'],
    instruction: `Say what should stand on the leave-out list of this prompt: things and faults that its words commonly bring along though nobody asked.

{{ prompt }}

Give at most {{ count }} entries, each a bare word or two, never "no ..." and never something that the prompt asks for.
{{#leaveOut}}These are on the list already:
{{ leaveOut }}
{{/leaveOut}}{{#takes}}Give none of these:
{{ takes }}
{{/takes}}`,
  },
  [aCase('A hermit', 'a hermit reading at the mouth of a cave, dusk, engraving', [{ kind: 'first-answer-valid' }, { kind: 'says', words: 'cave', never: true }, { kind: 'distinct' }])],
)
