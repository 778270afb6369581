import { colourName } from '../colour-name.ts'
import { quantile } from '../planes.ts'
import type { ColourName } from '../shape.ts'
import type { View } from '../view.ts'

const EDGE = 256
/** Tones that can show a cast: neither drowned nor burnt out. */
const LEAST_LIGHT = 0.25
const MOST_LIGHT = 0.97
/** What should be grey is sought among the least coloured of these. */
const LEAST_COLOURED = 0.3
/** Such greys lie this far off the axis where there is a cast, and closer together than so much of that. */
const OFF = 0.028
const NONE = 0.012
const TOGETHER = 0.9
const NAMED_CHROMA = 0.12

/**
 * A tint over all, seen where there should be greys: the least coloured tones lie off the axis of greys, all on one side. “none” where
 * there are greys without one; undefined where there are too few tones, or the tint is doubtful.
 */
export function cast(view: View): ColourName | 'none' | undefined {
  const { l, a, b } = view.at(EDGE)
  const chroma: number[] = []
  for (let i = 0; i < l.at.length; i++) if (l.at[i]! > LEAST_LIGHT && l.at[i]! < MOST_LIGHT) chroma.push(Math.hypot(a.at[i]!, b.at[i]!))
  if (chroma.length < l.at.length / 8) return undefined
  const most = quantile(chroma, LEAST_COLOURED)
  let [x, y, sum, n] = [0, 0, 0, 0]
  for (let i = 0; i < l.at.length; i++) {
    if (l.at[i]! <= LEAST_LIGHT || l.at[i]! >= MOST_LIGHT) continue
    const own = Math.hypot(a.at[i]!, b.at[i]!)
    if (own > most) continue
    x += a.at[i]!
    y += b.at[i]!
    sum += own
    n++
  }
  if (n === 0) return undefined
  const off = Math.hypot(x, y) / n
  if (off < NONE) return 'none'
  if (off < OFF || Math.hypot(x, y) < TOGETHER * sum) return undefined
  const scale = NAMED_CHROMA / off
  const name = colourName([0.7, (x / n) * scale, (y / n) * scale])
  return name === 'brown' ? 'orange' : name
}
