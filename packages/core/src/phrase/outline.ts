import type { Mark } from '../draft/mark-shape.ts'
import { FACETS } from '../facets.ts'
import type { Facet } from '../facet.ts'
import type { Phrase, Reading } from '../read/reading.ts'
import { covered, type Emphasis, emphasisOf } from './marks.ts'

/** Below this a reading is shown as unsure: it is right about six times in ten. */
export const UNSURE_BELOW = 0.6

/** A phrase with what the writer has done to it. */
export interface OutlinePhrase extends Phrase {
  off: boolean
  locked: boolean
  emphasis: Emphasis
  /** Its facet was set by the writer. */
  byHand: boolean
  /** It was read from a reference. */
  fromReference: boolean
  unsure: boolean
}
export interface OutlineRow {
  facet: Facet
  phrases: OutlinePhrase[]
}

/** The twelve facets in writing order, each with its phrases in the order of the text. */
export function outlineOf(text: string, reading: Pick<Reading, 'phrases'>, marks: readonly Mark[]): OutlineRow[] {
  return FACETS.map((facet) => ({
    facet,
    phrases: reading.phrases
      .filter((phrase) => phrase.facet === facet)
      .map((phrase) => {
        const byHand = marks.some((mark) => mark.kind === 'facet' && mark.from < phrase.end && mark.to > phrase.start)
        return {
          ...phrase,
          off: covered(text, marks, 'off', phrase),
          locked: covered(text, marks, 'locked', phrase),
          emphasis: emphasisOf(marks, phrase),
          byHand,
          fromReference: marks.some((mark) => mark.kind === 'from' && mark.source.type === 'reference' && mark.from < phrase.end && mark.to > phrase.start),
          unsure: !byHand && phrase.confidence < UNSURE_BELOW,
        }
      }),
  }))
}
