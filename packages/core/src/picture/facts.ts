import { busy } from './measure/busy.ts'
import { side } from './measure/eye.ts'
import { focus } from './measure/focus.ts'
import { horizon } from './measure/horizon.ts'
import { key } from './measure/key.ts'
import { mono } from './measure/mono.ts'
import { palette, type PaletteColour } from './measure/palette.ts'
import { symmetric } from './measure/symmetric.ts'
import { temperature } from './measure/temperature.ts'
import type { Raster } from './raster.ts'
import { View } from './view.ts'

/** What can be measured of a picture; what it does not settle is null, never a guess. */
export interface Facts {
  key: 'high' | 'mid' | 'low' | null
  temperature: 'warm' | 'cool' | 'neutral' | null
  focus: 'shallow' | 'deep' | null
  palette: PaletteColour[]
  /** Where the eye goes. */
  side: 'left' | 'centre' | 'right' | null
  /** As a share of the height, from the top. */
  horizon: number | null
  symmetric: boolean | null
  mono: boolean | null
  busy: boolean | null
}

export function factsOf(raster: Raster): Facts {
  const view = new View(raster)
  const line = horizon(view)
  return {
    key: key(view) ?? null,
    temperature: temperature(view) ?? null,
    focus: focus(view) ?? null,
    palette: palette(view),
    side: side(view) ?? null,
    horizon: line ? Math.round(line.y * 100) / 100 : null,
    symmetric: symmetric(view) ?? null,
    mono: mono(view) ?? null,
    busy: busy(view) ?? null,
  }
}
