import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { Draft } from '../src/draft/shape.ts'
import { applyEdit } from '../src/draft/edit.ts'
import { fixedFacetsOf } from '../src/phrase/marks.ts'
import { createReader } from '../src/reader.ts'
import { draftOfCase } from '../src/helper/case.ts'
import { leaveUnits, proposalUnits, takeUnits } from '../src/helper/proposal.ts'
import { proposedDraft } from '../src/helper/proposed-draft.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}`, import.meta.url))
const reader = createReader(table('words.bin'), table('reader.bin'))
const phrasesOf = ({ text, marks }: Draft) => reader.read(text, fixedFacetsOf(marks)).phrases
const draftOf = (text: string, locked: string[] = []) => draftOfCase({ text, locked, leaveOut: [], engine: null })
const proposed = (draft: Draft, prompt: string) => proposedDraft(draft, 'prompt', { prompt }, { reader })!
const HELPER = { id: 'fill-out', version: 3 }

const BEFORE = draftOf('an old ferry, rust-red hull, at a wooden quay, noon', ['rust-red hull'])
const AFTER = proposed(BEFORE, 'an old ferry, rust-red hull, moored at a wooden quay, dusk, soft lamplight, gouache').draft
const units = (draft: Draft, next: Draft) => proposalUnits(draft, next, phrasesOf, []).units

describe('a proposal', () => {
  it('is units of which each can be taken alone, and its words are marked as the helper’s', () => {
    const light = units(BEFORE, AFTER).find(({ difference }) => difference.b === 'soft lamplight')!
    const taken = applyEdit(BEFORE, takeUnits(BEFORE, AFTER, phrasesOf, [light.index], HELPER))
    expect(taken.text).toContain('soft lamplight')
    expect(taken.text).toContain('noon')
    expect(taken.marks.filter(({ kind }) => kind === 'from').map(({ from, to }) => taken.text.slice(from, to))).toEqual(['soft lamplight'])
  })

  it('shrinks as units are taken and left, until nothing is proposed', () => {
    let [draft, next] = [BEFORE, AFTER]
    for (let turn = 0; units(draft, next).length > 0; turn++) {
      const [unit] = units(draft, next)
      if (turn % 2) next = leaveUnits(draft, next, phrasesOf, [unit!.index])
      else draft = applyEdit(draft, takeUnits(draft, next, phrasesOf, [unit!.index], HELPER))
      expect(turn).toBeLessThan(20)
    }
    expect(draft.text).toBe(next.text)
  })

  it('with all its units is what was proposed, whatever the two texts are', () => {
    const word = fc.constantFrom('a heron', 'soft light', 'at dawn', 'gouache', 'in the reeds', 'muted greens', 'standing still')
    fc.assert(
      fc.property(fc.array(word, { maxLength: 6 }), fc.array(word, { minLength: 1, maxLength: 6 }), (a, b) => {
        const draft = draftOf(a.join(', '))
        const next = proposed(draft, b.join(', ')).draft
        const all = units(draft, next).map(({ index }) => index)
        expect(applyEdit(draft, takeUnits(draft, next, phrasesOf, all, HELPER)).text).toBe(next.text)
      }),
      { numRuns: 60 },
    )
  })

  it('cannot take what would change locked words, and says which were lost', () => {
    const { draft, lockedLost } = proposed(BEFORE, 'an old ferry, rust hull, at a wooden quay, noon, gouache')
    expect(lockedLost).toEqual(['rust-red hull'])
    expect(units(BEFORE, draft).filter(({ breaksLocked }) => breaksLocked).map(({ difference }) => difference.a)).toEqual(['rust-red hull'])
    expect(proposed(BEFORE, 'at dusk a rust-red hull, an old ferry').lockedLost).toEqual([])
  })

  it('has lead-ins, praise and settings taken out of its text before it is shown, and says so', () => {
    const { draft, mended } = proposed(draftOf('a fox'), 'Create an image of a red fox in deep snow, breathtaking masterpiece, watercolour, guidance 7')
    expect(draft.text).toBe('A red fox in deep snow, watercolour')
    expect(draft.settings).toEqual({ guidance: 7 })
    expect(mended.join(' ')).toMatch(/lead-in.*guidance 7|guidance 7.*lead-in/is)
  })

  it('by facet is a list with facet marks, or JSON for an engine that reads it', () => {
    const value = { subject: 'a fox', light: ['soft light', 'long shadows'] }
    const list = proposedDraft(draftOf('a fox'), 'facets', value, { reader })!.draft
    expect(list.text).toBe('a fox, soft light, long shadows')
    expect(list.marks.filter(({ kind }) => kind === 'facet')).toHaveLength(3)
    expect(JSON.parse(proposedDraft(draftOf('a fox'), 'facets', value, { reader, asJson: true })!.draft.text)).toEqual(value)
  })
})
