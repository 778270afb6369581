import type { Plane } from '../planes.ts'
import type { View } from '../view.ts'

const EDGE = 64
/** Less than this of all that varies lies within the rows: a sky over a field is no symmetry. */
const WITHIN_ROWS = 0.12

/** What varies within the rows, and how much of it the mirror image takes away. */
function mirrored({ width, height, at }: Plane): { all: number; within: number; off: number } {
  let total = 0
  for (const value of at) total += value
  const middle = total / at.length
  let [all, within, off] = [0, 0, 0]
  for (let y = 0; y < height; y++) {
    const row = at.subarray(y * width, (y + 1) * width)
    let sum = 0
    for (const value of row) sum += value
    const own = sum / width
    row.forEach((value, x) => {
      all += (value - middle) ** 2
      within += (value - own) ** 2
      off += (value - row[width - 1 - x]!) ** 2 / 2
    })
  }
  return { all, within, off }
}

/** Whether its left half mirrors its right; undefined where it nearly does, or nothing varies that could. */
export function symmetric(view: View): boolean | undefined {
  const { l, a, b } = view.at(EDGE)
  const parts = [l, a, b].map(mirrored)
  const of = (part: 'all' | 'within' | 'off') => parts.reduce((sum, one) => sum + one[part], 0)
  const within = of('within')
  if (within < 1e-3) return undefined
  if (within / of('all') < WITHIN_ROWS) return undefined
  const alike = 1 - of('off') / within
  return alike > 0.76 ? true : alike < 0.5 ? false : undefined
}
