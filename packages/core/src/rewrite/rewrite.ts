import type { Draft } from '../draft/shape.ts'
import type { Edit } from '../draft/edit-shape.ts'
import { fixedFacetsOf } from '../phrase/marks.ts'
import type { Reader } from '../read/reader.ts'
import type { Reading } from '../read/reading.ts'
import { Composer, type Taken } from './composer.ts'
import { writeList } from './list.ts'
import { partsOf } from './parts.ts'
import { writeSentences } from './sentences.ts'

export type Style = 'list' | 'sentences'

export interface Rewritten {
  edit: Edit
  /** Words of the old text that have no facet; they are kept, a list where they stood and sentences at the end. */
  unplaced: string[]
}

/** Whether a reading gives the words of a range the facet they had. */
function holds({ phrases }: Reading, text: string, { start, end, facet }: Taken): boolean {
  let at = start
  for (const phrase of phrases) {
    if (phrase.facet !== facet || phrase.end <= at || phrase.start >= end) continue
    if (/[\p{L}\p{N}]{4,}/u.test(text.slice(at, Math.max(at, phrase.start)))) return false
    at = Math.max(at, phrase.end)
  }
  return at > start && !/[\p{L}\p{N}]{4,}/u.test(text.slice(at, end))
}

/**
 * Rewrites a draft as a list of phrases or as sentences. Every phrase of `reading` is kept with its marks and its facet:
 * where a reading of the new text would give it another, a facet mark holds it. Settings, leave-outs and praise follow on
 * lines of their own. `reading` must be of the draft's text as it stands.
 */
export function rewriteDraft(draft: Draft, reading: Reading, style: Style, reader: Reader): Rewritten {
  const parts = partsOf(draft, reading)
  const composer = new Composer(draft)
  if (style === 'list') writeList(parts, draft.text, reader.words, composer)
  else writeSentences(parts, reader.words, composer)
  for (const range of parts.aside) {
    if (composer.text) composer.say('\n')
    composer.take(range)
  }
  const readAgain = () => reader.read(composer.text, fixedFacetsOf(composer.marks))
  let now = readAgain()
  for (const taken of composer.taken) {
    if (holds(now, composer.text, taken)) continue
    composer.hold(taken)
    now = readAgain()
  }
  return { edit: composer.edit(), unplaced: parts.rest.map(({ start, end }) => draft.text.slice(start, end)) }
}
