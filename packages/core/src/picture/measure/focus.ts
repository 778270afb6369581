import { likeliest, scaled, sharesOf } from '../logistic.ts'
import { boxBlur, quantile, steepness } from '../planes.ts'
import { BLURRED_EDGE, SHARP_EDGE } from '../shape.ts'
import type { View } from '../view.ts'
import { FOCUS } from './learned.ts'

const EDGE = 768
const CELL = 24
/** What is far out of focus changes too little in one cell; it is looked for in blocks of so many cells each way, none of which has an edge. */
const BLOCK = 3
/** A cell with less from its darkest to its lightest has nothing that could be sharp. */
const RANGE = 0.085
/** The steepest slope of a step of height h, blurred by a Gaussian of deviation s, is h / (s * this). */
const STEEPEST = Math.sqrt(2 * Math.PI)
export const FEWEST_CELLS = 24
/** Less sure than this is not told. */
const SURE = 0.7

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

/** What depth of field is told by: how much has edges at all, how much of that is sharp and blurred, and how wide edges are from the sharpest on. */
export function focusNumbers({ widths }: EdgeWidths): number[] {
  const known = widths.filter((width) => width !== undefined)
  const share = (holds: (width: number) => boolean) => (known.length ? known.filter(holds).length / known.length : 0)
  return [widths.length ? known.length / widths.length : 0, share((width) => width < SHARP_EDGE), share((width) => width > BLURRED_EDGE), ...[0.1, 0.5, 0.9].map((at) => (known.length ? quantile(known, at) : 0))]
}

/**
 * Whether only part of a picture is sharp or all of it, by how wide its edges are cell by cell (after the blur estimate of Elder &
 * Zucker 1998 for a step). Undefined where too little has edges, or it lies between.
 */
export function focus(edges: EdgeWidths): 'shallow' | 'deep' | undefined {
  if (edges.widths.filter((width) => width !== undefined).length < FEWEST_CELLS) return undefined
  const { value, share } = likeliest(sharesOf(scaled(focusNumbers(edges), FOCUS), FOCUS.weights), ['shallow', 'deep'] as const)
  return share >= SURE ? value : undefined
}
