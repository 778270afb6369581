const TONES = 32
/** Frequencies each way that make a print, and its bits: all of them but the mean. */
const FREQUENCIES = 8
export const PRINT_BITS = FREQUENCIES ** 2 - 1

const COSINES = Array.from({ length: FREQUENCIES }, (_, k) => Array.from({ length: TONES }, (__, n) => Math.cos((Math.PI * k * (2 * n + 1)) / (2 * TONES))))

/** The perceptual print of 32 by 32 tones: whether each low frequency of their cosine transform is above the median (Zauner 2010). */
export function printOf(tones: readonly number[]): boolean[] {
  const rows = Array.from({ length: TONES }, (_, y) => COSINES.map((wave) => wave.reduce((sum, value, x) => sum + value * tones[y * TONES + x]!, 0)))
  const all = COSINES.flatMap((wave, v) => COSINES.map((_, u) => (u === 0 && v === 0 ? undefined : wave.reduce((sum, value, y) => sum + value * rows[y]![u]!, 0)))).filter((value) => value !== undefined)
  const middle = [...all].sort((x, y) => x - y)[Math.floor(all.length / 2)]!
  return all.map((value) => value > middle)
}

/** In how many bits two prints differ, of 63. */
export const printApart = (x: readonly number[], y: readonly number[]): number => {
  const other = printOf(y)
  return printOf(x).filter((bit, i) => bit !== other[i]).length
}
