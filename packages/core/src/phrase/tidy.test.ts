import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Draft } from '../draft/shape.ts'
import { emptyDraft } from '../draft/draft.ts'
import { applyEdit, invertEdit } from '../draft/edit.ts'
import { prepare } from '../read/prepare.ts'
import { tidy, tidySteps } from './tidy.ts'

const draft = (text: string, more: Partial<Draft> = {}): Draft => ({ ...emptyDraft(), text, ...more })
const tidied = (text: string, more: Partial<Draft> = {}) => {
  const before = draft(text, more)
  return applyEdit(before, tidy(before, tidySteps(text, prepare(text))))
}

describe('tidying a paste', () => {
  it('puts settings in their fields and leave-outs on the list, and takes praise and lead-ins out', () => {
    const { text, settings, leaveOut } = tidied('Create an image of a red fox, masterpiece, snowy wood, 8k, gouache, seed 12, no people. --aspect 3:2')
    expect(text).toBe('A red fox, snowy wood, gouache.')
    expect(settings).toEqual({ seed: 12, aspectRatio: '3:2' })
    expect(leaveOut).toEqual(['people'])
  })
  it('takes the heading of a leave-out list along', () => {
    const { text, leaveOut } = tidied('a fox at dusk\nLeave out: people, text\nSteps: 30, Seed: 4')
    expect(text).toBe('a fox at dusk')
    expect(leaveOut).toEqual(['people', 'text'])
  })
  it('adds nothing twice to the list, and keeps what was set for other settings', () => {
    const after = tidied('a fox, no people, seed 3', { leaveOut: ['People'], settings: { count: 2 } })
    expect([after.leaveOut, after.settings]).toEqual([['People'], { count: 2, seed: 3 }])
  })
  it('keeps marks on what stays', () => {
    const text = 'masterpiece, a fox, 8k, dusk'
    const after = tidied(text, { marks: [{ from: text.indexOf('dusk'), to: text.length, kind: 'locked' }] })
    expect(after.marks.map(({ from, to }) => after.text.slice(from, to))).toEqual(['dusk'])
  })
  it('leaves JSON whole', () => {
    const text = '{"subject":"a fox","seed":5}'
    expect(tidySteps(text, prepare(text))).toEqual([])
  })
  it('can be taken back exactly, for any text', () => {
    const word = fc.constantFrom('a fox', ', ', '. ', '8k', 'seed 5', 'no people', 'Avoid: text', '\n', ' | ', '--aspect 3:2', 'masterpiece', 'Create an image of ', '"', '🐝')
    fc.assert(
      fc.property(fc.array(word, { maxLength: 14 }), (parts) => {
        const before = draft(parts.join(''))
        const edit = tidy(before, tidySteps(before.text, prepare(before.text)))
        expect(applyEdit(applyEdit(before, edit), invertEdit(before, edit))).toEqual(before)
      }),
      { seed: 3, numRuns: 400 },
    )
  })
})
