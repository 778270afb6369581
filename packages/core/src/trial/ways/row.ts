/** A combination: for each thing that varies, the place of its option. */
export type Row = readonly number[]
/** Whether a combination, or one that is only begun (undecided places are -1), may be tried. */
export type Allowed = (row: Row) => boolean

/** How many combinations there are in all. */
export const countOf = (sizes: readonly number[]): number => sizes.reduce((product, size) => product * size, 1)

/** The combination of a number from 0: the last thing varies fastest. */
export function rowAt(sizes: readonly number[], number: number): number[] {
  const row = sizes.map(() => 0)
  let rest = number
  for (let i = sizes.length - 1; i >= 0; i--) {
    row[i] = rest % sizes[i]!
    rest = Math.floor(rest / sizes[i]!)
  }
  return row
}
