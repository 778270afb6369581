import { aCase, ENGINE, helper, LENGTH, STYLE } from './shipped-helper.ts'

/** A word or a line becomes a full prompt. */
export const fillOut = helper(
  'fill-out',
  {
    name: 'Fill out',
    does: 'Makes a full prompt of a word or a line, and keeps every word that is locked.',
    answer: 'prompt',
    inputs: [LENGTH, STYLE, ENGINE],
    tags: ['drafting'],
    instruction: `Fill out this draft into a full prompt for a picture engine.

{{ prompt }}

Write about {{ length }} words, {{ style }}{{#engineReads}} (the engine reads {{ engineReads }}{{#engineLimit}}, at most {{ engineLimit }}{{/engineLimit}}){{/engineReads}}.
Say something of every facet: subject, action, detail, setting, moment, framing, light, colour, medium, technique, mood. Still missing: {{ missing }}.
Keep what the draft says. Add only what one picture can show at once: one place, one hour, one light, one medium.
Use ordinary words. No praise, no lead-in, no settings, no words to be read in the picture.
{{#locked}}Keep these words exactly as they are:
{{ locked }}
{{/locked}}{{#leaveOut}}Nothing of this may appear:
{{ leaveOut }}
{{/leaveOut}}{{#houseRules}}The rules of the house:
{{ houseRules }}
{{/houseRules}}{{#engineNotes}}About the engine:
{{ engineNotes }}
{{/engineNotes}}{{#takes}}Make it unlike these:
{{ takes }}
{{/takes}}`,
  },
  [
    aCase('One word', 'heron', [{ kind: 'first-answer-valid' }, { kind: 'facets-present', least: 9 }, { kind: 'no-stops' }, { kind: 'length-within', least: 40, most: 100 }]),
    aCase('A person at work', 'a watchmaker', [{ kind: 'first-answer-valid' }, { kind: 'facets-present', least: 9 }, { kind: 'no-stops' }, { kind: 'says', words: 'watchmaker', never: false }]),
    aCase('Locked words', 'an old ferry, rust-red hull, moored at a wooden quay', [{ kind: 'first-answer-valid' }, { kind: 'locked-kept' }, { kind: 'facets-present', least: 9 }, { kind: 'no-stops' }], { locked: ['rust-red hull', 'wooden quay'] }),
    aCase('Night is said already', 'a bakery at night', [{ kind: 'first-answer-valid' }, { kind: 'no-stops' }, { kind: 'facets-present', facets: ['subject', 'setting', 'light', 'medium'] }, { kind: 'says', words: 'night', never: false }]),
    aCase('Short, for keywords', 'honey jar', [{ kind: 'length-within', least: 18, most: 60 }, { kind: 'no-stops' }], { values: { length: 35, style: 'a list' }, engine: { engine: 'brayer' } }),
    aCase('Long, in sentences', 'a rack railway train', [{ kind: 'length-within', least: 90, most: 190 }, { kind: 'no-stops' }, { kind: 'first-answer-valid' }], { values: { length: 140, style: 'sentences' } }),
    aCase('With a leave-out list', 'a harbour', [{ kind: 'no-stops' }, { kind: 'says', words: 'people', never: true }], { leaveOut: ['people', 'lettering'] }),
    aCase('A medium is said', 'fox in snow, linocut', [{ kind: 'first-answer-valid' }, { kind: 'says', words: 'linocut', never: false }, { kind: 'no-stops' }, { kind: 'says', words: 'photograph', never: true }]),
  ],
)
