import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { FindingKind } from '../src/check/finding.ts'
import { compareReadings } from '../src/compare/compare.ts'
import { Synonyms } from '../src/compare/sameness.ts'
import { Kin } from '../src/glossary/kin.ts'
import { createReader } from '../src/reader.ts'
import { judged } from './judge-checks.ts'

/**
 * What other people wrote, with today's figures as floors: nothing that is done for one of these may lose another.
 * No reading is judged here: the reader that ships has learned from all hands (docs/reading.md tells how it does on one left out).
 */
describe('drafts of other hands', () => {
  /** Kinds of which a hand wrote enough for a share to mean something. */
  const ENOUGH = 8
  it.each([
    ['other-hand.txt', { recall: 0.8, quiet: 0.91, precision: { contradiction: 0.95, 'fights-leave-out': 0.8, repeated: 0.95, 'mixed-medium': 0.95, crowd: 0.95, 'small-subject': 0.95, 'vague-subject': 0.95, 'lead-verb': 0.95, 'unknown-word': 0.85, 'negation-in-text': 0.95, 'settings-in-text': 0.95, 'era-clash': 0.95, 'drags-in': 0.85 } }],
    ['second-hand.txt', { recall: 0.64, quiet: 0.87, precision: { contradiction: 0.9, 'fights-leave-out': 0.88, repeated: 0.85, 'mixed-medium': 0.9, 'negation-in-text': 0.95, 'small-subject': 0.95, 'lettering-risk': 0.8, 'era-clash': 0.85, crowd: 0.75, 'missing-facet': 0.75, 'vague-subject': 0.85 } }],
  ] as const)('%s: recall over kinds, what is said wrongly, clean drafts left quiet', (file, floor) => {
    const { counts, clean, quiet } = judged(file)
    const enough = [...counts.values()].filter(({ hit, missed }) => hit + missed >= ENOUGH)
    expect(enough.length).toBeGreaterThan(8)
    expect(enough.reduce((sum, { hit, missed }) => sum + hit / (hit + missed), 0) / enough.length).toBeGreaterThan(floor.recall)
    expect(quiet / clean).toBeGreaterThan(floor.quiet)
    for (const [kind, least] of Object.entries(floor.precision)) {
      const { hit, wrong } = counts.get(kind as FindingKind)!
      expect(hit / (hit + wrong), kind).toBeGreaterThan(least)
    }
  })
})

describe('pairs of other hands', () => {
  const table = (name: string) => readFileSync(new URL(`../tables/${name}`, import.meta.url))
  const reader = createReader(table('words.bin'), table('reader.bin'))
  const synonyms = new Synonyms(JSON.parse(table('same.json').toString('utf8')) as string[], new Kin(table('kin.bin'), reader.words))

  it.each([
    ['other-hand', 160, 0.58],
    ['second-hand', 260, 0.6],
  ])('%s: one prompt in other words, or another', (file, count, floor) => {
    const pairs = readFileSync(new URL(`../compare-cases/${file}.txt`, import.meta.url), 'utf8')
      .replace(/^#.*\n/gm, '')
      .trim()
      .split(/\n\n+/)
      .map((block) => /^half: \w\n(?<a>[\s\S]*?)\n=\n(?<b>[\s\S]*?)\n-> (?<kind>same|other)$/.exec(block)!.groups as { a: string; b: string; kind: string })
    expect(pairs).toHaveLength(count)
    const said = pairs.filter(({ a, b }) => compareReadings(reader.read(a), reader.read(b), synonyms).near)
    const right = said.filter(({ kind }) => kind === 'same').length
    expect((2 * right) / (said.length + pairs.filter(({ kind }) => kind === 'same').length)).toBeGreaterThan(floor)
  })
})
