import type { Draft } from '../draft/shape.ts'
import { applyEdit } from '../draft/edit.ts'
import type { Edit } from '../draft/edit-shape.ts'
import type { EngineProfile } from '../engine/profile.ts'
import { removalOf } from '../check/fixes.ts'
import { covered, emphasisOf, fixedFacetsOf } from '../phrase/marks.ts'
import type { Reading } from '../read/reading.ts'
import type { Reader } from '../read/reader.ts'
import type { TextRange } from '../text-range.ts'
import { outputFor } from './output.ts'

/** What a trim takes out, in the order it is taken, and why. */
export interface Trimmed {
  text: string
  why: 'says nothing' | 'said before' | 'much less' | 'less' | 'last'
}

/** A trim: the edits, one after another, that make a draft fit, and what they take out; `fits` is false where locked phrases alone are too long. */
export interface Trim {
  edits: Edit[]
  dropped: Trimmed[]
  fits: boolean
}

const fits = (draft: Draft, reading: Reading, profile: EngineProfile, reader: Reader): boolean => {
  const said = outputFor(draft, profile, { reading, words: reader.words })
  return said.cut.length === 0
}

/** What may go next, the least loss first; nothing that is locked. */
function nextToGo(draft: Draft, reading: Reading): (TextRange & Pick<Trimmed, 'why'>) | undefined {
  const isLocked = (range: TextRange) => draft.marks.some((mark) => mark.kind === 'locked' && mark.from < range.end && mark.to > range.start)
  const shown = reading.phrases.filter((phrase) => !covered(draft.text, draft.marks, 'off', phrase))
  const free = shown.filter((phrase) => !isLocked(phrase))
  const noise = reading.noise.find((one) => (one.kind === 'praise' || one.kind === 'lead-in') && !isLocked(one))
  if (noise) return { start: noise.start, end: noise.end, why: 'says nothing' }
  const again = free.find((phrase) => shown.some((other) => other.start < phrase.start && other.text.toLowerCase() === phrase.text.toLowerCase()))
  if (again) return { start: again.start, end: again.end, why: 'said before' }
  for (const [level, why] of [[-2, 'much less'], [-1, 'less']] as const) {
    const weak = free.findLast((phrase) => emphasisOf(draft.marks, phrase) === level)
    if (weak) return { start: weak.start, end: weak.end, why }
  }
  // The subject and what stands out stay longest.
  const plain = free.filter((phrase) => emphasisOf(draft.marks, phrase) === 0)
  const last = plain.findLast(({ facet }) => facet !== 'subject') ?? free.findLast(({ facet }) => facet !== 'subject')
  return last && { start: last.start, end: last.end, why: 'last' }
}

/**
 * Makes a draft fit an engine by taking out what is missed least: praise and instructions, then what is said twice, then
 * what is marked much less, then less, then plain phrases from the end. What is locked, and the subject, is never taken.
 */
export function trimFor(given: Draft, profile: EngineProfile, reader: Reader): Trim {
  const trim: Trim = { edits: [], dropped: [], fits: false }
  let draft = given
  for (;;) {
    const reading = reader.read(draft.text, fixedFacetsOf(draft.marks))
    if (fits(draft, reading, profile, reader)) return { ...trim, fits: true }
    const next = nextToGo(draft, reading)
    const edit = next && removalOf(draft, next)
    const after = edit && applyEdit(draft, edit)
    if (!next || !edit || !after || after.text.length >= draft.text.length) return trim
    trim.edits.push(edit)
    trim.dropped.push({ text: draft.text.slice(next.start, next.end), why: next.why })
    draft = after
  }
}
