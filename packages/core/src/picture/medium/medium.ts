import { MEDIA, type Medium } from '../shape.ts'

/** What `tables/medium.json` holds: the scale of a style, and for each medium a weight a number of it and a constant. */
export interface MediumTable {
  mean: readonly number[]
  deviation: readonly number[]
  weights: readonly (readonly number[])[]
}

/** A style further off than this from what was learned from says no more than this. */
const FARTHEST = 4
/** Less sure than this is not told: see docs/pictures.md for how often it is right from there on. */
const SURE = 0.62

/** How likely each medium is, in the order of `MEDIA`, for a style in deviations from the mean. */
export function mediumShares(style: ArrayLike<number>, weights: MediumTable['weights']): number[] {
  const size = style.length
  const sums = weights.map((row) => {
    let sum = row[size]!
    for (let k = 0; k < size; k++) sum += row[k]! * style[k]!
    return sum
  })
  const most = Math.max(...sums)
  const shares = sums.map((sum) => Math.exp(sum - most))
  const all = shares.reduce((sum, share) => sum + share, 0)
  return shares.map((share) => share / all)
}

/**
 * What kind of picture one is, from its style: the means and deviations of what a detector's network answers to in it.
 * Undefined where no kind is likely enough. @throws RangeError when the style is not as long as the table's.
 */
export function mediumOf(style: ArrayLike<number>, { mean, deviation, weights }: MediumTable): { medium: Medium; sure: number } | undefined {
  if (style.length !== mean.length) throw new RangeError(`A style of ${style.length} numbers; the table is for ${mean.length}.`)
  const scaled = Float64Array.from(style, (value, k) => Math.max(-FARTHEST, Math.min(FARTHEST, (value - mean[k]!) / deviation[k]!)))
  const shares = mediumShares(scaled, weights)
  const best = shares.indexOf(Math.max(...shares))
  return shares[best]! >= SURE ? { medium: MEDIA[best]!, sure: shares[best]! } : undefined
}
