import { Type, type Static } from '@sinclair/typebox'
import type { Mark } from './mark-shape.ts'
import { sortMarks } from './mark.ts'

/** Replaces `from` to `to` of the text before the edit by `insert`. */
export const TextChange = Type.Object(
  {
    from: Type.Integer({ minimum: 0 }),
    to: Type.Integer({ minimum: 0 }),
    insert: Type.String({ maxLength: 20_000 }),
  },
  { title: 'TextChange', additionalProperties: false },
)
export type TextChange = Static<typeof TextChange>

/** True when the changes are ascending, do not overlap and lie inside a text of `length` code units. */
export function changesFit(changes: readonly TextChange[], length: number): boolean {
  let end = 0
  for (const change of changes) {
    if (change.from < end || change.to < change.from || change.to > length) return false
    end = change.to
  }
  return true
}

export function changeText(text: string, changes: readonly TextChange[]): string {
  let out = ''
  let at = 0
  for (const { from, to, insert } of changes) {
    out += text.slice(at, from) + insert
    at = to
  }
  return out + text.slice(at)
}

/** The changes that take the changed text back to `text`. */
export function invertChanges(text: string, changes: readonly TextChange[]): TextChange[] {
  let shift = 0
  return changes.map(({ from, to, insert }) => {
    const back = { from: from + shift, to: from + shift + insert.length, insert: text.slice(from, to) }
    shift += insert.length - (to - from)
    return back
  })
}

/**
 * Where a place in the text lies after the changes. Text inserted exactly at
 * the place falls behind it for `side` -1 and before it for `side` 1; a place
 * inside replaced text goes to that side of what replaced it.
 */
export function mapPlace(place: number, changes: readonly TextChange[], side: -1 | 1): number {
  let shift = 0
  for (const { from, to, insert } of changes) {
    if (from > place) break
    const inserts = from === to
    if (inserts ? from === place && side < 0 : to > place) {
      return from + shift + (side < 0 || from === place ? 0 : insert.length)
    }
    shift += insert.length - (to - from)
  }
  return place + shift
}

/** Marks after the changes: text typed at an edge stays outside, and a mark whose whole text was replaced is gone. */
export function mapMarks(marks: readonly Mark[], changes: readonly TextChange[]): Mark[] {
  if (changes.length === 0) return [...marks]
  const mapped = marks.flatMap((mark): Mark[] => {
    if (changes.some(({ from, to }) => from <= mark.from && to >= mark.to)) return []
    const from = mapPlace(mark.from, changes, 1)
    const to = mapPlace(mark.to, changes, -1)
    return from < to ? [{ ...mark, from, to }] : []
  })
  return sortMarks(mapped)
}
