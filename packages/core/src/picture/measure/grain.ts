import { quantile } from '../planes.ts'
import type { View } from '../view.ts'

const EDGE = 768
const CELL = 16
/** The calmest share of a picture's cells: what varies there is no thing. */
const CALMEST = 0.25
/** Deviations of lightness there, on OKLab's scale: grain shows from the first on, and below the second there is none. */
const GRAINY = 0.0115
const CLEAN = 0.0045

/**
 * The deviation of fine noise, seen through the difference of two Laplacians that takes edges and slopes away (Immerkær 1996), in the
 * calmest cells; undefined where too much of the picture is one tone or burnt out.
 */
export function noise(view: View): number | undefined {
  const { width, height, at } = view.at(EDGE).l
  const cells: number[] = []
  for (let y = 1; y + CELL < height; y += CELL)
    for (let x = 1; x + CELL < width; x += CELL) {
      let [sum, tone, n] = [0, 0, 0]
      for (let v = y; v < y + CELL; v++)
        for (let u = x; u < x + CELL; u++) {
          const i = v * width + u
          const [up, down] = [i - width, i + width]
          sum += Math.abs(at[up - 1]! - 2 * at[up]! + at[up + 1]! - 2 * at[i - 1]! + 4 * at[i]! - 2 * at[i + 1]! + at[down - 1]! - 2 * at[down]! + at[down + 1]!)
          tone += at[i]!
          n++
        }
      const mean = tone / n
      if (mean > 0.12 && mean < 0.95) cells.push((Math.sqrt(Math.PI / 2) * sum) / (6 * n))
    }
  return cells.length < 30 ? undefined : quantile(cells, CALMEST)
}

/** Whether grain or noise lies over the calm parts too; undefined where it is faint. */
export function grain(view: View): boolean | undefined {
  const own = noise(view)
  if (own === undefined) return undefined
  return own > GRAINY ? true : own < CLEAN ? false : undefined
}
