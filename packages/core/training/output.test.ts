import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { Draft } from '../src/draft/shape.ts'
import { emptyDraft } from '../src/draft/draft.ts'
import { applyEdit } from '../src/draft/edit.ts'
import { addMark } from '../src/draft/mark.ts'
import { completeProfile, type PartialProfile } from '../src/engine/complete.ts'
import { lengthIn, outputFor } from '../src/output/output.ts'
import { trimFor } from '../src/output/trim.ts'
import { fixedFacetsOf } from '../src/phrase/marks.ts'
import { createReader } from '../src/reader.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}.bin`, import.meta.url))
const reader = createReader(table('words'), table('reader'))
const draft = (text: string, rest: Partial<Draft> = {}): Draft => ({ ...emptyDraft(), text, ...rest })
const output = (of: Draft, engine: PartialProfile) => outputFor(of, completeProfile(engine), { reading: reader.read(of.text, fixedFacetsOf(of.marks)), words: reader.words })
const LIST = 'an old ferryman, poling a raft, misty dawn, gouache'

describe('an engine is given a draft in its own way', () => {
  it('in sentences, or as a list', () => {
    expect(output(draft(LIST), { reads: 'sentences', leaveOut: true }).text).toBe('An old ferryman is poling a raft at misty dawn. It is done in gouache.')
    expect(output(draft('A potter throws a tall vase in a whitewashed yard at noon.'), { reads: 'keywords', leaveOut: true }).text).toBe('potter, throwing a tall vase, whitewashed yard, noon')
    expect(output(draft(LIST), { reads: 'either', leaveOut: true }).text).toBe(LIST)
  })

  it('by facet, for one that reads JSON', () => {
    expect(JSON.parse(output(draft(LIST), { reads: 'json', leaveOut: true }).text)).toEqual({ subject: 'old ferryman', action: 'poling a raft', moment: 'misty dawn', medium: 'gouache' })
  })

  it('without what is no part of the picture, which goes where it belongs', () => {
    const { text, leaveOut, settings } = output(draft('Please draw a heron at a weir, woodcut, masterpiece, no people, seed 12'), { reads: 'either', leaveOut: true })
    expect([text, leaveOut, settings['seed']]).toEqual(['a heron at a weir, woodcut', 'people', 12])
  })

  it('with what weighs more first, more often, or in a field', () => {
    const marks = addMark([], { from: 32, to: 42, kind: 'emphasis', level: 1 })
    expect(output(draft(LIST, { marks }), { reads: 'keywords', leaveOut: true, emphasis: 'order' }).text).toMatch(/^misty dawn, /)
    expect(output(draft(LIST, { marks }), { reads: 'keywords', leaveOut: true, emphasis: 'repetition' }).text.match(/misty dawn/g)).toHaveLength(2)
    expect(output(draft(LIST, { marks }), { reads: 'keywords', leaveOut: true, emphasis: 'weights' }).weights).toEqual([{ text: 'misty dawn', weight: 1.25 }])
  })

  it('with exclusions as what is there instead, or said to be lost', () => {
    const { text, notes } = output(draft('an empty quay, gouache', { leaveOut: ['people', 'gulls'] }), { reads: 'keywords', leaveOut: false })
    expect(text).toBe('an empty quay, gouache, a deserted scene')
    expect(notes).toEqual(['This engine takes no leave-out list; not sent: gulls.'])
  })
})

