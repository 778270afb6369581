import { tonalRange } from './contrast.ts'
import { texture } from './texture.ts'
import type { View } from '../view.ts'

const EDGE = 256
/** A step of lightness this steep, and this high over a few pixels, may be the edge of a shadow. */
const STEEP = 0.035
const HIGH = 0.15
const ACROSS = 3
const DARKEST = 0.08
/** One surface in light and in shadow keeps its chroma by lightness: that much of it there must be, and so far apart may they be. */
const COLOURED = 0.04
const SAME = 0.35
/** Shares of the picture that are such edges, and tonal ranges, of hard and of soft light. */
const HARD = 0.05
const HARD_RANGE = 0.63
const SOFT = 0.006
const SOFT_RANGE = 0.5
/** Fewer places with colour than this, and shadows cannot be told from dark things. */
const TELLING = 0.25

/**
 * Whether shadows have sharp edges; soft only where surfaces are smooth too, since a rough one in flat sun has none that show: steps between light and dark over which one surface goes on, told from the edges of things by
 * their colour (shadow and reflectance edges as in Finlayson, Hordley, Lu & Drew 2006, by chroma in OKLab). Undefined between, and
 * where there is too little colour to tell them apart.
 */
export function lightHard(view: View): boolean | undefined {
  const { l, a, b } = view.at(EDGE)
  const { width, height } = l
  let [shadows, coloured] = [0, 0]
  for (let y = ACROSS + 1; y < height - ACROSS - 1; y++)
    for (let x = ACROSS + 1; x < width - ACROSS - 1; x++) {
      const i = y * width + x
      if (Math.hypot(a.at[i]!, b.at[i]!) > COLOURED * l.at[i]!) coloured++
      const [across, down] = [l.at[i + 1]! - l.at[i - 1]!, l.at[i + width]! - l.at[i - width]!]
      const slope = Math.hypot(across, down)
      if (slope / 2 < STEEP) continue
      const [dx, dy] = [Math.round((ACROSS * across) / slope), Math.round((ACROSS * down) / slope)]
      const [lit, dim] = [i + dy * width + dx, i - dy * width - dx]
      const [light, dark] = [l.at[lit]!, l.at[dim]!]
      if (light - dark < HIGH || dark < DARKEST) continue
      const chroma = Math.hypot(a.at[lit]!, b.at[lit]!) / light
      if (chroma > COLOURED && Math.hypot(a.at[lit]! / light - a.at[dim]! / dark, b.at[lit]! / light - b.at[dim]! / dark) < SAME * chroma) shadows++
    }
  if (coloured < TELLING * width * height) return undefined
  const share = shadows / (width * height)
  const range = tonalRange(view)
  return share > HARD && range > HARD_RANGE ? true : share < SOFT && range < SOFT_RANGE && texture(view) === 'smooth' ? false : undefined
}
