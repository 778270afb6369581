import { KINDS } from './kinds.ts'
import { type Box, overlapOf, type Sighting } from './seen.ts'

/** A thing in a picture. */
export interface Thing {
  /** As COCO calls it, or the broader kind where near ones are as likely. */
  name: string
  broader: string
  /** The detector's own, 0 to 1; 0.3 is already a find. */
  score: number
  box: Box
}

/** Sightings of one place cover each other by this much. */
const ONE_PLACE = 0.55
/** Less than this is not said, and what is less than `CLOSE` of the best of its place is not weighed. */
const LEAST = 0.33
const CLOSE = 0.8

/**
 * What stands in a picture, surest first: each place once, by the surest kind; where a near kind is nearly as sure, by the broader
 * one; where a far one is, not at all.
 */
export function thingsOf(sightings: readonly Sighting[]): Thing[] {
  const left = sightings.filter(({ kind }) => KINDS[kind]).sort((x, y) => y.score - x.score)
  const found: Thing[] = []
  while (left.length) {
    const best = left[0]!
    const place = left.filter(({ box }) => overlapOf(box, best.box) > ONE_PLACE)
    for (const one of place) left.splice(left.indexOf(one), 1)
    const { name, broader } = KINDS[best.kind]!
    const rivals = place.filter(({ kind, score }) => kind !== best.kind && score > best.score * CLOSE).map(({ kind }) => KINDS[kind]!)
    const near = rivals.filter((rival) => rival.broader === broader)
    if (rivals.length > near.length && best.score < 0.5) continue
    // Two near kinds that are nearly as sure speak for each other.
    const score = near.length ? Math.min(0.99, best.score * 1.25) : best.score
    if (score >= LEAST) found.push({ name: near.length ? broader : name, broader, score: Math.round(score * 100) / 100, box: best.box })
  }
  return found.sort((x, y) => y.score - x.score)
}
