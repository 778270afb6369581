import { chromaOf, hueOf, labOf } from '../oklab.ts'
import type { PictureReading } from '../shape.ts'

/** What lies above the horizon, or the upper quarter where none is known. */
const UPPER = 0.25
/** Hues of a sky by day, in degrees of OKLCH. */
const BLUE = [215, 275] as const
const BLUE_CHROMA = 0.035

/** How light the upper part of a picture is, and how much of it is a blue by day; undefined where nothing is known of it. */
export function skyOf({ palette, where: { colours, horizon } }: PictureReading): { light: number; blue: number } | undefined {
  if (colours.columns === 0 || palette.length === 0) return undefined
  const rows = colours.of.length / colours.columns
  const upper = colours.of.slice(0, colours.columns * Math.max(1, Math.round(rows * (horizon ? Math.min(horizon.y, 0.6) : UPPER))))
  let [light, blue] = [0, 0]
  for (const which of upper) {
    const lab = labOf(palette[which]!.hex)
    light += lab[0]
    const hue = hueOf(lab)
    if (hue > BLUE[0] && hue < BLUE[1] && chromaOf(lab) > BLUE_CHROMA && lab[0] > 0.5) blue++
  }
  return { light: light / upper.length, blue: blue / upper.length }
}
