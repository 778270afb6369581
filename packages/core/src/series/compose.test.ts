import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyDraft } from '../draft/draft.ts'
import { applyEdit } from '../draft/edit.ts'
import { unpackTables } from '../read/model/tables.ts'
import { composeScene, type PartNow } from './compose.ts'
import { followed, followPart, overridesIn } from './follow.ts'
import { blankPart, type PartBody, partProblems } from './part.ts'
import { blankScene } from './scene.ts'

const table = (name: string) => readFileSync(new URL(`../../tables/${name}.bin`, import.meta.url))
const { words } = unpackTables(table('words'), table('reader'))

const hedda: PartNow = {
  id: 'hedda', version: 1,
  body: { ...blankPart('character', 'Hedda Brenn'), again: 'the beekeeper', says: [{ key: 'p1', text: 'old beekeeper' }, { key: 'p2', text: 'with a cropped white beard' }], variants: [{ key: 'v1', aspect: 'dress', name: 'waxed coat', text: 'in a waxed coat' }, { key: 'v2', aspect: 'dress', name: 'red coat', text: 'in a red wool coat' }], never: ['hat'], seed: 7 },
}
const heron: PartNow = { id: 'heron', version: 3, body: { ...blankPart('character', 'Brass Heron'), says: [{ key: 'p1', text: 'a clockwork heron of riveted brass' }] } }
const bridge: PartNow = { id: 'bridge', version: 1, body: { ...blankPart('place', 'Stone bridge'), says: [{ key: 'p1', text: 'a mossy stone bridge' }, { key: 'p2', text: 'with an iron railing' }] } }
const style: PartNow = { id: 'style', version: 2, body: { ...blankPart('style', 'Lantern'), says: [{ key: 'p1', text: 'gouache illustration' }, { key: 'p2', text: 'muted ochre and slate' }], settings: { aspectRatio: '3:2' } } }
const scene = { ...blankScene(), words: 'Hedda holds a lantern up to the Brass Heron', moment: 'night', framing: 'low angle' }
const parts = { cast: [{ part: hedda, variants: ['v1'] }, { part: heron, variants: [] }], place: { part: bridge, variants: [] }, style }
const compose = (over: Partial<typeof scene> = {}, keywords = false) => composeScene({ ...scene, ...over }, parts, words, { keywords })
const draftOf = (made: ReturnType<typeof compose>) => ({ ...emptyDraft(), ...made })

describe('a scene is composed', () => {
  it('as one readable text, with a mark on every phrase that a part says', () => {
    const { text, marks, leaveOut, settings } = compose()
    expect(text).toBe('An old beekeeper with a cropped white beard in a waxed coat holds a lantern up to a clockwork heron of riveted brass, on a mossy stone bridge with an iron railing, at night. Low angle. Gouache illustration, muted ochre and slate.')
    expect(marks.map((mark) => (mark.kind === 'from' ? [mark.source.id, mark.source.version, text.slice(mark.from, mark.to)] : []))).toEqual([
      ['hedda', 1, 'An old beekeeper'], ['hedda', 1, 'with a cropped white beard'], ['hedda', 1, 'in a waxed coat'], ['heron', 3, 'a clockwork heron of riveted brass'],
      ['bridge', 1, 'a mossy stone bridge'], ['bridge', 1, 'with an iron railing'], ['style', 2, 'Gouache illustration'], ['style', 2, 'muted ochre and slate'],
    ])
    expect([leaveOut, settings]).toEqual([['hat'], { aspectRatio: '3:2', seed: 7 }])
  })

  it('with the words that tie a place and a time, where they do not say them themselves', () => {
    const ends = (moment: string, where: string) => composeScene({ ...scene, moment, where, framing: '' }, { ...parts, place: null, style: null }, words).text.split('riveted brass')[1]
    expect(ends('grey morning', 'inside a mill')).toBe(', inside a mill, on a grey morning.')
    expect(ends('dusk, late autumn', 'village street')).toBe(', on a village street, at dusk, late autumn.')
    expect(ends('the next morning', '')).toBe(', on the next morning.')
  })

  it('as a list for an engine that reads keywords', () => {
    expect(compose({}, true).text).toBe('an old beekeeper with a cropped white beard in a waxed coat holds a lantern up to a clockwork heron of riveted brass, a mossy stone bridge with an iron railing, night, low angle, gouache illustration, muted ochre and slate')
  })

  it('speaks of somebody a second time in short, and of whom the words leave out first', () => {
    expect(compose({ words: 'Hedda kneels. Hedda’s lantern goes out.' }).text).toMatch(/^A clockwork heron of riveted brass\. An old beekeeper .* kneels\. The beekeeper’s lantern goes out/)
    expect(compose({ words: 'standing side by side' }).text).toMatch(/^An old beekeeper .* and a clockwork heron of riveted brass, standing side by side, on a mossy/)
  })
})

