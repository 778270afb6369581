import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { beforeAll, describe, expect, it } from 'vitest'
import { createReader, type Reader } from '../../src/reader.ts'
import { readCorpus } from './corpus.ts'
import { Score } from './evaluate.ts'

const table = (name: string) => readFileSync(new URL(`../../tables/${name}`, import.meta.url))
const fresh = () => createReader(table('words.bin'), table('reader.bin'))
let reader: Reader
beforeAll(() => {
  reader = fresh()
})
const facets = (text: string) => reader.read(text).phrases.map((phrase) => [phrase.text, phrase.facet])

describe('reading', () => {
  it('finds phrases inside a sentence, not only between commas', () => {
    expect(facets('a potter throws a tall vase in a whitewashed yard at noon')).toEqual([
      ['potter', 'subject'],
      ['throws a tall vase', 'action'],
      ['whitewashed yard', 'setting'],
      ['noon', 'moment'],
    ])
  })

  it('reads a list, a sentence, fields and JSON of one picture alike', () => {
    const wanted = [['old heron', 'subject'], ['misty lake', 'setting'], ['dawn', 'moment'], ['linocut', 'medium']]
    expect(facets('old heron, misty lake, dawn, linocut')).toEqual(wanted)
    expect(facets('Subject: old heron\nSetting: misty lake\nTime: dawn\nMedium: linocut')).toEqual(wanted)
    expect(facets('{"subject":"old heron","setting":"misty lake","time":"dawn","medium":"linocut"}')).toEqual(wanted)
  })

  it('keeps what is no part of the picture apart', () => {
    const { phrases, leaveOut, settings, noise } = reader.read('Create an image of a fox, masterpiece, 8k, seed 12, aspect ratio 3:2. Leave out: people, text')
    expect(phrases.map(({ text }) => text)).toEqual(['fox'])
    expect({ leaveOut, settings }).toEqual({ leaveOut: ['people', 'text'], settings: { seed: 12, aspectRatio: '3:2' } })
    expect(new Set(noise.map(({ kind }) => kind))).toEqual(new Set(['lead-in', 'praise', 'setting', 'label', 'leave-out']))
  })

  it('lets a facet set by hand win, and its neighbours follow', () => {
    const text = 'an oriel, gouache'
    const set = reader.read(text, [{ from: 3, to: 8, facet: 'mood' }]).phrases
    expect(set[0]).toMatchObject({ text: 'oriel', facet: 'mood' })
    expect(set[1]).toMatchObject({ text: 'gouache', facet: 'medium' })
  })
})

const words = fc.constantFrom('a red fox', 'sleeping', ', ', '. ', 'in the snow', 'soft light', '\n', 'Subject: ', 'seed 5', 'no people', '{"mood":"', '"}', '🐝', 'dusk', ' ', '"OPEN"', 'عربي', '\u0000', '\ud800')
const anyText = fc.oneof(fc.string(), fc.string({ unit: 'binary' }), fc.array(words, { maxLength: 24 }).map((list) => list.join('')))

describe('for any text', () => {
  it('ranges are exact, ordered, and never overlap', () => {
    fc.assert(
      fc.property(anyText, (text) => {
        const { phrases, noise } = reader.read(text)
        for (const { start, end, text: said } of phrases) expect(text.slice(start, end)).toBe(said)
        for (const { confidence } of phrases) expect(confidence >= 0 && confidence <= 1).toBe(true)
        const spans = [...phrases, ...noise].sort((a, b) => a.start - b.start)
        spans.forEach(({ start, end }, i) => {
          expect(end).toBeGreaterThan(start)
          expect(end).toBeLessThanOrEqual(text.length)
          if (i) expect(start).toBeGreaterThanOrEqual(spans[i - 1]!.end)
        })
      }),
      { seed: 1, numRuns: 400 },
    )
  })

  it('a reading after edits equals one from scratch', () => {
    const typed = fresh()
    fc.assert(
      fc.property(anyText, fc.array(fc.tuple(fc.nat(200), fc.nat(6), words), { maxLength: 5 }), (text, edits) => {
        let now = text
        typed.read(now)
        for (const [at, remove, insert] of edits) {
          now = now.slice(0, at) + insert + now.slice(at + remove)
          typed.read(now)
        }
        expect(typed.read(now)).toEqual(reader.read(now))
      }),
      { seed: 2, numRuns: 150 },
    )
  })

  it('ends, however long and odd it is', () => {
    const odd = ['a'.repeat(20_000), 'a '.repeat(10_000), '('.repeat(20_000), '{"a":'.repeat(4_000), 'no '.repeat(6_000), '"'.repeat(20_000), 'seed: '.repeat(3_000), '- '.repeat(10_000), 'مرحبا '.repeat(3_000), 'Avoid: x\n'.repeat(2_000), ' '.repeat(20_000), 'x:'.repeat(10_000), '--'.repeat(10_000)]
    for (const text of odd) expect(reader.read(text).phrases.length).toBeGreaterThanOrEqual(0)
  })
})

it('holds on a tenth of the prompts kept back from training', () => {
  const score = new Score()
  readCorpus(new URL('../../corpus', import.meta.url).pathname, /^blind/)
    .filter((_, i) => i % 10 === 3)
    .forEach((example) => score.add(example, reader.read(example.text)))
  expect(score.macro).toBeGreaterThan(0.75)
})
