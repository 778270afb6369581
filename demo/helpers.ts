import type { HelperBody, HelperCase } from '@idolon/core/helper'

/** A helper of the writer's own in the demo world: two versions, the second better on its cases, and why. */
export interface DemoHelper {
  project: string
  versions: { body: HelperBody; why: string }[]
  cases: HelperCase[]
}

const body = (instruction: string): HelperBody => ({
  name: 'Shelf picture',
  does: 'A product on a surface for Skep & Cup: one thing, one light, room for the label.',
  instruction,
  answer: 'prompt',
  inputs: [{ key: 'length', label: 'Length in words', kind: 'number', min: 20, max: 120, default: 55 }],
  examples: ['A jar of honey on a slate counter, soft window light from the left, close view from slightly above, photograph, 85mm lens at f/4'],
  model: null,
  temperature: 0.6,
  tags: ['Skep & Cup'],
})

const FIRST = `Fill this out into a full prompt for a product picture.

{{ prompt }}

Like these:
{{ examples }}`

const SECOND = `Fill out this draft into a full prompt for a product picture.

{{ prompt }}

Write about {{ length }} words, as a list.
Say something of every facet that is missing: {{ missing }}. Add only what one picture can show: one place, one hour, one light.
Use ordinary words. No praise, no lead-in, no settings, no words to be read in the picture.
{{#locked}}Keep these words exactly as they are:
{{ locked }}
{{/locked}}{{#leaveOut}}Nothing of this may appear:
{{ leaveOut }}
{{/leaveOut}}Like these:
{{ examples }}`

const one = (name: string, text: string, criteria: HelperCase['criteria'], more: Partial<HelperCase> = {}): HelperCase => ({ name, text, locked: [], leaveOut: [], engine: null, values: {}, existing: [], ...more, criteria })

export const DEMO_HELPER: DemoHelper = {
  project: 'Skep & Cup',
  versions: [
    { body: body(FIRST), why: 'First try' },
    { body: body(SECOND), why: 'Says what must not come in: praise and settings kept slipping through, and half were twice as long as a label can bear' },
  ],
  cases: [
    one('Honey jar', 'a jar of dark honey', [{ kind: 'length-within', least: 35, most: 75 }, { kind: 'no-stops' }, { kind: 'first-answer-valid' }]),
    one('Tea tin', 'a tin of smoked tea', [{ kind: 'length-within', least: 35, most: 75 }, { kind: 'facets-present', least: 9 }, { kind: 'first-answer-valid' }]),
    one('House colours stay', 'a green teapot, cream and sage', [{ kind: 'locked-kept' }, { kind: 'no-stops' }], { locked: ['cream and sage'] }),
    one('No people', 'three cups on a table', [{ kind: 'says', words: 'people', never: true }, { kind: 'no-stops' }, { kind: 'length-within', least: 35, most: 75 }], { leaveOut: ['people', 'lettering'] }),
    one('A box at night', 'a honey box at night', [{ kind: 'says', words: 'night', never: false }, { kind: 'no-stops' }, { kind: 'first-answer-valid' }]),
    one('A whole line', 'a round loaf with honey running down its side, on a board', [{ kind: 'facets-present', least: 9 }, { kind: 'length-within', least: 35, most: 80 }]),
  ],
}
