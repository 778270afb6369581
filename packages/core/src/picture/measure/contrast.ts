import { quantile } from '../planes.ts'
import type { View } from '../view.ts'

const EDGE = 256
/** Tones rarer than this at either end are not counted. */
const ENDS = 0.03

/** How far the dark tones lie from the light ones, on OKLab's scale of lightness. */
export const tonalRange = (view: View): number => {
  const { at } = view.at(EDGE).l
  return quantile(at, 1 - ENDS) - quantile(at, ENDS)
}

/** Whether tones reach from deep shadow to bright light, or lie close together; undefined near the lines between. */
export function contrast(view: View): 'high' | 'mid' | 'low' | undefined {
  const range = tonalRange(view)
  if (range > 0.71) return 'high'
  if (range < 0.32) return 'low'
  return range > 0.42 && range < 0.62 ? 'mid' : undefined
}
