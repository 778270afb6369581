import { describe, expect, it } from 'vitest'
import { turnsOf } from './term.ts'

const said = (term: string, sets = {}) =>
  turnsOf(term, sets).map((places) => places.map((choices) => choices.map((one) => (one.is === 'word' ? one.word : one.is === 'any' ? '_' : one.is === 'kind' ? `<${one.kind}>` : `#${one.from}..${one.to}`)).join('|')).join(' '))

describe('a term', () => {
  it('has its choices in their places, with and without what may be left out', () => {
    expect(said('break|crack of day')).toEqual(['break|crack of day'])
    expect(said('hard light source?')).toEqual(['hard light source', 'hard light', 'hardlight'])
  })
  it('of two words is written as one, too', () => expect(said('sun rise')).toEqual(['sun rise', 'sunrise']))
  it('may have any word, a kind of noun, a number or a set', () => {
    expect(said('full of _')).toEqual(['full of _'])
    expect(said('hold <fruit>')).toEqual(['hold <fruit>'])
    expect(said('#10..28 mm')).toEqual(['#10..28 mm'])
    expect(said('comb {hair} now', { hair: 'lock curl' })).toEqual(['comb lock|curl now'])
  })
  it.each(['', '   ', 'bad$word', '{nothing}', 'word?'.repeat(3)])('that is ill-formed is refused: %j', (term) => expect(() => turnsOf(term)).toThrow())
  it('that stands for too much is refused', () => expect(() => turnsOf(Array.from({ length: 9 }, () => 'a?').join(' '))).toThrow('more than'))
})
