import type { Mark } from './mark-shape.ts'

/**
 * Marks in one lane never overlap. A kind is one lane, except that two checks
 * may be dismissed on the same words, so each check has a lane of its own.
 */
export const laneOf = (mark: Mark): string => (mark.kind === 'dismissed' ? `dismissed:${mark.check}` : mark.kind)

/** A text that is equal for two marks exactly when the marks are equal. */
export function markKey(mark: Mark): string {
  const { from, to, kind, ...rest } = mark
  const source = 'source' in rest ? [rest.source.type, rest.source.id, rest.source.version ?? null] : []
  const value = 'facet' in rest ? rest.facet : 'level' in rest ? rest.level : 'check' in rest ? [rest.check, rest.reason] : null
  return JSON.stringify([from, to, kind, value, source])
}

const byPlace = (a: Mark, b: Mark) => {
  if (a.from !== b.from) return a.from - b.from
  if (a.to !== b.to) return a.to - b.to
  const [x, y] = [markKey(a), markKey(b)]
  return x < y ? -1 : x > y ? 1 : 0
}

/** Marks in their one true order: by place, then by kind and value. */
export const sortMarks = (marks: readonly Mark[]): Mark[] => [...marks].sort(byPlace)

/** Adds a mark; whatever of its lane it covers is cut away, so that the newest wins. */
export function addMark(marks: readonly Mark[], mark: Mark): Mark[] {
  const lane = laneOf(mark)
  const kept = marks.flatMap((other): Mark[] => {
    if (laneOf(other) !== lane || other.to <= mark.from || other.from >= mark.to) return [other]
    const pieces: Mark[] = []
    if (other.from < mark.from) pieces.push({ ...other, to: mark.from })
    if (other.to > mark.to) pieces.push({ ...other, from: mark.to })
    return pieces
  })
  return sortMarks([...kept, mark])
}

/** Marks of `marks` that are not in `others`. */
export function marksWithout(marks: readonly Mark[], others: readonly Mark[]): Mark[] {
  const keys = new Set(others.map(markKey))
  return marks.filter((mark) => !keys.has(markKey(mark)))
}
