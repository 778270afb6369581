import { boxBlur } from '../planes.ts'
import type { View } from '../view.ts'

const EDGE = 512
const CELL = 16
/** What changes within so many pixels is texture; what changes more slowly is shape. */
const FINE = 2
/** A cell is rough from this deviation of the fine part on, and smooth below the other. */
const ROUGH = 0.03
const SMOOTH = 0.012
const MOSTLY = 0.5

/** How rough the surface is, cell by cell: shares of cells that are rough, and that are smooth. */
export function roughness(view: View): { rough: number; smooth: number } {
  const { l } = view.at(EDGE)
  const slow = boxBlur(l, FINE)
  let [cells, rough, smooth] = [0, 0, 0]
  for (let y = 0; y + CELL <= l.height; y += CELL)
    for (let x = 0; x + CELL <= l.width; x += CELL) {
      let sum = 0
      for (let v = y; v < y + CELL; v++) for (let u = x; u < x + CELL; u++) sum += (l.at[v * l.width + u]! - slow.at[v * l.width + u]!) ** 2
      const deviation = Math.sqrt(sum / CELL ** 2)
      cells++
      if (deviation > ROUGH) rough++
      else if (deviation < SMOOTH) smooth++
    }
  return cells ? { rough: rough / cells, smooth: smooth / cells } : { rough: 0, smooth: 0 }
}

/** Whether surfaces are rough nearly everywhere, or smooth; undefined between. */
export function texture(view: View): 'rough' | 'smooth' | undefined {
  const { rough, smooth } = roughness(view)
  return rough > MOSTLY ? 'rough' : smooth > 0.72 ? 'smooth' : undefined
}
