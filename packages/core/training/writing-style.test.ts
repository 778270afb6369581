import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { closenessOfExamples, styleCloseness } from '../src/writing-style/closeness.ts'
import { styleFromWords } from '../src/writing-style/from-words.ts'
import { styleInWords } from '../src/writing-style/in-words.ts'
import { learnWritingStyle } from '../src/writing-style/learn.ts'
import { wordCount } from '../src/writing-style/writing.ts'
import { createReader, Suggester, writeInStyle } from '../src/reader.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}`, import.meta.url))
const reader = createReader(table('words.bin'), table('reader.bin'))
const suggester = new Suggester(reader.words)
const read = (text: string) => ({ text, phrases: reader.read(text).phrases })
const learn = (texts: readonly string[]) => learnWritingStyle('test', texts.map(read))

const LISTS = [
  'linocut, an owl on a fence post, moonlit night, thick black outlines, two colours, hushed',
  'linocut, a fox in a wheat field, harvest moon, thick black outlines, cream and rust, watchful',
  'linocut, a heron in a reed bed, misty dawn, thick black outlines, two colours, calm',
  'linocut, two hares on a hill, starry night, thick black outlines, black and ochre, playful',
  'linocut, an otter in a mill stream, dusk, thick black outlines, two colours, quiet',
]
const PROSE = [
  'A potter throws a tall vase in a whitewashed yard. Warm light falls from the left through a vine. It is a documentary photograph on grainy film.',
  'An old baker pulls loaves from a stone oven before dawn. The only light comes from the embers. It is a documentary photograph on grainy film.',
  'Two fishermen mend a net on the quay in the late afternoon. Low sun comes from behind them. It is a documentary photograph on grainy film.',
]

describe('a writing style of writing', () => {
  const lists = learn(LISTS)
  const prose = learn(PROSE)

  it('is learned from examples: order, style, what is always said, favourite terms, length and punctuation', () => {
    expect(lists).toMatchObject({ style: 'list', separator: ', ', capital: false, stop: false })
    expect(lists.always.map(({ text }) => text)).toEqual(expect.arrayContaining(['linocut', 'thick black outlines']))
    expect(lists.facets[0]).toMatchObject({ facet: 'medium', share: 1 })
    expect(lists.facets.find(({ facet }) => facet === 'colour')?.terms).toContain('two colours')
    expect(lists.words.low).toBeLessThanOrEqual(lists.words.middle)
    expect(prose.style).toBe('sentences')
    expect(styleInWords(lists)).toMatch(/^A list with commas .*\n\d+ to \d+ words/)
    expect(() => learn(LISTS.slice(0, 2))).toThrow(RangeError)
  })

  it('is written from a word: what is given stays, what is always said is said, at the length asked for', () => {
    const { text, added } = writeInStyle(lists, 'badger', reader, suggester)
    expect(text).toMatch(/^linocut, a badger (?:in|on) an? /)
    expect(text).toContain('thick black outlines')
    expect(added.map(({ facet }) => facet)).toEqual(expect.arrayContaining(['moment']))
    expect(wordCount(text)).toBeGreaterThanOrEqual(lists.words.low - 3)
    expect(wordCount(writeInStyle(lists, 'badger', reader, suggester, { words: 7 }).text)).toBeLessThan(wordCount(text) + 1)
    expect(writeInStyle(lists, 'badger', reader, suggester, { take: 1 }).text).not.toBe(text)
    const sentences = writeInStyle(prose, 'a blacksmith shoeing a horse', reader, suggester).text
    expect(sentences).toMatch(/^A blacksmith .*shoeing a horse.*\. .*photograph/i)
  })

  it('is told in words, and read from them again', () => {
    const again = styleFromWords(styleInWords(lists), (phrase) => lists.always.find(({ text }) => text === phrase)!.facet)
    expect(again.facets.map(({ facet }) => facet)).toEqual(expect.arrayContaining(lists.facets.map(({ facet }) => facet)))
    expect(again).toMatchObject({ style: 'list', words: lists.words, separator: ', ', capital: false, stop: false })
    expect(again.always.map(({ text }) => text).sort()).toEqual(lists.always.map(({ text }) => text).sort())
    expect(styleFromWords(styleInWords(prose), () => 'detail').style).toBe('sentences')
  })

  it('keeps what a draft says, and adds nothing that brings trouble', () => {
    const { text } = writeInStyle(lists, 'a crow on a gravestone at noon, blue and white', reader, suggester)
    for (const said of ['crow', 'gravestone', 'noon', 'blue and white']) expect(text).toContain(said)
    expect(text).not.toMatch(/night|dusk|dawn/)
    const careful = writeInStyle(lists, 'badger', reader, suggester, { trouble: (all) => (/night/.test(all) ? 1 : 0) })
    expect(careful.text).not.toMatch(/night/)
  })

  it('says how close a text is: its own examples are, others are not, and what is written in it is', () => {
    const close = (text: string) => styleCloseness(read(text), lists).score
    const own = LISTS.map(close)
    expect(Math.min(...own)).toBeGreaterThan(0.85)
    expect(close(writeInStyle(lists, 'badger', reader, suggester).text)).toBeGreaterThan(Math.min(...own) - 0.1)
    for (const other of [...PROSE, 'a jar of honey on a marble worktop, soft window light, product photograph, 85mm lens', 'cat']) expect(close(other), other).toBeLessThan(Math.min(...own) - 0.2)
    const left = closenessOfExamples(LISTS.map(read), lists)
    expect(Math.min(...left)).toBeGreaterThan(0.75)
    expect(Math.max(...left)).toBeLessThan(Math.max(...own))
    const { respects } = styleCloseness(read('badger, gouache'), lists)
    expect(respects.find(({ name }) => name === 'always')?.says).toBe('without “linocut”, “thick black outlines”')
  })
})
