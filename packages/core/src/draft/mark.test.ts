import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addMark, laneOf, markKey, marksWithout, sortMarks } from './mark.ts'
import type { Mark } from './mark-shape.ts'

const mark = fc.tuple(fc.nat(20), fc.integer({ min: 1, max: 8 }), fc.integer({ min: 0, max: 3 })).map(([from, length, kind]): Mark => {
  const range = { from, to: from + length }
  if (kind === 0) return { ...range, kind: 'off' }
  if (kind === 1) return { ...range, kind: 'emphasis', level: 2 }
  if (kind === 2) return { ...range, kind: 'facet', facet: 'light' }
  return { ...range, kind: 'dismissed', check: 'crowd', reason: '' }
})

describe('addMark', () => {
  it('lets the newest of a kind win where two meet, and keeps what it does not cover', () => {
    const old: Mark[] = [{ from: 0, to: 10, kind: 'emphasis', level: 1 }]
    expect(addMark(old, { from: 3, to: 5, kind: 'emphasis', level: -1 })).toEqual([
      { from: 0, to: 3, kind: 'emphasis', level: 1 },
      { from: 3, to: 5, kind: 'emphasis', level: -1 },
      { from: 5, to: 10, kind: 'emphasis', level: 1 },
    ])
  })

  it('leaves other kinds alone, and two checks dismissed on the same words', () => {
    const both = addMark(addMark([{ from: 0, to: 4, kind: 'off' }], { from: 0, to: 4, kind: 'dismissed', check: 'crowd', reason: '' }), { from: 0, to: 4, kind: 'dismissed', check: 'filler', reason: '' })
    expect(both.map(laneOf).sort()).toEqual(['dismissed:crowd', 'dismissed:filler', 'off'])
  })

  it('never leaves two marks of one lane over the same character', () => {
    fc.assert(
      fc.property(fc.array(mark, { maxLength: 12 }), (list) => {
        const marks = list.reduce<Mark[]>(addMark, [])
        for (const lane of new Set(marks.map(laneOf))) {
          const own = marks.filter((one) => laneOf(one) === lane)
          for (let i = 1; i < own.length; i++) expect(own[i]!.from).toBeGreaterThanOrEqual(own[i - 1]!.to)
        }
        expect(sortMarks(marks)).toEqual(marks)
      }),
      { seed: 2, numRuns: 300 },
    )
  })
})

it('tells marks apart by everything they say', () => {
  const dismissed: Mark = { from: 0, to: 4, kind: 'dismissed', check: 'crowd', reason: 'meant' }
  expect(markKey(dismissed)).not.toBe(markKey({ ...dismissed, reason: 'not meant' }))
  expect(marksWithout([dismissed, { from: 0, to: 4, kind: 'off' }], [{ ...dismissed }])).toEqual([{ from: 0, to: 4, kind: 'off' }])
})
