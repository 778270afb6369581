import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDraft, draftAndEdit } from './arbitrary-draft.test-support.ts'
import { emptyDraft, MAX_TEXT } from './draft.ts'
import type { Draft } from './shape.ts'
import { applyEdit, editBetween, EditError, invertEdit, sameVersion } from './edit.ts'
import { laneOf } from './mark.ts'

const draft = (text: string, rest: Partial<Draft> = {}): Draft => ({ ...emptyDraft(), text, ...rest })

describe('applyEdit', () => {
  it('changes text and lets marks follow it', () => {
    const before = draft('a red fox at dusk', { marks: [{ from: 2, to: 9, kind: 'locked' }] })
    const after = applyEdit(before, { text: [{ from: 0, to: 1, insert: 'one small' }] })
    expect(after.text).toBe('one small red fox at dusk')
    expect(after.marks).toEqual([{ from: 10, to: 17, kind: 'locked' }])
  })

  it('keeps text typed at the edge of a mark outside it', () => {
    const before = draft('red fox', { marks: [{ from: 0, to: 7, kind: 'off' }] })
    const after = applyEdit(before, { text: [{ from: 0, to: 0, insert: 'a ' }, { from: 7, to: 7, insert: ', dusk' }] })
    expect(after.text.slice(after.marks[0]?.from, after.marks[0]?.to)).toBe('red fox')
  })

  it('drops a mark whose text is all deleted, and its inverse brings it back', () => {
    const before = draft('a red fox', { marks: [{ from: 2, to: 5, kind: 'emphasis', level: 2 }] })
    const edit = { text: [{ from: 1, to: 6, insert: '' }] }
    const after = applyEdit(before, edit)
    expect(after.marks).toEqual([])
    expect(applyEdit(after, invertEdit(before, edit))).toEqual(before)
  })

  it('cuts an older mark of the same kind where a newer one lies', () => {
    const before = draft('0123456789', { marks: [{ from: 0, to: 10, kind: 'emphasis', level: 1 }] })
    const after = applyEdit(before, { marks: { remove: [], add: [{ from: 4, to: 6, kind: 'emphasis', level: -2 }] } })
    expect(after.marks.map((m) => [m.from, m.to])).toEqual([[0, 4], [4, 6], [6, 10]])
  })

  it('refuses an edit that does not fit, or makes the text too long', () => {
    expect(() => applyEdit(draft('abc'), { text: [{ from: 2, to: 9, insert: '' }] })).toThrow(EditError)
    expect(() => applyEdit(draft('abc'), { leaveOut: { at: 1, remove: 1, insert: [] } })).toThrow(EditError)
    expect(() => applyEdit(draft('x'.repeat(MAX_TEXT)), { text: [{ from: 0, to: 0, insert: 'y' }] })).toThrow(/20,000/)
  })

  it('is taken back exactly by its inverse', () => {
    fc.assert(
      fc.property(draftAndEdit, ({ draft: before, edit }) => {
        expect(applyEdit(applyEdit(before, edit), invertEdit(before, edit))).toEqual(before)
      }),
      { seed: 7, numRuns: 500 },
    )
  })

  it('never lets two marks of one lane overlap, and keeps every mark inside the text', () => {
    fc.assert(
      fc.property(draftAndEdit, ({ draft: before, edit }) => {
        const { text, marks } = applyEdit(before, edit)
        for (const [i, a] of marks.entries()) {
          expect(a.from).toBeLessThan(a.to)
          expect(a.to).toBeLessThanOrEqual(text.length)
          for (const b of marks.slice(i + 1)) if (laneOf(a) === laneOf(b)) expect(a.to <= b.from || b.to <= a.from).toBe(true)
        }
      }),
      { seed: 11, numRuns: 300 },
    )
  })
})

describe('sameVersion', () => {
  it('looks at what a version keeps, not at settings and engines', () => {
    const a = draft('a fox', { leaveOut: ['people'] })
    const tuned: Draft = { ...a, settings: { seed: 4 }, engines: [{ engine: 'burin' }] }
    expect(sameVersion(a, tuned)).toBe(true)
    expect(sameVersion(a, { ...a, leaveOut: [] })).toBe(false)
  })
})

describe('editBetween', () => {
  it('leads from any draft to any other', () => {
    fc.assert(
      fc.property(anyDraft, anyDraft, (a, b) => {
        expect(applyEdit(a, editBetween(a, b))).toEqual(b)
      }),
      { seed: 3, numRuns: 300 },
    )
  })
})
