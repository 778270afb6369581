import { likeliest, scaled, sharesOf } from '../logistic.ts'
import { mean, quantile } from '../planes.ts'
import type { View } from '../view.ts'
import { KEY } from './learned.ts'

const EDGE = 256
const DARK = 0.42
const LIGHT = 0.66
/** Less sure than this is not told. */
const SURE = 0.57

/** What a key is told by: the mean of lightness, how much lies in the dark and in the light, and its quarters. */
export function keyNumbers(view: View): number[] {
  const { at } = view.at(EDGE).l
  const share = (holds: (value: number) => boolean) => at.filter(holds).length / at.length
  return [mean(at), share((l) => l < DARK), share((l) => l > LIGHT), quantile(at, 0.25), quantile(at, 0.5), quantile(at, 0.75)]
}

/** Whether dark or light tones rule a picture, as photographers say it; undefined between two of them. */
export function key(view: View): 'high' | 'mid' | 'low' | undefined {
  const { value, share } = likeliest(sharesOf(scaled(keyNumbers(view), KEY), KEY.weights), ['high', 'mid', 'low'] as const)
  return share >= SURE ? value : undefined
}
