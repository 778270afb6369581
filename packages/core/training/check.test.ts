import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { checkDraft } from '../src/check/index.ts'
import type { Around } from '../src/check/checked.ts'
import type { Finding, FindingKind } from '../src/check/finding.ts'
import { createLanguage } from '../src/check/language.ts'
import { NO_RULES } from '../src/check/rules.ts'
import { anyDraft } from '../src/draft/arbitrary-draft.test-support.ts'
import type { Draft } from '../src/draft/shape.ts'
import { emptyDraft } from '../src/draft/draft.ts'
import { applyEdit, invertEdit } from '../src/draft/edit.ts'
import { completeProfile } from '../src/engine/complete.ts'
import type { AssociationTable } from '../src/glossary/association-table.ts'
import type { GlossaryEntry } from '../src/glossary/entry.ts'
import { fixedFacetsOf } from '../src/phrase/marks.ts'
import { createReader } from '../src/reader.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}.bin`, import.meta.url))
const reader = createReader(table('words'), table('reader'))
const associations = JSON.parse(readFileSync(new URL('../tables/associations.json', import.meta.url), 'utf8')) as AssociationTable
const glossary = JSON.parse(readFileSync(new URL('../tables/glossary.json', import.meta.url), 'utf8')) as GlossaryEntry[]
const language = createLanguage(reader, { kin: table('kin'), known: table('known'), associations, glossary })
const findings = (draft: Draft, around: Around = {}): Finding[] => checkDraft(draft, reader.read(draft.text, fixedFacetsOf(draft.marks)), language, around)
const draft = (text: string, rest: Partial<Draft> = {}): Draft => ({ ...emptyDraft(), text, ...rest })

/** What one kind of check finds: the words it is about, and those it sets against them. */
function found(kind: FindingKind, of: Draft, around: Around = {}): string[] {
  return findings(of, around)
    .filter((finding) => finding.kind === kind)
    .map(({ where, with: other }) => [where, other].map((place) => (place?.in === 'text' ? of.text.slice(place.start, place.end) : place?.in === 'leaveOut' ? `[${place.entry}]` : (place?.key ?? ''))).filter(Boolean).join(' ~ '))
}

describe('contradictions', () => {
  it('are two hours, two seasons, two distances of one picture', () => {
    expect(found('contradiction', draft('a miller at midday beneath a crescent moon, oil painting'))).toEqual(['midday ~ beneath a crescent moon'])
    expect(found('contradiction', draft('tight headshot of a diver, panoramic view of the reef, photograph'))).toHaveLength(1)
  })

  it('are two qualities of one thing, and a thing said not to be there', () => {
    expect(found('contradiction', draft('a tiny, enormous dragon on a roof, ink'))).toEqual(['tiny ~ enormous'])
    expect(found('contradiction', draft('an open door, the door firmly shut, a porter, etching, corridor'))).toEqual(['open ~ shut'])
    expect(found('contradiction', draft('a windowless cellar, sunlight through its tall windows, a cooper, etching'))).toEqual(['windowless ~ windows'])
    expect(found('contradiction', draft('no shadows, long shadows on the wall, a jug, oil painting'))).toHaveLength(1)
    expect(found('contradiction', draft('a trio of four fiddlers, linocut, tavern, lamplight'))).toEqual(['trio ~ four'])
  })

  it('are not two things of one kind, and nothing is without what its name only sounds like', () => {
    expect(found('contradiction', draft('old and young men on a bench, charcoal, park'))).toEqual([])
    expect(found('contradiction', draft('an empty bottle next to a full glass, still life, oil on panel, window light'))).toEqual([])
    expect(found('contradiction', draft('the small boat in a huge harbour, gouache, dawn'))).toEqual([])
    expect(found('contradiction', draft('a homeless man in front of his old home, film photograph, grey light'))).toEqual([])
  })

  it('that are meant are none', () => {
    expect(found('contradiction', draft('A lamplit kitchen at night while the sunlit garden shows through the window of a dream'))).toEqual([])
    expect(found('contradiction', draft('diptych of an orchard, summer and winter, etching'))).toEqual([])
    expect(found('contradiction', draft('a night watchman at noon, gouache'))).toEqual([])
  })
})

