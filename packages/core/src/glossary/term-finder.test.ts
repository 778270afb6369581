import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { packKnown, Known } from './known.ts'
import { listed, TermFinder } from './term-finder.ts'

const finder = new TermFinder([...listed('close-up, extreme close-up', 'near'), ...listed("worm's-eye view, oxen cart, glasses, cherry", 'other')])
const found = (text: string) => finder.find(text).map(({ start, end, value }) => [text.slice(start, end), value])

describe('terms in a text', () => {
  it('are found whatever their case, hyphens and apostrophes', () => {
    expect(found('An Extreme Close Up, worm’s-eye view')).toEqual([['Extreme Close Up', 'near'], ['worm’s-eye view', 'other']])
  })

  it('are found in the plural, but a pair of glasses is not two glass', () => {
    expect(found('close-ups of cherries')).toEqual([['close-ups', 'near'], ['cherries', 'other']])
    expect(found('a glass of water')).toEqual([])
  })

  it('do not run across punctuation', () => {
    expect(found('close, up')).toEqual([])
  })

  it('lie in the text, in order, and never overlap', () => {
    const words = fc.array(fc.constantFrom('close', 'up', 'extreme', 'close-up', 'glasses', ',', ' ', '-', 'é', '🦊'), { maxLength: 20 })
    fc.assert(
      fc.property(words, (parts) => {
        const text = parts.join(' ')
        let at = 0
        for (const { start, end } of finder.find(text)) {
          expect(start).toBeGreaterThanOrEqual(at)
          expect(end).toBeGreaterThan(start)
          at = end
        }
        expect(at).toBeLessThanOrEqual(text.length)
      }),
    )
  })
})

it('known words are always known, and few others are taken for one', () => {
  const words = Array.from({ length: 2_000 }, (_, i) => `word${i}`)
  const known = new Known(packKnown(words))
  expect(words.every((word) => known.has(word))).toBe(true)
  const strangers = Array.from({ length: 2_000 }, (_, i) => `other${i}`).filter((word) => known.has(word))
  expect(strangers.length).toBeLessThan(60)
})
