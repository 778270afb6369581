import { busy } from './measure/busy.ts'
import { eyePoint, sideOf } from './measure/eye.ts'
import { edgeWidths, focus } from './measure/focus.ts'
import { horizon } from './measure/horizon.ts'
import { key } from './measure/key.ts'
import { mono } from './measure/mono.ts'
import { palette } from './measure/palette.ts'
import { symmetric } from './measure/symmetric.ts'
import { temperature } from './measure/temperature.ts'
import type { Facts, FirstFacts } from './shape.ts'
import type { View } from './view.ts'

export const firstFactsOf = (view: View): FirstFacts => ({ key: key(view) ?? null, temperature: temperature(view) ?? null, mono: mono(view) ?? null, palette: palette(view) })

const rounded = (value: number) => Math.round(value * 100) / 100

/** All that can be measured of a picture's pixels. */
export function factsOf(view: View, first = firstFactsOf(view)): Facts {
  const line = horizon(view)
  const eye = eyePoint(view)
  const edges = edgeWidths(view)
  return {
    ...first,
    focus: focus(edges) ?? null,
    side: sideOf(eye) ?? null,
    horizon: line ? rounded(line.y) : null,
    symmetric: symmetric(view) ?? null,
    busy: busy(view) ?? null,
    where: {
      eye: eye ? { x: rounded(eye.x), y: rounded(eye.y) } : null,
      horizon: line ? { y: rounded(line.y), tilt: line.tilt } : null,
      edges: { columns: edges.columns, widths: edges.widths.map((width) => (width === undefined ? null : rounded(width))) },
    },
  }
}