it('a subject is missing where nothing that can be drawn is named, and vague where it cannot be drawn', () => {
  expect(findings(draft('watercolour, soft morning light, misty')).map(({ kind, facet }) => [kind, facet])).toContainEqual(['missing-facet', 'subject'])
  expect(found('missing-facet', draft('rainy avenue with taxis, linocut, evening'))).toEqual([])
  expect(found('vague-subject', draft('the future of humanity, digital painting, cool light'))).toEqual(['future of humanity'])
  expect(found('vague-subject', draft('random objects in a room, gouache, lamplight'))).toEqual(['random objects'])
  expect(found('vague-subject', draft('random shells on a windowsill, gouache, lamplight'))).toEqual([])
})

describe('the leave-out list', () => {
  it('fights the text by kind and by what a thing implies, not by words that only say which', () => {
    expect(found('fights-leave-out', draft('a sparrow on a gate, gouache, farmyard', { leaveOut: ['birds'] }))).toEqual(['sparrow ~ [birds]'])
    expect(found('fights-leave-out', draft('a tram beside a billboard, linocut, street', { leaveOut: ['text'] }))).toEqual(['billboard ~ [text]'])
    expect(found('fights-leave-out', draft('a stone lion at a gate, etching, park', { leaveOut: ['animals'] }))).toEqual([])
    expect(found('fights-leave-out', draft('a honey jar on a shelf, dry, a worn bench, photograph', { leaveOut: ['people'] }))).toEqual([])
  })

  it('holds bare words', () => {
    const of = draft('a pond, watercolour, dawn', { leaveOut: ['boats', 'no people'] })
    const [finding] = findings(of).filter(({ kind }) => kind === 'negated-leave-out')
    expect(applyEdit(of, finding!.fix!.edits[0]!).leaveOut).toEqual(['boats', 'people'])
  })
})

it('what is no part of the picture goes where it belongs by its fix', () => {
  let of = draft('Please draw a heron at a weir, woodcut, mist, masterpiece, no people, seed 12')
  for (const kind of ['lead-verb', 'filler', 'negation-in-text', 'settings-in-text'] as const) {
    const [finding] = findings(of).filter((one) => one.kind === kind)
    of = applyEdit(of, finding!.fix!.edits[0]!)
  }
  expect(of).toMatchObject({ leaveOut: ['people'], settings: { seed: 12 } })
  expect(of.text).toMatch(/^a heron at a weir, woodcut, mist$/i)
})

it('a thing is told from a time it does not belong to', () => {
  expect(found('era-clash', draft('a Victorian parlour, a boy with a laptop, gouache'))).toEqual(['laptop ~ Victorian'])
  expect(found('era-clash', draft('a Victorian parlour, a boy with a kite, gouache'))).toEqual([])
  expect(found('era-clash', draft('a time traveller with a laptop in a Victorian parlour, gouache'))).toEqual([])
})

it('a misspelling is told from a rare word', () => {
  expect(found('unknown-word', draft('a lighthuose at dusk, chiaroscuro, a tarn'))).toEqual(['lighthuose'])
  // A dish, a dress or a place from elsewhere is no slip, nor is a word with accents of its own.
  for (const text of ['a bowl of pelmeni on a pine table', 'a dancer in a kebaya under a pendopo', 'a herder in a blue gákti', 'a siheyuan in snow, ink']) expect(found('unknown-word', draft(text)), text).toEqual([])
  for (const [text, word] of [['a lantren on a hook, gouache', 'lantren'], ['a wooden brigde over a stream', 'brigde'], ['a watercolur of a heron', 'watercolur']] as const) expect(found('unknown-word', draft(text)), text).toEqual([word])
})

it('an engine says what it would lose', () => {
  const engine = completeProfile({ reads: 'keywords', leaveOut: false, limit: { unit: 'words', max: 6 }, refuses: ['seed'], emphasis: 'none' })
  const of = draft('gouache, quiet morning, pale light, an old beekeeper lifts a frame', { leaveOut: ['people'], settings: { seed: 4 }, marks: [{ from: 0, to: 7, kind: 'emphasis', level: 1 }] })
  expect(found('unsupported', of, { engine })).toEqual(['gouache', '[people]', 'seed'])
  expect(findings(of, { engine }).find(({ kind }) => kind === 'over-length')?.severity).toBe('stop')
})

