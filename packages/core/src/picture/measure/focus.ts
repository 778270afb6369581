import { boxBlur, steepness } from '../planes.ts'
import { BLURRED_EDGE, SHARP_EDGE } from '../shape.ts'
import type { View } from '../view.ts'

const EDGE = 768
const CELL = 24
/** What is far out of focus changes too little in one cell; it is looked for in blocks of so many cells each way, none of which has an edge. */
const BLOCK = 3
/** A cell with less from its darkest to its lightest has nothing that could be sharp. */
const RANGE = 0.085
/** The steepest slope of a step of height h, blurred by a Gaussian of deviation s, is h / (s * this). */
const STEEPEST = Math.sqrt(2 * Math.PI)
export const FEWEST_CELLS = 24
/** Where fewer cells than this have edges, what has none may be sky or ground, or out of focus. */
const ALL_OVER = 0.5

/** How wide the edges of a picture are, cell by cell and row by row; nothing where a cell has none. */
export interface EdgeWidths {
  columns: number
  widths: (number | undefined)[]
}

export function edgeWidths(view: View): EdgeWidths {
  const l = view.at(EDGE).l
  const smooth = boxBlur(l, 1)
  const steep = steepness(smooth)
  const [columns, rows] = [Math.floor(l.width / CELL), Math.floor(l.height / CELL)]
  /** Of a stretch of cells: how wide its steepest edge is, where from its darkest to its lightest there is enough. */
  const widthIn = (column: number, row: number, cells: number): number | undefined => {
    let [low, high, most] = [1, 0, 0]
    for (let v = row * CELL; v < (row + cells) * CELL; v++)
      for (let u = column * CELL; u < (column + cells) * CELL; u++) {
        const i = v * l.width + u
        low = Math.min(low, smooth.at[i]!)
        high = Math.max(high, smooth.at[i]!)
        most = Math.max(most, steep.at[i]!)
      }
    return high - low > RANGE && most > 0 ? (high - low) / (most * STEEPEST) : undefined
  }
  const widths = Array.from({ length: columns * rows }, (_, i) => widthIn(i % columns, Math.floor(i / columns), 1))
  for (let row = 0; row + BLOCK <= rows; row += BLOCK)
    for (let column = 0; column + BLOCK <= columns; column += BLOCK) {
      const block = Array.from({ length: BLOCK * BLOCK }, (_, k) => (row + Math.floor(k / BLOCK)) * columns + column + (k % BLOCK))
      if (block.some((i) => widths[i] !== undefined)) continue
      const width = widthIn(column, row, BLOCK)
      for (const i of block) widths[i] = width
    }
  return { columns, widths }
}

/**
 * Whether only part of a picture is sharp or all of it, by how wide its edges are cell by cell (after the blur estimate of Elder &
 * Zucker 1998 for a step). Undefined where too little has edges, nothing is sharp, or it lies between.
 */
export function focus({ widths }: EdgeWidths): 'shallow' | 'deep' | undefined {
  const known = widths.filter((width) => width !== undefined)
  if (known.length < FEWEST_CELLS) return undefined
  const share = (holds: (width: number) => boolean) => known.filter(holds).length / known.length
  const sharp = share((width) => width < SHARP_EDGE)
  const blurred = share((width) => width > BLURRED_EDGE)
  if (blurred > 0.38 && sharp > 0.03) return 'shallow'
  if (blurred < 0.12 && sharp > 0.45 && known.length > ALL_OVER * widths.length) return 'deep'
  return undefined
}
