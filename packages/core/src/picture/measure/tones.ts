import type { View } from '../view.ts'

/** Tones of a picture made so small, each way: enough for where light and dark lie. */
export const TONES = 32

/** Lightness from 0 to 99 of the picture squeezed to a square of 32 by 32, row by row. */
export function tonesOf(view: View): number[] {
  const { l } = view.at(96)
  const bound = (i: number, of: number) => Math.min(of - 1, Math.floor((i * of) / TONES))
  return Array.from({ length: TONES * TONES }, (_, i) => {
    const [column, row] = [i % TONES, Math.floor(i / TONES)]
    const [x0, y0] = [bound(column, l.width), bound(row, l.height)]
    const [x1, y1] = [Math.max(x0 + 1, Math.floor(((column + 1) * l.width) / TONES)), Math.max(y0 + 1, Math.floor(((row + 1) * l.height) / TONES))]
    let sum = 0
    for (let y = y0; y < y1; y++) for (let x = x0; x < x1; x++) sum += l.at[y * l.width + x]!
    return Math.min(99, Math.max(0, Math.round((99 * sum) / ((x1 - x0) * (y1 - y0)))))
  })
}
