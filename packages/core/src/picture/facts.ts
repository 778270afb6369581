import { busy } from './measure/busy.ts'
import { side } from './measure/eye.ts'
import { focus } from './measure/focus.ts'
import { horizon } from './measure/horizon.ts'
import { key } from './measure/key.ts'
import { mono } from './measure/mono.ts'
import { palette, type PaletteColour } from './measure/palette.ts'
import { symmetric } from './measure/symmetric.ts'
import { temperature } from './measure/temperature.ts'
import type { View } from './view.ts'

/** What a glance at a picture tells: its colours and its light. What it does not settle is null, never a guess. */
export interface FirstFacts {
  key: 'high' | 'mid' | 'low' | null
  temperature: 'warm' | 'cool' | 'neutral' | null
  mono: boolean | null
  palette: PaletteColour[]
}
/** All that can be measured of a picture's pixels. */
export interface Facts extends FirstFacts {
  focus: 'shallow' | 'deep' | null
  /** Where the eye goes. */
  side: 'left' | 'centre' | 'right' | null
  /** As a share of the height, from the top. */
  horizon: number | null
  symmetric: boolean | null
  busy: boolean | null
}

export const firstFactsOf = (view: View): FirstFacts => ({ key: key(view) ?? null, temperature: temperature(view) ?? null, mono: mono(view) ?? null, palette: palette(view) })

export function factsOf(view: View, first = firstFactsOf(view)): Facts {
  const line = horizon(view)
  return {
    ...first,
    focus: focus(view) ?? null,
    side: side(view) ?? null,
    horizon: line ? Math.round(line.y * 100) / 100 : null,
    symmetric: symmetric(view) ?? null,
    busy: busy(view) ?? null,
  }
}
