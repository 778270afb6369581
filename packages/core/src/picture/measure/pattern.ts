import { boxBlur } from '../planes.ts'
import type { View } from '../view.ts'

const EDGE = 96
/** Repeats closer than so many pixels are a texture, and further apart than this share of a side there are too few of them. */
const CLOSEST = 5
const FURTHEST = 0.34
/** So alike is a picture to itself moved on by one repeat; by half of one it is this much less so. */
const ALIKE = 0.55
const BETWEEN = 0.35
const NOT = 0.3

export interface Repeat {
  /** How far it is from one to the next, as shares of the width and height. */
  x: number
  y: number
  alike: number
}

/** How alike a picture is to itself, moved: the correlation of what overlaps, without slow changes of tone. */
function selfAlike(at: Float32Array, width: number, height: number, dx: number, dy: number): number {
  let [both, own, its] = [0, 0, 0]
  for (let y = Math.max(0, -dy); y < Math.min(height, height - dy); y++)
    for (let x = 0; x < width - dx; x++) {
      const one = at[y * width + x]!
      const other = at[(y + dy) * width + x + dx]!
      both += one * other
      own += one * one
      its += other * other
    }
  return own * its > 0 ? both / Math.sqrt(own * its) : 0
}

/** The move after which a picture is most like itself, and whether it is a repeat: a peak, with a valley on the way to it. */
export function repeat(view: View): Repeat | undefined {
  const { l } = view.at(EDGE)
  const { width, height } = l
  if (Math.min(width, height) < 4 * CLOSEST) return undefined
  const slow = boxBlur(l, Math.round(EDGE / 5))
  const at = l.at.map((value, i) => value - slow.at[i]!)
  if (at.reduce((sum, value) => sum + value * value, 0) / at.length < 2e-4) return undefined
  const [right, down] = [Math.floor(width * FURTHEST), Math.floor(height * FURTHEST)]
  let best: Repeat | undefined
  // A coarse look first, every second place; then about the best of them.
  const tryAt = (dx: number, dy: number) => {
    if (dx < 0 || dx > right || Math.abs(dy) > down || Math.hypot(dx, dy) < CLOSEST || (dx === 0 && dy < 0)) return
    const alike = selfAlike(at, width, height, dx, dy)
    if (best && alike <= best.alike) return
    const half = selfAlike(at, width, height, Math.round(dx / 2), Math.round(dy / 2))
    if (alike - half > ALIKE - BETWEEN) best = { x: dx / width, y: dy / height, alike }
  }
  for (let dx = 0; dx <= right; dx += 2) for (let dy = -down; dy <= down; dy += 2) tryAt(dx, dy)
  if (best) {
    const [x, y] = [Math.round(best.x * width), Math.round(best.y * height)]
    for (let dx = x - 1; dx <= x + 1; dx++) for (let dy = y - 1; dy <= y + 1; dy++) tryAt(dx, dy)
  }
  return best ?? { x: 0, y: 0, alike: 0 }
}

/** Whether one thing or shape comes again and again at even steps; undefined where it nearly does. */
export function pattern(found: Repeat | undefined): boolean | undefined {
  if (!found) return undefined
  return found.alike > ALIKE ? true : found.alike < NOT ? false : undefined
}
