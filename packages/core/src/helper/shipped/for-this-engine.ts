import { aCase, ENGINE, helper, LOCKED_AND_UNLIKE } from './shipped-helper.ts'

/** Rewritten for an engine's way of reading, with settings and why. */
export const forThisEngine = helper(
  'for-this-engine',
  {
    name: 'For this engine',
    does: 'Rewrites the draft for an engine’s way of reading, with settings it recommends and why.',
    answer: 'engine',
    inputs: [ENGINE],
    tags: ['engines'],
    instruction: `Rewrite this prompt for the engine {{ engineName }}, so that it asks for the same picture.

{{ prompt }}

The engine reads {{ engineReads }}{{#engineLimit}}, at most {{ engineLimit }}{{/engineLimit}}.
{{#engineNotes}}About it:
{{ engineNotes }}
{{/engineNotes}}{{#engineSettings}}Recommend values for these settings, and for no others:
{{ engineSettings }}
{{/engineSettings}}Say why in one or two sentences. No praise, no lead-in and no settings in the prompt itself.
${LOCKED_AND_UNLIKE}`,
  },
  [
    aCase('Sentences for keywords', 'An old ferry lies at a wooden quay. It is early morning and the water is still. The picture is an oil painting with a limited palette of grey and rust.', [{ kind: 'length-within', least: 8, most: 60 }, { kind: 'no-stops' }, { kind: 'says', words: 'ferry', never: false }], { engine: { engine: 'brayer' } }),
    aCase('Keywords for sentences', 'old ferry, wooden quay, early morning, still water, oil painting, grey and rust', [{ kind: 'no-stops' }, { kind: 'says', words: 'wooden quay', never: false }], { engine: { engine: 'burin' } }),
  ],
)
