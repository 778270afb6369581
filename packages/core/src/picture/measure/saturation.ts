import { quantile } from '../planes.ts'
import type { View } from '../view.ts'

const EDGE = 256
/** The eye calls a picture vivid by its most coloured tenth, however much calm lies about it. */
const MOST_COLOURED = 0.9

/** The chroma in OKLab that a tenth of the picture exceeds: none in a grey picture, some 0.2 in full red. */
export function strongChroma(view: View): number {
  const { a, b } = view.at(EDGE)
  return quantile(a.at.map((x, i) => Math.hypot(x, b.at[i]!)), MOST_COLOURED)
}

/** Whether colours are strong or quiet on the whole; undefined near the lines between. */
export function saturation(view: View): 'vivid' | 'moderate' | 'muted' | undefined {
  const chroma = strongChroma(view)
  if (chroma > 0.16) return 'vivid'
  if (chroma < 0.06) return 'muted'
  return chroma > 0.075 && chroma < 0.135 ? 'moderate' : undefined
}
