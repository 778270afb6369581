import { dimension } from '../dimension.ts'

export const colourfulness = dimension(
  'colour and no colour',
  'picture',
  ['colour', 'medium', 'technique', 'light', 'detail'],
  {
    none: 'black and white, black white, monochrome, monochromatic, greyscale, grey scale, colourless, drain|leach|bleach of colour, without colour, no colour, all in grey, shade of grey, sepia, sepia tone|toned|print|monochrome|view|photograph, single tone|colour, one colour only',
    full: `{vivid} colour|hue|tone|palette|shade, {vivid} _ colour|hue|palette|tone, {vivid} red|orange|yellow|green|turquoise|blue|pink|magenta|purple|emerald|scarlet|crimson|cobalt|teal|lime|coral|fuchsia|violet|ultramarine|vermilion|gold, in full|vivid|living|every|glorious colour, in every hue, full colour, colourful, multi coloured, many coloured, rainbow, rainbow colour|hue|palette, riot of colour, every colour, every colour of rainbow, burst|ablaze|blaze|alive|explode|awash|run riot with _? _? colour|scarlet|crimson|red|emerald|green|turquoise|blue|orange|yellow|purple|magenta|gold, kaleidoscope of colour, gaudy, psychedelic`,
    pastel: 'pastel colour|palette|tone|hue|shade, soft|pale|gentle pastel, pastels, sherbet colour|palette, pale colour|palette',
    muted: 'muted|faded|washed|subdued|dull|drab|dusty|restrained|quiet|sober _? colour|palette|tone|hue, washed out colour|palette, desaturated, desaturated colour|palette',
    warm: 'warm colour? palette|colour|tone|hue|shade, palette|colour|tone of red|orange|gold|amber',
    cool: 'cool|cold|icy colour? palette|colour|tone|hue|shade, palette|colour|tone of blue|teal|ice',
  },
  'none full, none pastel, muted full, pastel full, warm cool',
  'full warm cool none',
)

export const contrast = dimension(
  'two contrasts',
  'picture',
  ['technique', 'light', 'colour', 'medium', 'mood'],
  {
    high: 'high|strong|stark|hard|extreme|bold|fierce|heavy contrast, contrasty, strongly contrasted',
    low: 'low|soft|gentle|little|faint|subtle|flat contrast, no contrast',
  },
  'high low',
)
