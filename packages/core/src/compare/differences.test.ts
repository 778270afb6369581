import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDraft } from '../draft/arbitrary-draft.test-support.ts'
import type { Draft } from '../draft/shape.ts'
import { emptyDraft } from '../draft/draft.ts'
import type { Facet } from '../facet.ts'
import type { Phrase } from '../read/reading.ts'
import { counts } from './difference.ts'
import { Differences } from './differences.ts'

/** Phrases as commas cut them; the facet by a word in it. */
const FACETS: [string, Facet][] = [['dusk', 'moment'], ['night', 'moment'], ['fox', 'subject'], ['wolf', 'subject'], ['gouache', 'medium'], ['snow', 'setting'], ['hat', 'detail']]
const phrasesOf = (text: string): Phrase[] =>
  [...text.matchAll(/[^,]+/g)].flatMap((match) => {
    const said = match[0].trim()
    const start = match.index + match[0].indexOf(said)
    return said ? [{ start, end: start + said.length, text: said, facet: FACETS.find(([word]) => said.includes(word))?.[1] ?? 'detail', confidence: 1 }] : []
  })
const between = (a: Draft, b: Draft) => new Differences(a, b, phrasesOf(a.text), phrasesOf(b.text))
const draft = (text: string, more: Partial<Draft> = {}): Draft => ({ ...emptyDraft(), text, ...more })
const said = (a: Draft, b: Draft) => between(a, b).list.filter(counts).map(({ kind, change, a: x, b: y }) => [kind, change, x ?? '', y ?? ''].join('|'))
const all = (differences: Differences) => differences.list.map((_, i) => i)

const phrase = fc.constantFrom('a fox', 'a red fox', 'a wolf', 'at dusk', 'at night', 'in the snow', 'gouache', 'a tall hat', '蜂 🐝', 'hat')
const text = fc.array(fc.tuple(phrase, fc.constantFrom(', ', ',', ' and ', '. ')), { maxLength: 7 }).map((parts) => parts.flat().join(''))
const worded = fc.tuple(anyDraft, text).map(([some, words]): Draft => ({ ...some, text: words, marks: some.marks.filter(({ to }) => to <= words.length), references: [] }))
const reference = fc.record({ reference: fc.constantFrom('one', 'two'), role: fc.constantFrom('base', 'palette' as const), strength: fc.constantFrom(20, 80) })
const anyPair = fc.tuple(fc.oneof(anyDraft, worded), fc.oneof(anyDraft, worded), fc.array(reference, { maxLength: 3 }), fc.array(reference, { maxLength: 3 })).map(([a, b, x, y]): [Draft, Draft] => [{ ...a, references: x }, { ...b, references: y }])

describe('differences of two drafts', () => {
  it('says what differs in units, by kind', () => {
    expect(said(draft('a fox, at dusk, gouache'), draft('a fox, at night, gouache'))).toEqual(['phrase|changed|at dusk|at night'])
    expect(said(draft('a fox, gouache'), draft('a fox, in the snow, at dusk, gouache'))).toEqual(['phrase|added||in the snow', 'phrase|added||at dusk'])
    expect(said(draft('a fox, at dusk, gouache'), draft('gouache, a fox, at dusk'))).toEqual(['phrase|moved|gouache|gouache'])
    expect(said(draft('a fox', { leaveOut: ['people'], settings: { seed: 1, guidance: 3 }, engines: [{ engine: 'burin' }] }), draft('a fox', { leaveOut: ['people', 'birds'], settings: { seed: 2, guidance: 3 }, engines: [{ engine: 'tympan' }] }))).toEqual([
      'leave-out|added||birds',
      'seed|changed|seed 1|seed 2',
      'engine|changed|burin|tympan',
    ])
    expect(said(draft('a brass fox, a clockwork hat, gouache'), draft('a tall wolf, a paper hat, gouache'))).toEqual(['phrase|changed|a brass fox|a tall wolf', 'phrase|changed|a clockwork hat|a paper hat'])
    expect(said(draft('a brass fox, a clockwork hat, gouache'), draft('a brass fox with a clockwork hat, gouache'))).toEqual(['phrase|changed|a brass fox, a clockwork hat|a brass fox with a clockwork hat'])
    const off = { kind: 'off', from: 7, to: 14 } as const
    expect(said(draft('a fox, at dusk, gouache'), draft('a fox, at dusk, gouache', { marks: [off] }))).toEqual(['off|added||at dusk off'])
  })

  it('counts no difference that shows in no picture', () => {
    expect(said(draft('a fox,  at dusk', { leaveOut: ['people', 'birds'] }), draft('A fox, at dusk.', { leaveOut: ['birds', 'people'] }))).toEqual([])
    expect(said(draft('a fox'), draft('a fox'))).toEqual([])
    // A sentence around a phrase shows no more than the phrase.
    expect(said(draft('a fox, close-up, gouache'), draft('a fox, It is seen in a close-up, It is a gouache'))).toEqual([])
    expect(said(draft('It is shown from a low angle'), draft('low angle'))).toEqual([])
    expect(said(draft('close-up'), draft('It is seen in a wide shot'))).toEqual(['phrase|changed|close-up|It is seen in a wide shot'])
  })

  it('makes one change alone and leaves the others', () => {
    const a = draft('a fox, at dusk, gouache', { marks: [{ kind: 'emphasis', level: 1, from: 16, to: 23 }], settings: { guidance: 3 } })
    const b = draft('a wolf, at night, in the snow, gouache', { marks: [{ kind: 'emphasis', level: 2, from: 31, to: 38 }], settings: { guidance: 5 } })
    const differences = between(a, b)
    const only = (...words: string[]) => differences.with(all(differences).filter((i) => words.includes(differences.list[i]!.b ?? '')))
    expect(only('at night').text).toBe('a fox, at night, gouache')
    expect(only('a wolf', 'in the snow').text).toBe('a wolf, at dusk, in the snow, gouache')
    expect(only('guidance 5')).toEqual({ ...a, settings: { guidance: 5 } })
    expect(only('gouache much more')).toEqual({ ...a, marks: [{ kind: 'emphasis', level: 2, from: 16, to: 23 }] })
  })

  it('is exact: all changes together make the second draft, none leaves the first', () => {
    fc.assert(
      fc.property(anyPair, ([a, b]) => {
        const differences = between(a, b)
        expect(differences.with(all(differences))).toEqual(b)
        expect(differences.with([])).toEqual(a)
      }),
      { numRuns: 500 },
    )
  })

  it('can make any of the changes without the others', () => {
    fc.assert(
      fc.property(anyPair, fc.array(fc.boolean(), { minLength: 40, maxLength: 40 }), ([a, b], choose) => {
        const differences = between(a, b)
        const some = all(differences).filter((i) => choose[i])
        const half = differences.with(some)
        // What is left to do then makes the second all the same.
        const rest = between(half, b)
        expect(rest.with(all(rest))).toEqual(b)
      }),
      { numRuns: 200 },
    )
  })
})
