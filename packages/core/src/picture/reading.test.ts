import { describe, expect, it } from 'vitest'
import type { MediumTable } from './medium/medium.ts'
import { NO_FACTS } from './reading.test-support.ts'
import { readingOf, type Seen } from './reading.ts'
import { KINDS } from './seen/kinds.ts'
import type { Box, Pose, Sighting, WordSeen } from './seen/seen.ts'
import { type Facts, MEDIA } from './shape.ts'

const FACTS: Facts = { ...NO_FACTS, key: 'low', temperature: 'cool', focus: 'shallow', palette: [{ hex: '#203050', name: 'blue', share: 0.7 }, { hex: '#e0a040', name: 'orange', share: 0.1 }], symmetric: false, mono: false }
/** A style of one number: much of it is a photograph, little of it a drawing. */
const TABLE: MediumTable = { mean: [0], deviation: [1], weights: MEDIA.map((medium) => [medium === 'photo' ? 3 : medium === 'drawing' ? -3 : 0, 0]), shot: [[0, 2.5], [0, 0]] }
const at = (name: string, score: number, box: Box): Sighting => ({ kind: KINDS.findIndex((kind) => kind.name === name), score, box })
/** A figure that stands with its head at `top`, its ankles at `bottom`; what lies below the picture is not seen. */
function standing(x: number, top: number, bottom: number): Pose {
  const height = bottom - top
  const joint = (dx: number, share: number) => ({ x: x + dx * height, y: top + share * height, score: top + share * height < 1 ? 0.8 : 0.1 })
  const pair = (dx: number, share: number) => [joint(dx, share), joint(-dx, share)]
  const joints = [joint(0, 0.08), ...pair(0.015, 0.06), ...pair(0.04, 0.07), ...pair(0.12, 0.18), ...pair(0.14, 0.33), ...pair(0.14, 0.46), ...pair(0.08, 0.47), ...pair(0.08, 0.7), ...pair(0.08, 0.95)]
  return { score: 0.6, box: [x - 0.15 * height, top, x + 0.15 * height, Math.min(1, bottom)], joints }
}
const read = (seen: Partial<Seen>, facts: Partial<Facts> = {}) => readingOf({ ...FACTS, ...facts }, { sightings: [], style: [1], poses: [], words: [], ...seen }, TABLE, 1)
const word = (text: string, confidence: number, y = 0.5, x = 0.4): WordSeen => ({ text, confidence, box: [x, y, x + 0.1, y + 0.05] })

describe('what is read of a picture', () => {
  it('says a thing once, and the broader kind where near ones are as likely', () => {
    const box: Box = [0.2, 0.2, 0.7, 0.8]
    expect(read({ sightings: [at('dog', 0.7, box), at('cat', 0.3, box), at('chair', 0.6, [0.1, 0.1, 0.2, 0.3])] }).objects.map(({ name }) => name)).toEqual(['dog', 'chair'])
    expect(read({ sightings: [at('dog', 0.4, box), at('cat', 0.38, box)] }).objects.map(({ name }) => name)).toEqual(['animal'])
    // A cat or a chair: nobody knows.
    expect(read({ sightings: [at('cat', 0.4, box), at('chair', 0.39, box)] }).objects).toEqual([])
  })

  it('counts people whom the detector or their joints are sure of, and neither trees nor signs', () => {
    const pose = standing(0.5, 0.1, 0.9)
    expect(read({ sightings: [at('person', 0.3, pose.box)], poses: [{ ...pose, score: 0.3 }] }).people).toBeNull()
    expect(read({ sightings: [at('person', 0.35, pose.box)], poses: [{ ...pose, score: 0.3 }] }).people).toBe(1)
    expect(read({ sightings: [at('person', 0.38, [0.1, 0.1, 0.2, 0.3])] }).people).toBeNull()
    expect(read({ sightings: [at('person', 0.7, pose.box), at('person', 0.6, [0.05, 0.1, 0.3, 0.9])] }).people).toBe(2)
    expect(read({}).people).toBe(0)
  })

  it.each([
    ['close-up', 0.1, 4],
    ['medium', 0.1, 2],
    ['full', 0.06, 0.95],
    ['wide', 0.55, 0.85],
  ] as const)('says %s of a figure from %f to %f of the height', (shot, top, bottom) => {
    const pose = standing(0.5, top, bottom)
    expect(read({ sightings: [at('person', 0.7, pose.box)], poses: [pose] }).shot).toBe(shot)
  })

  it('without a figure goes by the style, where that tells near from far, but not where somebody may be there', () => {
    expect(read({ style: [2] })).toMatchObject({ medium: 'photo', shot: 'close-up' })
    expect(read({ style: [-2] })).toMatchObject({ medium: 'drawing', shot: null })
    expect(read({ style: [2], sightings: [at('person', 0.36, [0.1, 0.1, 0.4, 0.9])] }).shot).toBeNull()
  })

  it('reads lettering line by line, and takes no grain for words', () => {
    expect(read({ words: [word('LINE', 0.95, 0.5, 0.6), word('TARROW', 0.97, 0.5, 0.3), word('honey', 0.9, 0.7)] }).lettering).toMatchObject({ present: true, text: 'TARROW LINE\nhoney' })
    expect(read({ words: [word('/|', 0.9), word('nnn', 0.85), word('x', 0.99)] }).lettering).toMatchObject({ present: false, text: '' })
    expect(read({ words: [word('lantern', 0.7)] }).lettering.present).toBeNull()
  })

  it('tells the medium only where it is likely, and depth of field only of a photograph', () => {
    expect(read({ style: [2] })).toMatchObject({ medium: 'photo', focus: 'shallow' })
    expect(read({ style: [-2] })).toMatchObject({ medium: 'drawing', focus: null })
    expect(read({ style: [0] })).toMatchObject({ medium: null, focus: null })
    expect(() => read({ style: [] })).toThrow(RangeError)
  })

  it('suggests phrases by facet, each with what bears it out', () => {
    const pose = standing(0.25, 0.06, 0.95)
    const { phrases } = read({ sightings: [at('person', 0.7, pose.box), at('boat', 0.5, [0.6, 0.6, 0.9, 0.8]), at('boat', 0.45, [0.6, 0.2, 0.7, 0.3])], poses: [pose], style: [2] }, { horizon: 0.3 })
    expect(phrases.map(({ facet, text, evidence }) => [facet, text, evidence])).toEqual([
      ['subject', 'a person', 'object 0'],
      ['detail', 'two boats', 'object 1'],
      ['framing', 'full figure', 'shot'],
      ['framing', 'subject on the left', 'side'],
      ['framing', 'high horizon', 'horizon'],
      ['light', 'low-key light', 'key'],
      ['colour', 'palette of blue and orange', 'palette'],
      ['colour', 'cool colours', 'temperature'],
      ['medium', 'photograph', 'medium'],
      ['technique', 'shallow depth of field', 'focus'],
    ])
    expect(phrases.every(({ confidence }) => confidence > 0.5 && confidence < 1)).toBe(true)
  })
})
