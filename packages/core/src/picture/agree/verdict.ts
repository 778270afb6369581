import type { Dimension } from '../../check/values/dimension.ts'
import type { Facet } from '../../facet.ts'
import type { PictureReading } from '../shape.ts'

/** What measures say of something that was said of a picture. */
export interface Verdict {
  /** The fact that it is held against. */
  fact: string
  holds: boolean
  /** What was measured, in a clause: “the sky is bright and blue”. */
  says: string
}
export interface Claim {
  facet: Facet
  text: string
}
/** Holds a claim against a reading; undefined where it is about something else, or the picture does not settle it. */
export type Judge = (claim: Claim, reading: PictureReading) => Verdict | undefined

/** The values of a dimension that a text says, whatever it was read as. */
export const valuesIn = (text: string, { values }: Dimension): string[] => {
  const lower = text.toLowerCase()
  return [...values].flatMap(([value, pattern]) => (lower.search(pattern) >= 0 ? [value] : []))
}

/** A claim of one value that is settled either way. */
export const verdict = (fact: string, holds: boolean, says: string): Verdict => ({ fact, holds, says })
