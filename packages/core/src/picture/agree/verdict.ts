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

/** A claim of one value that is settled either way. */
export const verdict = (fact: string, holds: boolean, says: string): Verdict => ({ fact, holds, says })
