import { describe, expect, it } from 'vitest'
import type { Facet } from '../../facet.ts'
import { readingLike } from '../reading.test-support.ts'
import type { PictureReading } from '../shape.ts'
import { agreementOf, recordOf } from './agreement.ts'
import { claimsOf } from './claims.ts'
import { verdictsOn } from './judges.ts'

const { where } = readingLike({})
/** A bright day: two thirds of it blue sky, the horizon low. */
const DAY = readingLike({
  key: 'mid', temperature: 'cool', mono: false, saturation: 'vivid', contrast: 'high', lightSide: 'upper left', lightHard: true, focus: 'deep', side: 'left', busy: false, symmetric: false, horizon: 0.7, grain: false, pattern: false, medium: 'photo', shot: 'full', people: 1,
  palette: [{ hex: '#86b4ec', name: 'blue', share: 0.66 }, { hex: '#7a9a4a', name: 'green', share: 0.3 }, { hex: '#ffffff', name: 'white', share: 0.04 }],
  objects: [{ name: 'dog', broader: 'animal', score: 0.7, box: [0.1, 0.5, 0.3, 0.9] }],
  lettering: { present: false, text: '', boxes: [] },
  where: { ...where, horizon: { y: 0.7, tilt: 0 }, colours: { columns: 2, of: [0, 0, 0, 0, 1, 1] } },
})
const NIGHT: PictureReading = readingLike({ key: 'low', temperature: 'cool', palette: [{ hex: '#101828', name: 'black', share: 0.9 }, { hex: '#e0b060', name: 'orange', share: 0.1 }], where: { ...where, colours: { columns: 1, of: [0, 0, 0, 1] } } })

describe('what measures say of a claim', () => {
  it.each<[Facet, string, string, boolean]>([
    ['moment', 'at dusk', 'palette', false],
    ['moment', 'under a night sky', 'key', false],
    ['moment', 'bright midday sun', 'palette', true],
    ['light', 'hard light from the upper left', 'lightSide', true],
    ['light', 'lit from the right', 'lightSide', false],
    ['light', 'soft diffused light', 'lightHard', false],
    ['light', 'strong contrast', 'contrast', true],
    ['colour', 'palette of azure and green', 'palette', true],
    ['colour', 'crimson and gold', 'palette', false],
    ['colour', 'warm tones', 'temperature', false],
    ['colour', 'black and white', 'mono', false],
    ['colour', 'muted colours', 'saturation', false],
    ['medium', 'watercolour painting', 'medium', false],
    ['medium', 'photograph', 'medium', true],
    ['framing', 'close-up', 'shot', false],
    ['framing', 'subject on the left', 'side', true],
    ['framing', 'symmetrical composition', 'symmetric', false],
    ['framing', 'low horizon', 'horizon', true],
    ['technique', 'shallow depth of field', 'focus', false],
    ['technique', 'film grain', 'grain', false],
    ['subject', 'two women in a meadow', 'people', false],
    ['subject', 'a brown dog', 'object 0', true],
    ['detail', 'a red bicycle', 'things', false],
    ['lettering', 'a sign that reads “Open”', 'lettering', false],
  ])('%s: “%s” is held against %s: %s', (facet, text, fact, holds) => {
    expect(verdictsOn({ facet, text }, DAY)).toContainEqual(expect.objectContaining({ fact, holds }))
  })

  it('knows a night, and says why a dusk is none', () => {
    expect(verdictsOn({ facet: 'moment', text: 'by moonlight' }, NIGHT)[0]).toMatchObject({ holds: true })
    expect(verdictsOn({ facet: 'moment', text: 'at noon' }, NIGHT)[0]).toMatchObject({ holds: false, says: 'dark tones rule' })
    expect(verdictsOn({ facet: 'moment', text: 'dusk' }, DAY)[0]!.says).toBe('the sky is bright and blue')
  })

  it('is silent of what the picture does not settle, and of what it cannot show', () => {
    for (const text of ['warm tones', 'a close-up', 'noon', 'strong contrast', 'two men', 'photograph', 'a dog']) expect(verdictsOn({ facet: 'subject', text }, readingLike({}))).toEqual([])
    expect(verdictsOn({ facet: 'mood', text: 'hushed and expectant' }, DAY)).toEqual([])
  })
})

it('claims nothing by what only leads up to it', () => {
  const claims = (...texts: string[]) => claimsOf(texts.map((text) => ({ facet: 'light' as const, text }))).map(({ text }) => text)
  expect(claims('The framing is a close-up', 'Bathed in even light', 'it lies', 'This scene', 'The light is soft')).toEqual(['a close-up', 'even light', 'soft'])
})

describe('the table of agreement', () => {
  const claims = [{ facet: 'colour' as const, text: 'cool colours' }, { facet: 'moment' as const, text: 'at dusk' }, { facet: 'mood' as const, text: 'a hushed mood' }]
  const rows = agreementOf(DAY, [{ by: 'quoin', claims, record: { held: 8, refuted: 0 } }, { by: 'flourish', claims: [{ facet: 'mood', text: 'hushed mood' }, { facet: 'mood', text: 'a sense of longing' }], record: { held: 0, refuted: 0 } }])
  const row = (text: string) => rows.find((one) => one.text === text)

  it('says each thing once, with all who say it', () => {
    expect(row('cool colours')).toMatchObject({ stand: 'measured', saidBy: ['measures', 'quoin'] })
    expect(row('a hushed mood')).toMatchObject({ stand: 'unmeasured', saidBy: ['quoin', 'flourish'], confidence: 0.9 })
    expect(rows.filter(({ text }) => /hushed/.test(text))).toHaveLength(1)
  })

  it('contradicts with a reason, and trusts nobody of whom nothing is known', () => {
    expect(row('at dusk')).toMatchObject({ stand: 'contradicted', says: 'the sky is bright and blue', evidence: 'palette', confidence: 0.1 })
    expect(row('a sense of longing')).toMatchObject({ stand: 'unmeasured', confidence: null })
    expect(recordOf(claims, DAY)).toEqual({ held: 1, refuted: 1 })
  })
})