it('never passes the limit, parses as JSON, sends nothing that is off, and says which phrases are lost', () => {
  const parts = fc.array(fc.constantFrom('an old ferryman', 'poling a raft', 'at dawn', ',', '.', 'no people', 'seed 4', 'masterpiece', 'gouache', 'the sign reads "OPEN"', '🦊', '\n', '{', '“', 'misty river'), { maxLength: 16 })
  const engines = fc.record({
    reads: fc.constantFrom('sentences' as const, 'keywords' as const, 'either' as const, 'json' as const),
    leaveOut: fc.boolean(),
    emphasis: fc.constantFrom('order' as const, 'repetition' as const, 'weights' as const, 'none' as const),
    limit: fc.record({ unit: fc.constantFrom('characters' as const, 'words' as const, 'tokens' as const), max: fc.integer({ min: 1, max: 60 }) }),
  })
  fc.assert(
    fc.property(parts, engines, fc.nat(60), fc.nat(20), (words, engine, from, length) => {
      const text = words.join(' ')
      const marks = from + length < text.length && length > 0 ? addMark([], { from, to: from + length, kind: 'off' }) : []
      const of = draft(text, { marks, leaveOut: ['people', 'gulls'] })
      const { text: sent, cut, used } = output(of, engine)
      expect(lengthIn(engine.limit.unit, sent)).toBe(used)
      expect(used).toBeLessThanOrEqual(engine.limit.max)
      if (engine.reads === 'json' && sent) expect(() => JSON.parse(sent) as unknown).not.toThrow()
      expect(sent).not.toMatch(/masterpiece|seed 4/)
      for (const { start, end } of cut) expect(start < end && end <= text.length).toBe(true)
    }),
    { numRuns: 300 },
  )
})

it('an exclusion is worded only where the text does not say otherwise', () => {
  const noList = { reads: 'sentences', leaveOut: false } as const
  expect(output(draft('A tram stop in drizzle, gouache', { leaveOut: ['people'] }), noList).text).toContain('deserted')
  const said = output(draft('an old woman at a tram stop, gouache', { leaveOut: ['people'] }), noList)
  expect(said.text).not.toContain('deserted')
  expect(said.notes.join(' ')).toContain('takes no leave-out list')
})

it('a text that is too long ends with a whole phrase, or a whole sentence', () => {
  expect(output(draft(LIST), { reads: 'keywords', leaveOut: true, limit: { unit: 'words', max: 8 } }).text).toBe('an old ferryman, poling a raft, misty dawn')
  expect(output(draft(LIST), { reads: 'keywords', leaveOut: true, limit: { unit: 'words', max: 7 } }).text).toBe('an old ferryman, poling a raft')
  expect(output(draft('A fox sleeps in a ditch. It is dusk over the quarry and the wind is low.'), { reads: 'sentences', leaveOut: true, limit: { unit: 'words', max: 10 } }).text).toBe('A fox sleeps in a ditch.')
})

describe('a trim', () => {
  const profile = completeProfile({ reads: 'keywords', leaveOut: true, limit: { unit: 'words', max: 12 } })
  const after = (given: Draft) => {
    const trim = trimFor(given, profile, reader)
    return { trim, draft: trim.edits.reduce(applyEdit, given) }
  }
  it('takes out what says nothing, what weighs less, then what comes last, and nothing that is locked', () => {
    const text = 'masterpiece, an old ferryman, patched coat, reed-choked river, dusk, low fog, wide shot, gouache, muted blues, hushed'
    const at = (words: string) => ({ from: text.indexOf(words), to: text.indexOf(words) + words.length })
    const given: Draft = { ...emptyDraft(), text, marks: [{ ...at('patched coat'), kind: 'emphasis', level: -2 }, { ...at('hushed'), kind: 'locked' }] }
    const { trim, draft } = after(given)
    expect(trim.fits).toBe(true)
    expect(trim.dropped.map(({ text, why }) => `${why}: ${text}`).slice(0, 3)).toEqual(['says nothing: masterpiece', 'much less: patched coat', 'last: muted blues'])
    expect(draft.text).toContain('hushed')
    expect(draft.text).toContain('ferryman')
  })
  it('leaves a draft that fits alone, and says when locked words alone are too long', () => {
    expect(after({ ...emptyDraft(), text: 'a red fox, gouache' }).trim).toEqual({ edits: [], dropped: [], fits: true })
    const text = 'one two three four five six seven eight nine ten eleven twelve thirteen'
    expect(after({ ...emptyDraft(), text, marks: [{ from: 0, to: text.length, kind: 'locked' }] }).trim).toEqual({ edits: [], dropped: [], fits: false })
  })
})
