import { addMark, sortMarks } from '../draft/mark.ts'
import type { Mark } from '../draft/mark-shape.ts'
import type { FixedFacet } from '../read/reader.ts'
import type { TextRange } from '../text-range.ts'
import { withLead } from './surroundings.ts'

type Kind = Mark['kind']
const meets = (mark: Mark, { start, end }: TextRange) => mark.from < end && mark.to > start

/** Whether marks of a kind lie on every character of a range but its spaces. */
export function covered(text: string, marks: readonly Mark[], kind: Kind, { start, end }: TextRange): boolean {
  const own = marks.filter((mark) => mark.kind === kind)
  for (let at = start; at < end; at++) if (text[at]?.trim() && !own.some(({ from, to }) => from <= at && at < to)) return false
  return end > start
}

/** The facets that the writer has set, as a reading takes them. */
export const fixedFacetsOf = (marks: readonly Mark[]): FixedFacet[] => marks.flatMap((mark) => (mark.kind === 'facet' ? [{ from: mark.from, to: mark.to, facet: mark.facet }] : []))

/** Takes marks of a kind off a range; what lies outside it stays. */
export function withoutMarks(marks: readonly Mark[], kind: Kind, range: TextRange): Mark[] {
  const kept = marks.flatMap((mark): Mark[] => {
    if (mark.kind !== kind || !meets(mark, range)) return [mark]
    const pieces: Mark[] = []
    if (mark.from < range.start) pieces.push({ ...mark, to: range.start })
    if (mark.to > range.end) pieces.push({ ...mark, from: range.end })
    return pieces
  })
  return sortMarks(kept)
}

/** Switches a phrase off, or on again when it is off, with the words that lead to it: “in the snow” for “snow”. */
export function toggledOff(text: string, marks: readonly Mark[], range: TextRange): Mark[] {
  const whole = withLead(text, range)
  return covered(text, marks, 'off', range) ? withoutMarks(marks, 'off', whole) : addMark(marks, { from: whole.start, to: whole.end, kind: 'off' })
}

/** Keeps helpers from changing a phrase, or lets them again. */
export const toggledLocked = (text: string, marks: readonly Mark[], range: TextRange): Mark[] =>
  covered(text, marks, 'locked', range) ? withoutMarks(marks, 'locked', range) : addMark(marks, { from: range.start, to: range.end, kind: 'locked' })

/** The emphasis steps, weakest first. */
export const EMPHASIS = [
  { level: -2, said: 'much less' },
  { level: -1, said: 'less' },
  { level: 0, said: 'plain' },
  { level: 1, said: 'more' },
  { level: 2, said: 'much more' },
] as const
export type Emphasis = (typeof EMPHASIS)[number]['level']

export const emphasisOf = (marks: readonly Mark[], { start }: TextRange): Emphasis => marks.find((mark): mark is Mark & { kind: 'emphasis' } => mark.kind === 'emphasis' && mark.from <= start && start < mark.to)?.level ?? 0

export function emphasised(marks: readonly Mark[], range: TextRange, level: Emphasis): Mark[] {
  return level === 0 ? withoutMarks(marks, 'emphasis', range) : addMark(marks, { from: range.start, to: range.end, kind: 'emphasis', level })
}
