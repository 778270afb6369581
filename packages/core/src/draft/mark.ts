import { Type, type Static } from '@sinclair/typebox'
import { Facet } from '../facet.ts'

const range = {
  from: Type.Integer({ minimum: 0, description: 'First UTF-16 code unit.' }),
  to: Type.Integer({ minimum: 1, description: 'One past the last UTF-16 code unit.' }),
}
const closed = { additionalProperties: false } as const

/** A range of a draft's text that carries something: a facet set by hand, emphasis, off, locked, a dismissed check, or where it came from. */
export const Mark = Type.Union(
  [
    Type.Object({ ...range, kind: Type.Literal('facet'), facet: Facet }, closed),
    Type.Object(
      {
        ...range,
        kind: Type.Literal('emphasis'),
        level: Type.Union([Type.Literal(-2), Type.Literal(-1), Type.Literal(1), Type.Literal(2)]),
      },
      closed,
    ),
    Type.Object({ ...range, kind: Type.Literal('off') }, closed),
    Type.Object({ ...range, kind: Type.Literal('locked') }, closed),
    Type.Object(
      {
        ...range,
        kind: Type.Literal('dismissed'),
        check: Type.String({ minLength: 1, maxLength: 40 }),
        reason: Type.String({ maxLength: 500 }),
      },
      closed,
    ),
    Type.Object(
      {
        ...range,
        kind: Type.Literal('from'),
        source: Type.Object(
          {
            type: Type.Union([
              Type.Literal('character'),
              Type.Literal('place'),
              Type.Literal('style'),
              Type.Literal('slot'),
              Type.Literal('reference'),
              Type.Literal('helper'),
            ]),
            id: Type.String({ minLength: 1, maxLength: 100 }),
            version: Type.Optional(Type.Integer({ minimum: 1 })),
          },
          closed,
        ),
      },
      closed,
    ),
  ],
  { title: 'Mark' },
)
export type Mark = Static<typeof Mark>

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
