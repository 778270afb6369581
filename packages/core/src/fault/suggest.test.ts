import { describe, expect, it } from 'vitest'
import { emptyDraft } from '../draft/draft.ts'
import type { Draft } from '../draft/shape.ts'
import { applyEdit } from '../draft/edit.ts'
import { SHIPPED_ENGINES } from '../engine/index.ts'
import type { Phrase } from '../read/reading.ts'
import { countFaults, type FaultCount } from './fault.ts'
import type { Fault } from './shape.ts'
import { type Offer, suggestFromFaults } from './suggest.ts'

const draft = (text: string, more: Partial<Draft> = {}): Draft => ({ ...emptyDraft(), text, engines: [{ engine: 'brayer' }], ...more })
const phrase = (text: string, words: string, facet: Phrase['facet']): Phrase => ({ start: text.indexOf(words), end: text.indexOf(words) + words.length, text: words, facet, confidence: 1 })
const count = (engine: string, fault: Fault, n: number, of: number): FaultCount => ({ engine, revision: '2', fault, count: n, of })
const suggest = (of: Draft, phrases: Phrase[], counts: FaultCount[], record: FaultCount[] = []) => suggestFromFaults({ draft: of, phrases, profiles: SHIPPED_ENGINES, counts, record })
const after = (of: Draft, offers: Offer[], kind: Offer['kind']) => applyEdit(of, offers.find((offer) => offer.kind === kind)!.edit)

describe('what faults that came again suggest', () => {
  it('is nothing for a fault seen once, and says its count as the reason', () => {
    const one = draft('a fox')
    expect(suggest(one, [], [count('brayer', 'clutter', 1, 4)])).toEqual([])
    expect(suggest(one, [], [count('brayer', 'clutter', 3, 4)])[0]?.reason).toBe('Brayer 2: clutter on 3 of 4')
  })
  it('is an entry of the leave-out list, where the engine takes one; else a phrase', () => {
    const one = draft('a fox')
    const [onBrayer] = suggest(one, [phrase('a fox', 'fox', 'subject')], [count('brayer', 'extra-people', 2, 4)])
    expect(after(one, onBrayer!.offers, 'leave-out').leaveOut).toEqual(['extra people', 'bystanders'])
    const [onBurin] = suggest(one, [phrase('a fox', 'fox', 'subject')], [count('burin', 'extra-people', 2, 4)])
    expect(onBurin!.offers.map(({ kind }) => kind)).not.toContain('leave-out')
    expect(after(one, onBurin!.offers, 'phrase').text).toBe('a fox, an otherwise empty scene')
  })
  it('does not offer what is done already', () => {
    const one = draft('a fox, a plain background', { leaveOut: ['Clutter'] })
    expect(suggest(one, [], [count('brayer', 'clutter', 2, 4)])[0]!.offers.filter(({ kind }) => kind !== 'engine')).toEqual([])
  })
  it('tightens a wide shot, and gives one where none is said', () => {
    const wide = draft('a fox, wide shot')
    const [tighter] = suggest(wide, [phrase(wide.text, 'fox', 'subject'), phrase(wide.text, 'wide shot', 'framing')], [count('brayer', 'too-small', 2, 4)])
    expect(after(wide, tighter!.offers, 'phrase').text).toBe('a fox, medium shot')
    const bare = draft('a fox')
    const [added] = suggest(bare, [phrase(bare.text, 'fox', 'subject')], [count('brayer', 'too-small', 2, 4)])
    expect(after(bare, added!.offers, 'phrase').text).toBe('a fox, medium close-up')
  })
  it('offers periods where none is stated, and stresses one that is', () => {
    const bare = draft('a street')
    const [choose] = suggest(bare, [phrase(bare.text, 'street', 'setting')], [count('tympan', 'wrong-period', 2, 4)])
    expect(choose!.offers.filter(({ kind }) => kind === 'phrase').map(({ label }) => label)).toContain('Add “1920s”')
    const stated = draft('a street, 1920s')
    const [stress] = suggest(stated, [phrase(stated.text, '1920s', 'moment')], [count('tympan', 'wrong-period', 2, 4)])
    expect(after(stated, stress!.offers, 'phrase').marks).toEqual([{ from: 10, to: 15, kind: 'emphasis', level: 1 }])
    expect(after(stated, stress!.offers, 'leave-out').leaveOut).toEqual(['modern objects'])
  })
  it('takes latitude away where the engine has it, among that engine’s own settings when it has some', () => {
    const one = draft('a fox', { engines: [{ engine: 'burin' }, { engine: 'tympan', settings: { latitude: 'free' } }] })
    const [less] = suggest(one, [], [count('tympan', 'clutter', 3, 4)])
    expect(after(one, less!.offers, 'setting').engines[1]).toEqual({ engine: 'tympan', settings: { latitude: 'some' } })
  })
  it('names another engine that has the fault half as often, with what that rests on', () => {
    const one = draft('a fox')
    const record = [count('burin', 'clutter', 1, 10), count('tympan', 'clutter', 2, 3)]
    const [better] = suggest(one, [], [count('brayer', 'clutter', 4, 4)], record)
    const other = better!.offers.find(({ kind }) => kind === 'engine')
    expect(other?.label).toBe('Burin 2 instead (clutter on 1 of 10)')
    expect(applyEdit(one, other!.edit).engines).toEqual([{ engine: 'burin' }])
    expect(suggest(one, [], [count('brayer', 'clutter', 4, 4)], [count('burin', 'clutter', 9, 10)])[0]!.offers.map(({ kind }) => kind)).not.toContain('engine')
  })
})

it('counts faults by engine over the proofs that were looked at', () => {
  const proof = (id: string, ...faults: Fault[]) => ({ engine: { id, revision: '2' }, faults })
  expect(countFaults([proof('burin', 'clutter'), proof('burin'), proof('brayer', 'clutter', 'other')])).toEqual([count('burin', 'clutter', 1, 2), count('brayer', 'clutter', 1, 1), count('brayer', 'other', 1, 1)])
})
