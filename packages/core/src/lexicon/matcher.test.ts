import { describe, expect, it } from 'vitest'
import { Matcher } from './matcher.ts'
import { lexicalWords } from './words.ts'

const isKind = (noun: string, kind: string) => kind === 'fruit' && ['quince', 'pear'].includes(noun)
const found = (text: string, ...terms: string[]) => {
  const words = lexicalWords(text)
  return new Matcher(terms.map((term) => [term, term] as const), { hair: 'lock curl' }).find(words, isKind).map(({ from, to }) => text.slice(words[from]!.start, words[to - 1]!.end))
}

describe('a term is found', () => {
  it('in any form of its words', () => expect(found('Faces filled the frame', 'face fill frame')).toEqual(['Faces filled the frame']))
  it('written apart, with a hyphen or as one', () => expect(found('backlit, back-lit or back lit', 'back lit')).toEqual(['backlit', 'back-lit', 'back lit']))
  it('over small words that change nothing', () => expect(found('the sun is slowly rising', 'sun rise')).toEqual(['sun is slowly rising']))
  it('by kind, number and set', () => {
    expect(found('holding quinces', 'hold <fruit>')).toEqual(['holding quinces'])
    expect(found('a 24mm lens and an 85 mm lens', '#10..28 mm')).toEqual(['24mm'])
    expect(found('combs her curls', 'comb {hair}')).toEqual(['combs her curls'])
  })
  it('in either spelling', () => expect(found('gray theater', 'grey theatre')).toEqual(['gray theater']))
})

describe('a term is not found', () => {
  it('across a mark', () => expect(found('the sun, rising', 'sun rise')).toEqual([]))
  it('across other words', () => expect(found('the sun over hills rising', 'sun rise')).toEqual([]))
})
