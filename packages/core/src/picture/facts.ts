import { balance } from './measure/balance.ts'
import { busy } from './measure/busy.ts'
import { cast } from './measure/cast.ts'
import { colourMap } from './measure/colour-map.ts'
import { contrast } from './measure/contrast.ts'
import { eyePoint, sideOf } from './measure/eye.ts'
import { edgeWidths, focus } from './measure/focus.ts'
import { grain } from './measure/grain.ts'
import { horizon } from './measure/horizon.ts'
import { key } from './measure/key.ts'
import { lightHard } from './measure/light-hard.ts'
import { lightSide } from './measure/light-side.ts'
import { mono } from './measure/mono.ts'
import { palette } from './measure/palette.ts'
import { pattern, repeat } from './measure/pattern.ts'
import { saturation } from './measure/saturation.ts'
import { emptySpace, sideOfSpace } from './measure/space.ts'
import { symmetric } from './measure/symmetric.ts'
import { temperature } from './measure/temperature.ts'
import { texture } from './measure/texture.ts'
import { onThirds } from './measure/thirds.ts'
import { tonesOf } from './measure/tones.ts'
import type { Facts, FirstFacts } from './shape.ts'
import type { View } from './view.ts'

export const firstFactsOf = (view: View): FirstFacts => ({ key: key(view) ?? null, temperature: temperature(view) ?? null, mono: mono(view) ?? null, palette: palette(view) })

const rounded = (value: number) => Math.round(value * 100) / 100

/** All that can be measured of a picture's pixels. */
export function factsOf(view: View, first = firstFactsOf(view)): Facts {
  const line = horizon(view)
  const eye = eyePoint(view)
  const edges = edgeWidths(view)
  const repeated = repeat(view)
  const repeats = pattern(repeated)
  const space = emptySpace(view)
  return {
    ...first,
    focus: focus(edges) ?? null,
    side: sideOf(eye) ?? null,
    horizon: line ? rounded(line.y) : null,
    symmetric: symmetric(view) ?? null,
    busy: busy(view) ?? null,
    contrast: contrast(view) ?? null,
    saturation: saturation(view) ?? null,
    cast: cast(view) ?? null,
    lightSide: lightSide(view) ?? null,
    lightHard: lightHard(view) ?? null,
    grain: grain(view) ?? null,
    texture: texture(view) ?? null,
    pattern: repeats ?? null,
    balance: balance(view) ?? null,
    thirds: eye ? (onThirds(eye) ?? null) : null,
    space: (space && sideOfSpace(space)) ?? null,
    where: {
      colours: colourMap(view, first.palette),
      tones: tonesOf(view),
      space: space ? space.map(rounded) : null,
      repeat: repeated && repeats ? { x: rounded(repeated.x), y: rounded(repeated.y) } : null,
      eye: eye ? { x: rounded(eye.x), y: rounded(eye.y) } : null,
      horizon: line ? { y: rounded(line.y), tilt: line.tilt } : null,
      edges: { columns: edges.columns, widths: edges.widths.map((width) => (width === undefined ? null : rounded(width))) },
    },
  }
}
