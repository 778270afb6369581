import { describe, expect, it } from 'vitest'
import { letterKeys } from '../keys/letters.ts'
import { aSheetProof } from '../testing.test-support.ts'
import { changeFor, manyChangeFor, sharedVerdict, toggled, turned } from './mark-proofs.ts'

const key = (name: string) => new KeyboardEvent('keydown', { key: name })
const kept = aSheetProof('p0', { verdict: 'keep', faults: ['clutter'] })
const dropped = aSheetProof('p1', { verdict: 'drop', faults: ['clutter', 'too-small'] })
const open = aSheetProof('p2')

describe('a verdict', () => {
  it.each([
    [null, 'keep', 'keep'],
    ['keep', 'keep', null],
    ['keep', 'drop', 'drop'],
  ] as const)('that was %s and is given as %s becomes %s', (now, given, then) => {
    expect(turned(now, given)).toBe(then)
  })

  it.each([
    [[], null],
    [[kept], 'keep'],
    [[kept, kept], 'keep'],
    [[kept, dropped], null],
    [[open, kept], null],
    [[open, open], null],
  ] as const)('of several is shared by all or by none', (proofs, shared) => {
    expect(sharedVerdict(proofs)).toBe(shared)
  })
})

describe('a key on one picture', () => {
  it('gives a verdict, and takes the same one back', () => {
    expect([changeFor(key('k'), open), changeFor(key('k'), kept), changeFor(key('m'), kept)]).toEqual([{ verdict: 'keep' }, { verdict: null }, { verdict: 'maybe' }])
  })

  it('adds a fault, and removes one that it has', () => {
    expect([changeFor(key('s'), kept), changeFor(key('l'), kept)]).toEqual([{ faults: ['clutter', 'spoiled-lettering'] }, { faults: [] }])
    expect(toggled(['clutter', 'other'], 'clutter')).toEqual(['other'])
  })

  it('that says nothing changes nothing; no letter does while letters are switched off', () => {
    expect(changeFor(key('z'), kept)).toBeUndefined()
    letterKeys.value = false
    expect(changeFor(key('k'), open)).toBeUndefined()
    letterKeys.value = true
  })
})

describe('a key on many pictures', () => {
  it('gives all of them the verdict, and takes it back where all have it', () => {
    expect([manyChangeFor(key('k'), [kept, dropped]), manyChangeFor(key('k'), [kept, kept])]).toEqual([{ verdict: 'keep' }, { verdict: null }])
  })

  it('adds a fault to all, and removes it where all have it', () => {
    expect([manyChangeFor(key('t'), [kept, dropped]), manyChangeFor(key('l'), [kept, dropped])]).toEqual([{ addFaults: ['too-small'] }, { removeFaults: ['clutter'] }])
  })
})
