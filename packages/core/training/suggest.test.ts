import { readFileSync } from 'node:fs'
import { beforeAll, describe, expect, it } from 'vitest'
import { createReader, type Reader, Suggester } from '../src/reader.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}`, import.meta.url))
let reader: Reader
let suggester: Suggester
beforeAll(() => {
  reader = createReader(table('words.bin'), table('reader.bin'))
  suggester = new Suggester(reader.words)
})
const suggest = (facet: Parameters<Suggester['suggest']>[0], text: string, typed = '', most = 12) => suggester.suggest(facet, text, reader.read(text).phrases, typed, most)

describe('suggested terms', () => {
  it('fit what is said: other places for a sailor than for a cook', () => {
    const sailor = suggest('setting', 'an old sailor hauling a net')
    const cook = suggest('setting', 'a cook kneading bread dough')
    expect(sailor.some((term) => /ship|harbou?r|dock|sea|boat|deck|island|coast/.test(term))).toBe(true)
    expect(cook.some((term) => /kitchen|baker|table|counter|restaurant|market|cafe|shop/.test(term))).toBe(true)
    expect(sailor).not.toEqual(cook)
  })
  it('leave out what the text says, and are never two of one last word', () => {
    const found = suggest('light', 'a fox in soft backlight at dusk')
    expect(found).not.toContain('soft backlight')
    expect(new Set(found.map((term) => term.split(' ').at(-1))).size).toBe(found.length)
  })
  it('go by what is typed, at the beginning of any word', () => {
    const found = suggest('light', 'a fox', 'back')
    expect(found.length).toBeGreaterThan(0)
    for (const term of found) expect(term).toMatch(/(?:^| )back/)
    expect(suggest('light', 'a fox', 'zzzz')).toEqual([])
  })
  it('are there for an empty text, too', () => {
    for (const facet of ['subject', 'medium', 'mood', 'lettering'] as const) expect(suggest(facet, '', '', 5)).toHaveLength(5)
  })
})
