import { saliency } from './eye.ts'
import type { View } from '../view.ts'

/** A centre of what draws the eye this far off the middle, as a share of the width, makes one side heavier. */
const HEAVIER = 0.09
const EVEN = 0.045

/** Which side weighs more, by all that stands out; undefined where it is hard to tell or nothing does. */
export function balance(view: View): 'left' | 'even' | 'right' | undefined {
  const { width, at } = saliency(view)
  let [sum, x] = [0, 0]
  at.forEach((value, i) => {
    sum += value ** 2
    x += value ** 2 * (((i % width) + 0.5) / width)
  })
  if (sum < 1e-6) return undefined
  const off = x / sum - 0.5
  return off < -HEAVIER ? 'left' : off > HEAVIER ? 'right' : Math.abs(off) < EVEN ? 'even' : undefined
}
