import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { Kin } from '../../glossary/kin.ts'
import { WordTable } from '../../read/words/word-table.ts'
import { sayingsIn, valuesIn } from '../lexicon.ts'
import { SETS } from '../sets.ts'
import { turnsOf } from '../term.ts'
import { lexicalWords } from '../words.ts'
import { holds } from '../scope.ts'
import { DIMENSIONS } from './index.ts'

const bytes = (name: string) => readFileSync(new URL(`../../../tables/${name}.bin`, import.meta.url))
const kin = new Kin(bytes('kin'), new WordTable(bytes('words')))
const isKind = (noun: string, kind: string) => kin.below(noun, kind) >= 0
/** What a text says of the picture: “dimension: value”, without what is not of its own moment. */
const said = (text: string) => {
  const words = lexicalWords(text)
  return sayingsIn(words, isKind).filter((one) => holds(words, one, isKind)).map(({ dimension, value, start, end }) => `${dimension.name}: ${value} (${text.slice(start, end)})`)
}

const terms = DIMENSIONS.flatMap((one) => [...one.values].flatMap(([value, { names, goesWith }]) => [...names, ...goesWith].map((term) => ({ one, value, term }))))

describe('every table', () => {
  it('has terms that can be read', () => {
    for (const { term } of terms) expect(() => turnsOf(term, SETS), term).not.toThrow()
    expect(terms.length).toBeGreaterThan(1_500)
  })
  it('says one value by one term', () => {
    for (const one of DIMENSIONS) {
      const values = new Map<string, string>()
      for (const [value, { names, goesWith }] of one.values)
        for (const term of [...names, ...goesWith]) {
          const known = values.get(term)
          expect(known === undefined || known === value || !one.clash(known, value), `“${term}” is ${known} and ${value} of ${one.name}`).toBe(true)
          values.set(term, value)
        }
    }
  })
  it('has values that clash both ways or neither', () => {
    for (const one of DIMENSIONS) for (const a of one.values.keys()) for (const b of one.values.keys()) expect(one.clash(a, b), `${one.name}: ${a}, ${b}`).toBe(one.clash(b, a))
  })
  it('has no value that clashes with itself, and one that clashes with another', () => {
    for (const one of DIMENSIONS) {
      const values = [...one.values.keys()]
      expect(values.some((value) => one.clash(value, value)), one.name).toBe(false)
      expect(values.some((a) => values.some((b) => one.clash(a, b))), one.name).toBe(true)
    }
  })
  it('names kinds that the tree of kinds has', () => {
    const kinds = new Set(terms.flatMap(({ term }) => [...term.matchAll(/<([^>]+)>/g)].map(([, kind]) => kind!)))
    for (const kind of kinds) expect(kin.below(kind.replaceAll('_', ' '), kind.replaceAll('_', ' ')), kind).toBe(0)
  })
})

describe('a text says', () => {
  it.each([
    ['the sun slowly rises over the weir', 'two hours of the day: dawn'],
    ['earliest light of the day', 'two hours of the day: dawn'],
    ['washing blown horizontal on the line', 'two kinds of weather: windy'],
    ['trawlers locked in ice', 'two seasons: snow'],
    ['cockle beds at low tide', 'two tides: out'],
    ['shot on a 24mm lens', 'two lenses: wide'],
    ['her face fills the whole frame', 'two distances: close'],
    ['done as an anime cel', 'two media: cartoon'],
  ])('“%s”', (text, expected) => expect(said(text).some((one) => one.startsWith(expected)), said(text).join('; ')).toBe(true))
  it('nothing of what is denied, past, likened, or only tells which', () => {
    for (const text of ['without a storm in sight', 'after the rain', 'hair like snow', 'a winter coat', 'a snow-white horse', 'ready for the night', 'the fog has lifted', 'a storm lantern']) expect(said(text), text).toEqual([])
  })
  it('what a street or a sky shows', () => expect(said('a winter street').length).toBeGreaterThan(0))
  it('of a phrase, whatever it is of', () => expect(valuesIn('dusk over the pans', DIMENSIONS[0]!)).toEqual(['dusk']))
})
