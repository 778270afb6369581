import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import type { GlossaryEntry } from '../src/glossary/entry.ts'
import { termsByFacet, termsSource, readGlossary } from './glossary.ts'

const folder = fileURLToPath(new URL('../glossary', import.meta.url))
const entries = readGlossary(folder)
const file = (path: string) => readFileSync(new URL(path, import.meta.url), 'utf8')

/** A sentence without its two longest words: sentences of one frame differ in little more. */
function frameOf({ does }: GlossaryEntry): string {
  const words = does.toLowerCase().match(/[\p{L}’'-]+/gu) ?? []
  const longest = [...words].sort((a, b) => b.length - a.length).slice(0, 2)
  return words.map((word) => (longest.includes(word) ? '·' : word)).join(' ')
}
const sharing = (texts: string[]) => {
  const counts = new Map<string, number>()
  for (const text of texts) counts.set(text, (counts.get(text) ?? 0) + 1)
  return [...counts].filter(([, count]) => count > 3).map(([text]) => text)
}

describe('the shipped glossary', () => {
  it('has 1,500 terms and more over all facets, none twice', () => {
    expect(entries.length).toBeGreaterThanOrEqual(1_500)
    expect(new Set(entries.map(({ facet }) => facet)).size).toBe(12)
    expect(new Set(entries.map(({ term }) => term)).size).toBe(entries.length)
  })
  it('says of a third and more what excludes them and what to say instead', () => {
    expect(entries.filter(({ excludes, instead }) => excludes && instead).length * 3).toBeGreaterThanOrEqual(entries.length)
  })
  it('says each in a sentence of its own', () => {
    expect(new Set(entries.map(({ does }) => does)).size).toBe(entries.length)
    for (const { does } of entries) expect(does).toMatch(/^[\p{Lu}].{14,}[.]$/u)
    expect(sharing(entries.map(({ does }) => does.split(/[\s,]+/).slice(0, 3).join(' ').toLowerCase()))).toEqual([])
    expect(sharing(entries.map(frameOf))).toEqual([])
  })
  it('is what the tables and the reading’s terms were made from', () => {
    expect(JSON.parse(file('../tables/glossary.json'))).toEqual(entries)
    expect(file('../src/glossary/terms-by-facet.ts')).toBe(termsSource(termsByFacet(entries, folder)))
  })
})
