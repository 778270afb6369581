import { mean } from '../planes.ts'
import type { View } from '../view.ts'

const EDGE = 256
const DARK = 0.42
const LIGHT = 0.66
const share = (values: Float32Array, holds: (value: number) => boolean) => values.filter(holds).length / values.length

/** Whether dark or light tones rule a picture, as photographers say it; undefined between two of them. */
export function key(view: View): 'high' | 'mid' | 'low' | undefined {
  const { at } = view.at(EDGE).l
  const middle = mean(at)
  const dark = share(at, (l) => l < DARK)
  const light = share(at, (l) => l > LIGHT)
  if (dark > 0.62 && middle < 0.42) return 'low'
  if (light > 0.72 && dark < 0.1 && middle > 0.74) return 'high'
  if (middle > 0.44 && middle < 0.68 && dark < 0.5 && light < 0.64) return 'mid'
  return undefined
}
