import { steepness } from '../planes.ts'
import type { View } from '../view.ts'

const EDGE = 384
const CELL = 12
const EDGE_AT = 0.03
/** A cell is full of detail when this much of it is edges. */
const FULL = 0.16

/** Whether there is detail nearly everywhere, or much calm; undefined between. */
export function busy(view: View): boolean | undefined {
  const steep = steepness(view.at(EDGE).l)
  let [cells, full] = [0, 0]
  for (let y = 0; y + CELL <= steep.height; y += CELL)
    for (let x = 0; x + CELL <= steep.width; x += CELL) {
      let edges = 0
      for (let v = y; v < y + CELL; v++) for (let u = x; u < x + CELL; u++) if (steep.at[v * steep.width + u]! > EDGE_AT) edges++
      cells++
      if (edges / CELL ** 2 > FULL) full++
    }
  if (cells === 0) return undefined
  const share = full / cells
  return share > 0.7 ? true : share < 0.42 ? false : undefined
}
