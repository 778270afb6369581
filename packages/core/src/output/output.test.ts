import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDraft } from '../draft/arbitrary-draft.test-support.ts'
import { emptyDraft } from '../draft/draft.ts'
import type { Draft } from '../draft/shape.ts'
import { burin1 } from '../engine/burin.ts'
import { costOf, countOf, lengthIn, outputFor } from './output.ts'
import { shownText } from './shown-text.ts'

const draft = (text: string, rest: Partial<Draft> = {}): Draft => ({ ...emptyDraft(), text, ...rest })

describe('outputFor', () => {
  it('leaves a phrase out that is switched off, with its comma', () => {
    const off = draft('a fox, in the snow, at dusk', { marks: [{ from: 7, to: 18, kind: 'off' }] })
    expect(outputFor(off, burin1).text).toBe('a fox, at dusk')
  })

  it('sends settings as fields, within what the engine takes', () => {
    const { settings } = outputFor(draft('a fox', { settings: { guidance: 99, aspectRatio: '2:3', seed: 5 } }), burin1)
    expect(settings).toMatchObject({ guidance: 12, aspectRatio: '2:3', width: 512, height: 768, seed: 5, count: 4 })
  })

  it('says what is not sent', () => {
    const { leaveOut, notes } = outputFor(draft('a fox', { leaveOut: ['people'], settings: { aspectRatio: '7:5' } }), burin1)
    expect(leaveOut).toBe('')
    expect(notes).toEqual(['Burin takes no leave-out list; it is not sent.', 'Burin has no 7:5; it makes 3:2.'])
  })

  it('never passes the limit, and marks in the draft what was cut', () => {
    const short = { ...burin1, limit: { unit: 'words' as const, max: 3 } }
    const long = draft('a fox in the snow')
    const { text, used, cut } = outputFor(long, short)
    expect([text, used]).toEqual(['a fox in', 3])
    expect(cut.map(({ start, end }) => long.text.slice(start, end))).toEqual([' the snow'])
    fc.assert(
      fc.property(anyDraft, fc.integer({ min: 1, max: 30 }), (any, max) => {
        const out = outputFor(any, { ...burin1, limit: { unit: 'characters', max } })
        expect(out.text.length).toBeLessThanOrEqual(max)
        if (out.text === shownText(any)) expect(out.cut).toEqual([])
      }),
      { seed: 5, numRuns: 200 },
    )
  })

  it('costs what the size costs, times the number of results', () => {
    expect(costOf(burin1, { count: 3, aspectRatio: '16:9' })).toBe(15)
  })

  it('sends nothing of a draft that is all switched off, and no comma of it', () => {
    expect(shownText(draft('a fox, at dusk', { marks: [{ from: 0, to: 5, kind: 'off' }] }))).toBe('at dusk')
    expect(shownText(draft('a fox, at dusk.', { marks: [{ from: 0, to: 5, kind: 'off' }, { from: 7, to: 14, kind: 'off' }] }))).not.toMatch(/[a-z,]/)
  })

  it('gives an engine that reads a leave-out list its entries, and the choices it does not know its own', () => {
    const wide = { ...burin1, leaveOut: true, settings: [{ kind: 'choice' as const, key: 'spread', label: 'Spread', says: '', values: ['close', 'wide'], default: 'close' }] }
    const { leaveOut, settings } = outputFor(draft('a fox', { leaveOut: ['people', 'text'], settings: { spread: 'enormous', stray: 4 } }), wide)
    expect([leaveOut, settings['spread'], settings['stray']]).toEqual(['people, text', 'close', undefined])
  })

  it('marks as cut just the words that are not sent', () => {
    fc.assert(
      fc.property(fc.array(fc.stringMatching(/^[a-z]{1,9}$/), { minLength: 1, maxLength: 20 }), fc.integer({ min: 1, max: 20 }), (words, max) => {
        const long = draft(words.join(' '))
        const { text, cut } = outputFor(long, { ...burin1, limit: { unit: 'words', max } })
        const lost = cut.map(({ start, end }) => long.text.slice(start, end)).join(' ')
        expect([...text.split(' '), ...lost.split(' ').filter(Boolean)]).toEqual(words)
      }),
      { seed: 6, numRuns: 200 },
    )
  })
})

it('measures in characters, words, or tokens of four characters', () => {
  expect([lengthIn('characters', 'a red fox'), lengthIn('words', '  a red\nfox '), lengthIn('tokens', 'a red fox')]).toEqual([9, 3, 3])
})

it('makes a whole number of results, four when none is said, never more than an engine is asked for', () => {
  expect([countOf({}), countOf({ count: 7 }), countOf({ count: 2.5 }), countOf({ count: 'many' }), countOf({ count: 900 })]).toEqual([4, 7, 4, 4, 24])
})
