import { describe, expect, it } from 'vitest'
import { sequencesOf } from './term.ts'

const said = (term: string, sets = {}) =>
  sequencesOf(term, sets).map((elements) => elements.map((one) => (one.is === 'word' ? one.word : one.is === 'any' ? '_' : one.is === 'kind' ? `<${one.kind}>` : `#${one.from}..${one.to}`)).join(' '))

describe('a term', () => {
  it('stands for each of its choices, with and without what may be left out', () => {
    expect(said('break|crack of day')).toEqual(['break of day', 'crack of day'])
    expect(said('hard light source?')).toEqual(['hard light source', 'hard light', 'hardlight'])
  })
  it('of two words is written as one, too', () => expect(said('sun rise')).toEqual(['sun rise', 'sunrise']))
  it('may have any word, a kind of noun, a number or a set', () => {
    expect(said('full of _')).toEqual(['full of _'])
    expect(said('hold <fruit>')).toEqual(['hold <fruit>'])
    expect(said('#10..28 mm')).toEqual(['#10..28 mm'])
    expect(said('comb {hair} now', { hair: 'lock curl' })).toEqual(['comb lock now', 'comb curl now'])
  })
  it.each(['', '   ', 'bad$word', '{nothing}', 'word?'.repeat(3)])('that is ill-formed is refused: %j', (term) => expect(() => sequencesOf(term)).toThrow())
  it('that stands for too much is refused', () => expect(() => sequencesOf(Array.from({ length: 14 }, () => 'a|b').join(' '))).toThrow('more than'))
})
