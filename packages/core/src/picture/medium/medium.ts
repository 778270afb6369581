import { likeliest, type Logistic, scaled, sharesOf } from '../logistic.ts'
import { MEDIA, type Medium } from '../shape.ts'

/** What `tables/medium.json` holds: what tells kinds of picture apart by their style, and what tells near from far by the same style. */
export interface MediumTable extends Logistic {
  shot: Logistic['weights']
}
/** In the order of the table's rows. */
export const FAR_AND_NEAR = ['close-up', 'wide'] as const

/** Less sure than this is not told: see docs/pictures.md for how often each is right from there on. */
const SURE = 0.62
const SURE_OF_SHOT = 0.8

/**
 * What kind of picture one is, from its style: the means and deviations of what a detector's network answers to in it.
 * Undefined where no kind is likely enough. @throws RangeError when the style is not as long as the table's.
 */
export function mediumOf(style: ArrayLike<number>, table: MediumTable): { medium: Medium; sure: number } | undefined {
  const { value, share } = likeliest(sharesOf(scaled(style, table), table.weights), MEDIA)
  return share >= SURE ? { medium: value, sure: share } : undefined
}

/** Whether a picture without a figure to go by is seen from very near or from afar; undefined where that is not likely enough. */
export function nearOrFar(style: ArrayLike<number>, table: MediumTable): (typeof FAR_AND_NEAR)[number] | undefined {
  const { value, share } = likeliest(sharesOf(scaled(style, table), table.shot), FAR_AND_NEAR)
  return share >= SURE_OF_SHOT ? value : undefined
}
