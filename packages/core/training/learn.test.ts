import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { createReader } from '../src/reader.ts'
import { learnTemplate } from '../src/template/learn.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}`, import.meta.url))
const reader = createReader(table('words.bin'), table('reader.bin'))
/** An article may stand in the frame or in the value: both are right. */
const bare = (value: string) => value.trim().replace(/^(?:an?|the)\s+/i, '').toLowerCase()

/** Groups of learn-cases: texts, and what stands in each slot of the frame they were written from. */
const groups = readFileSync(new URL('../learn-cases/groups.txt', import.meta.url), 'utf8')
  .replace(/^#.*\n/gm, '')
  .trim()
  .split(/\n\n+/)
  .map((block) => {
    const [half = '', frame = '', ...lines] = block.split('\n')
    const names = [...new Set([...frame.matchAll(/\{\{ (\w+) \}\}/g)].map((match) => match[1]!))]
    const cells = lines.map((line) => line.split('|').map((value) => value.replace(/^ | $/g, '')))
    // A frame with one slot has its values on one line.
    const rows = names.length === 1 ? cells.flat().map((value) => [value]) : cells
    return { half: half.slice(-1), texts: rows.map((row) => names.reduce((text, name, i) => text.replaceAll(`{{ ${name} }}`, row[i] ?? ''), frame)), slots: names.map((_, i) => rows.map((row) => row[i] ?? '')) }
  })
const key = (slots: readonly (readonly string[])[]) => slots.map((values) => values.map(bare).join('|')).sort().join('\n')

describe('templates learned from labelled groups', () => {
  it.each(['a', 'b', 'c'])('finds the frame and every slot of most whole groups, half %s', (half) => {
    const own = groups.filter((group) => group.half === half)
    const right = own.filter(({ texts, slots }) => key(learnTemplate(texts, (text) => reader.read(text).phrases).slots.map(({ values }) => values)) === key(slots))
    expect(own.length).toBeGreaterThan(18)
    expect(right.length / own.length).toBeGreaterThan(0.84)
  })
})