it('house rules are asked for and mended', () => {
  const rules = { ...NO_RULES, must: [{ phrase: 'linen cloth' }], never: ['plastic'], leaveOut: ['hands'] }
  expect(found('house-rule', draft('a plastic spoon, product photograph, side light'), { rules })).toEqual(expect.arrayContaining(['plastic', '[hands]']))
})

it('what is dismissed is quiet while its words stand', () => {
  const text = 'a miller at midday beneath a crescent moon, oil painting'
  const dismissed = draft(text, { marks: [{ from: 12, to: 18, kind: 'dismissed', check: 'contradiction', reason: 'an eclipse' }] })
  expect(found('contradiction', dismissed)).toEqual([])
})

it('what is switched off is not there', () => {
  const text = 'a fox in snow, hot summer day, gouache'
  expect(found('contradiction', draft(text))).toHaveLength(1)
  expect(found('contradiction', draft(text, { marks: [{ from: 15, to: 29, kind: 'off' }] }))).toEqual([])
})

describe('any draft', () => {
  const words = fc.array(fc.constantFrom('a lone fox', 'at noon', 'midnight', ',', 'no people', '.', 'seed 4', 'masterpiece', 'snow', 'summer', 'twelve monks', 'wide shot', 'freckles', 'oil painting', 'photograph', '\n', '🦊', 'مرحبا', '((', 'the sign reads "OPEN"', 'xqzt'), { maxLength: 24 })
  it('is checked without an error; places lie in it, and every fix is an edit that can be undone', () => {
    fc.assert(
      fc.property(anyDraft, words, (any, parts) => {
        for (const of of [any, { ...any, text: parts.join(' '), marks: [] }]) {
          for (const { where, fix } of findings(of)) {
            if (where?.in === 'text') expect(where.start >= 0 && where.end <= of.text.length && where.start < where.end).toBe(true)
            for (const edit of fix?.edits ?? []) expect(applyEdit(applyEdit(of, edit), invertEdit(of, edit))).toEqual(of)
          }
        }
      }),
      { numRuns: 120 },
    )
  })
})

describe('a fix takes out no more than it must', () => {
  const fixed = (text: string) => {
    const of = draft(text)
    const [finding] = findings(of).filter(({ kind }) => kind === 'era-clash')
    return finding?.fix?.edits.reduce(applyEdit, of).text
  }
  it('one thing of several, with the word that leads to it', () => {
    expect(fixed('a Victorian parlour with a television and a brass lamp, engraving, gas light')).toBe('a Victorian parlour with a brass lamp, engraving, gas light')
    expect(fixed('a Victorian parlour with a brass lamp and a television, engraving, gas light')).toBe('a Victorian parlour with a brass lamp, engraving, gas light')
  })
})

describe('a change instruction', () => {
  const change = (text: string, rest: Partial<Draft> = {}): Draft => draft(text, { kind: 'change', references: [{ reference: 'a'.repeat(64), role: 'base', strength: 60 }], ...rest })
  const base = completeProfile({ reads: 'sentences', leaveOut: true, references: ['base'] })

  it.each(['Make the sky darker and remove the fence', 'Please take away the people, no lamp posts', 'add a small dog beside her'])('“%s” is not flagged for its verb, nor for what it leaves unsaid', (text) => {
    expect(findings(change(text), { engine: base }).filter(({ kind }) => ['lead-verb', 'negation-in-text', 'missing-facet', 'vague-subject', 'small-subject', 'drags-in'].includes(kind))).toEqual([])
    expect(findings(draft(text), { engine: base }).length).toBeGreaterThan(0)
  })
  it('is still held against what fights the leave-out list, and an engine that takes no picture to start from', () => {
    expect(found('fights-leave-out', change('add a red dog', { leaveOut: ['dog'] }), { engine: base })).toHaveLength(1)
    const [blind] = findings(change('make it night'), { engine: completeProfile({ reads: 'sentences', leaveOut: true }) })
    expect(blind).toMatchObject({ kind: 'unsupported', severity: 'stop', reason: expect.stringMatching(/takes no reference pictures/) as string })
  })
})
