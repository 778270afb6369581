import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDraft, draftAndEdit } from './arbitrary-draft.test-support.ts'
import { emptyDraft } from './draft.ts'
import type { Draft } from './shape.ts'
import { applyEdit, editBetween } from './edit.ts'
import { changesBetween, rebaseEdit } from './rebase.ts'
import { changeText } from './text-change.ts'

const draft = (text: string, more: Partial<Draft> = {}): Draft => ({ ...emptyDraft(), text, ...more })

describe('an edit put aside and taken up again', () => {
  it('is the same edit where nothing has changed', () => {
    fc.assert(fc.property(draftAndEdit, ({ draft: before, edit }) => {
      const again = rebaseEdit(before, edit, before)
      expect(again && applyEdit(before, again).text).toBe(applyEdit(before, edit).text)
      expect(again && applyEdit(before, again).settings).toEqual(applyEdit(before, edit).settings)
    }))
  })
  it('finds its place in a text that has gone on', () => {
    const base = draft('a fox in snow, low angle')
    const edit = editBetween(base, draft('a fox in snow, low angle, rim light'))
    const now = draft('two foxes at dusk in snow, low angle', { leaveOut: ['people'] })
    expect(applyEdit(now, rebaseEdit(base, edit, now)!).text).toBe('two foxes at dusk in snow, low angle, rim light')
  })
  it('says when what it replaces is no longer there', () => {
    const base = draft('a fox in snow')
    expect(rebaseEdit(base, editBetween(base, draft('a hare in snow')), draft('a badger in snow'))).toBeUndefined()
  })
  it('meets lists by what they hold', () => {
    const base = draft('a fox', { leaveOut: ['people', 'text'], engines: [{ engine: 'burin' }] })
    const edit = editBetween(base, draft('a fox', { leaveOut: ['text', 'blur'], engines: [{ engine: 'tympan' }] }))
    const now = draft('a fox', { leaveOut: ['text', 'people', 'frames'], engines: [{ engine: 'burin' }, { engine: 'brayer' }] })
    const after = applyEdit(now, rebaseEdit(base, edit, now)!)
    expect(after.leaveOut).toEqual(['text', 'frames', 'blur'])
    expect(after.engines).toEqual([{ engine: 'brayer' }, { engine: 'tympan' }])
  })
  it('never makes an edit that does not fit', () => {
    fc.assert(fc.property(draftAndEdit, anyDraft, ({ draft: before, edit }, now) => {
      const again = rebaseEdit(before, edit, now)
      if (again) applyEdit(now, again)
    }))
  })
  it('says how words changed', () => {
    fc.assert(fc.property(fc.string(), fc.string(), (a, b) => changeText(a, changesBetween(a, b)) === b))
  })
})
