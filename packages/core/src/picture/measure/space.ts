import { quantile, steepness } from '../planes.ts'
import type { View } from '../view.ts'

const EDGE = 192
const CELL = 8
/** A cell is empty when nine of ten places in it are flatter than this, and it is nearly of one tone. */
const FLAT = 0.026
const ONE_TONE = 0.12
/** So much of the picture is room enough for lettering. */
const ENOUGH = 0.08
/** Longer than this times its width, a strip is a margin, not room. */
const LONGEST = 12

/** The largest empty rectangle, as corners in shares of width and height; undefined where there is no room for lettering. */
export function emptySpace(view: View): [x0: number, y0: number, x1: number, y1: number] | undefined {
  const { l } = view.at(EDGE)
  const steep = steepness(l)
  const [columns, rows] = [Math.floor(l.width / CELL), Math.floor(l.height / CELL)]
  if (columns < 4 || rows < 4) return undefined
  const empty = Array.from({ length: columns * rows }, (_, i) => {
    const [x, y] = [(i % columns) * CELL, Math.floor(i / columns) * CELL]
    const slopes: number[] = []
    let [low, high] = [1, 0]
    for (let v = y; v < y + CELL; v++)
      for (let u = x; u < x + CELL; u++) {
        slopes.push(steep.at[v * l.width + u]!)
        low = Math.min(low, l.at[v * l.width + u]!)
        high = Math.max(high, l.at[v * l.width + u]!)
      }
    return quantile(slopes, 0.9) < FLAT && high - low < ONE_TONE
  })
  // The largest rectangle under a row of heights, row by row.
  const heights = new Array<number>(columns).fill(0)
  let best: { area: number; box: [number, number, number, number] } | undefined
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) heights[column] = empty[row * columns + column] ? heights[column]! + 1 : 0
    for (let from = 0; from < columns; from++) {
      let height = Infinity
      for (let to = from; to < columns && heights[to]! > 0; to++) {
        height = Math.min(height, heights[to]!)
        const width = to - from + 1
        if (Math.max(width / height, height / width) > LONGEST) continue
        const area = height * width
        if (!best || area > best.area) best = { area, box: [from, row - height + 1, to + 1, row + 1] }
      }
    }
  }
  if (!best || best.area < ENOUGH * columns * rows) return undefined
  const [x0, y0, x1, y1] = best.box
  return [x0 / columns, y0 / rows, x1 / columns, y1 / rows]
}

/** Where in a picture a rectangle lies, when it lies at one side. */
export function sideOfSpace([x0, y0, x1, y1]: readonly number[]): 'top' | 'bottom' | 'left' | 'right' | undefined {
  const [x, y] = [(x0! + x1!) / 2 - 0.5, (y0! + y1!) / 2 - 0.5]
  if (Math.max(Math.abs(x), Math.abs(y)) < 0.12) return undefined
  return Math.abs(y) >= Math.abs(x) ? (y < 0 ? 'top' : 'bottom') : x < 0 ? 'left' : 'right'
}
