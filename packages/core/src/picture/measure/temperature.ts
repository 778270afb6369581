import { warmthOf } from '../oklab.ts'
import { mean } from '../planes.ts'
import type { View } from '../view.ts'

const EDGE = 256

/** Whether its colours are warm, cool or neither on the whole; undefined where it is near the line. */
export function temperature(view: View): 'warm' | 'cool' | 'neutral' | undefined {
  const { a, b } = view.at(EDGE)
  const warmth = warmthOf(mean(a.at), mean(b.at))
  if (warmth > 0.019) return 'warm'
  if (warmth < -0.013) return 'cool'
  return warmth < 0.009 && warmth > -0.006 ? 'neutral' : undefined
}
