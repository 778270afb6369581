import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { AssociationTable } from '../src/glossary/association-table.ts'
import { THINGS } from '../src/check/era/things.ts'

const read = (path: string) => readFileSync(new URL(`../${path}`, import.meta.url), 'utf8')
const table = JSON.parse(read('tables/associations.json')) as AssociationTable
const never = read('glossary/lists/never.txt').split('\n').filter((line) => line && !line.startsWith('#'))
const rows = Object.entries(table)
/** Everything that a row of the table may show. */
const shown = ([word, { b = [], m, s = [], k, n = [] }]: (typeof rows)[number]): string[] => [word, ...b.map(([what]) => what), ...(m ? [m] : []), ...s, ...(k ? [k] : []), ...n]

describe('what the glossary says of words', () => {
  it('offers no word that names a people, a party or a person, or that insults', () => {
    expect(never.length).toBeGreaterThan(80)
    expect(never).toEqual([...new Set(never)].sort((a, b) => (a < b ? -1 : 1)))
    const words = new Set(never)
    const wrong = rows.flatMap((row) => shown(row).filter((text) => text.toLowerCase().split(/[^\p{L}-]+/u).some((word) => words.has(word) || words.has(word.replace(/s$/, '')))).map((text) => `${row[0]}: ${text}`))
    expect(wrong).toEqual([])
    expect(THINGS.toLowerCase().split(/[^\p{L}-]+/u).filter((word) => words.has(word))).toEqual([])
  })

  it('says nothing with a capital: that would be a name', () => {
    expect(rows.flatMap((row) => shown(row).filter((text) => /\p{Lu}/u.test(text)))).toEqual([])
  })

  it.each([
    ['barber', 'hair', 'composer'],
    ['queen', 'king', 'insect'],
    ['party', 'people', 'political'],
    ['potter', 'pottery', 'writer'],
    ['lamp', 'light', 'person'],
  ])('means by “%s” what a picture shows of it', (word, right, wrong) => {
    const meaning = table[word]?.m ?? ''
    expect(meaning).toContain(right)
    expect(meaning).not.toContain(wrong)
  })

  it('shows no meaning where none fits what the word brings', () => {
    expect(table['villa']?.m).toBeUndefined()
    expect(table['hood']?.m).toBeUndefined()
  })
})