describe('a changed part is followed', () => {
  const red = { id: 'hedda', before: { version: 1, body: hedda.body, variants: ['v1'] }, now: { version: 1, body: hedda.body, variants: ['v2'] } }
  const draft = draftOf(compose())

  it('by another variant in the place of the first', () => {
    const following = followPart(draft, red, words)
    expect(following.changed).toEqual([{ before: 'in a waxed coat', after: 'in a red wool coat' }])
    expect(followed(draft, following)!.text).toContain('beard in a red wool coat holds')
  })

  it('by a new version: changed, gone and new phrases, in capitals and commas as they stand', () => {
    const body: PartBody = { ...hedda.body, says: [{ key: 'p1', text: 'ancient beekeeper' }, { key: 'p3', text: 'round copper spectacles' }], never: ['veil'] }
    const after = followed(draft, followPart(draft, { ...red, now: { version: 2, body, variants: ['v1'] } }, words))!
    expect(after.text).toMatch(/^An ancient beekeeper in a waxed coat, round copper spectacles, holds/)
    expect(after.leaveOut).toEqual(['veil'])
    expect(after.marks.filter((mark) => mark.kind === 'from' && mark.source.id === 'hedda').map((mark) => mark.kind === 'from' && mark.source.version)).toEqual([2, 2, 2])
  })

  it('but not where the writer has written otherwise, which is told', () => {
    const text = draft.text.replace('with a cropped white beard', 'with a cropped black beard')
    const own = { ...draft, text }
    expect(overridesIn(own, 'hedda', hedda.body, ['v1'])).toEqual([{ given: 'with a cropped white beard', text: 'with a cropped black beard' }])
    const body: PartBody = { ...hedda.body, says: hedda.body.says.map((one) => (one.key === 'p2' ? { ...one, text: 'with a long grey beard' } : one)) }
    const following = followPart(own, { ...red, now: { version: 2, body, variants: ['v1'] } }, words)
    expect(following.overrides).toMatchObject([{ text: 'with a cropped black beard' }])
    expect(followed(own, following)!.text).toBe(text)
  })

  it('and not where it was written over whole, mark and all', () => {
    const at = draft.text.indexOf('with a cropped white beard')
    const own = applyEdit(draft, { text: [{ from: at, to: at + 26, insert: 'bald' }] })
    expect(overridesIn(own, 'hedda', hedda.body, ['v1'])).toEqual([{ given: 'with a cropped white beard', text: null }])
    const body: PartBody = { ...hedda.body, says: hedda.body.says.map((one) => (one.key === 'p2' ? { ...one, text: 'with a long grey beard' } : one)) }
    expect(followed(own, followPart(own, { ...red, now: { version: 2, body, variants: ['v1'] } }, words))!.text).toBe(own.text)
  })

  it('and back again to the text it was', () => {
    fc.assert(
      fc.property(fc.constantFrom('a tall miller', 'girl with a braid', 'the last ferryman'), fc.constantFrom('in boots', 'freckles', 'holding an oar'), (who, what) => {
        const body: PartBody = { ...hedda.body, again: '', says: [{ key: 'p1', text: who }, { key: 'p2', text: what }] }
        const there = followed(draft, followPart(draft, { ...red, now: { version: 2, body, variants: ['v1'] } }, words))!
        const back = followed(there, followPart(there, { id: 'hedda', before: { version: 2, body, variants: ['v1'] }, now: red.before }, words))!
        expect(back.text).toBe(draft.text)
        expect(back.marks).toEqual(draft.marks)
      }),
    )
  })
})

it('a part that says what must never be said is refused', () => {
  expect(partProblems({ ...hedda.body, never: ['beard'] })).toEqual(['“beard” must never be said, but “with a cropped white beard” says it.'])
  expect(partProblems({ ...bridge.body, variants: [{ key: 'v', aspect: 'dress', name: 'x', text: 'y' }] })[0]).toMatch(/which a place has not/)
})
