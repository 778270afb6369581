import { boxBlur, type Plane, quantile } from '../planes.ts'
import type { View } from '../view.ts'

const EDGE = 96
/** Half the sides of the surroundings that a place is held against, as shares of the long edge. */
const SURROUNDINGS = [0.06, 0.14, 0.3] as const
/** So much of the picture draws the eye. */
const DRAWS = 0.94
/** Of what differs most, this share lies about the place the eye goes to, no further off than this; where all is alike it is a fifth. */
const GATHERED = 0.28
const ABOUT = 0.22
/** Eyes begin in the middle: what is this far off, as a share of the width, draws them less by a Gaussian (the centre bias of Judd, Ehinger, Durand & Torralba 2009). */
const FROM_CENTRE = 0.33
/** Where what draws the eye lies wider apart than this, it is drawn nowhere in particular. */
const WIDEST = 0.25

/** How far each place differs in lightness and colour from what is about it, near and far (centre and surround; Itti, Koch & Niebur 1998). */
export function saliency(view: View): Plane {
  const { l, a, b } = view.at(EDGE)
  const { width, height } = l
  const at = new Float32Array(width * height)
  for (const share of SURROUNDINGS) {
    const radius = Math.max(1, Math.round(share * Math.max(width, height)))
    const around = [l, a, b].map((plane) => ({ near: boxBlur(plane, 1).at, far: boxBlur(plane, radius).at }))
    at.forEach((_, i) => (at[i]! += Math.hypot(...around.map(({ near, far }) => near[i]! - far[i]!))))
  }
  return { width, height, at }
}

/** Where the eye goes, as shares of width and height, and how far about it the rest lies that draws it. */
export function eyePoint(view: View): { x: number; y: number; spread: number } | undefined {
  const { width, height, at } = saliency(view)
  const plain = at.slice()
  at.forEach((value, i) => {
    const [x, y] = [((i % width) + 0.5) / width - 0.5, (Math.floor(i / width) + 0.5) / height - 0.5]
    at[i] = value * Math.exp(-(x * x + y * y) / (2 * FROM_CENTRE ** 2))
  })
  const least = quantile(at, DRAWS)
  let [sum, x, y, xx] = [0, 0, 0, 0]
  at.forEach((value, i) => {
    if (value < least || value <= 0) return
    const u = ((i % width) + 0.5) / width
    sum += value
    x += value * u
    xx += value * u * u
    y += (value * (Math.floor(i / width) + 0.5)) / height
  })
  if (sum < 1e-6) return undefined
  const plainLeast = quantile(plain, DRAWS)
  let [near, all] = [0, 0]
  plain.forEach((value, i) => {
    if (value < plainLeast) return
    all += value
    if (Math.abs(((i % width) + 0.5) / width - x / sum) < ABOUT && Math.abs((Math.floor(i / width) + 0.5) / height - y / sum) < ABOUT) near += value
  })
  if (near < GATHERED * all) return undefined
  return { x: x / sum, y: y / sum, spread: Math.sqrt(Math.max(0, xx / sum - (x / sum) ** 2)) }
}

/** On which side what draws the eye lies; undefined where it is drawn nowhere in particular, or near the line between two. */
export function sideOf(point: ReturnType<typeof eyePoint>): 'left' | 'centre' | 'right' | undefined {
  if (!point || point.spread > WIDEST) return undefined
  if (point.x < 0.33) return 'left'
  if (point.x > 0.67) return 'right'
  return point.x > 0.4 && point.x < 0.6 ? 'centre' : undefined
}
