import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { PictureReading } from '../shape.ts'
import { readingLike } from '../reading.test-support.ts'
import { closenessOf } from './closeness.ts'
import { paletteDistance } from './palette.ts'

const BLUE = { hex: '#2850a0', name: 'blue', share: 0.7 } as const
const ORANGE = { hex: '#e09040', name: 'orange', share: 0.3 } as const
const FIGURE = [0.2, 0.2, 0.4, 0.9]
const NOWHERE = readingLike({}).where
const reading = (more: Partial<PictureReading> = {}) =>
  readingLike({ key: 'mid', temperature: 'cool', mono: false, palette: [BLUE, ORANGE], side: 'left', horizon: 0.3, symmetric: false, busy: false, where: { ...NOWHERE, eye: { x: 0.3, y: 0.5 }, horizon: { y: 0.3, tilt: 0 } }, medium: 'painting', shot: 'full', people: 1, objects: [{ name: 'person', broader: 'person', score: 0.7, box: FIGURE }], lettering: { present: false, text: '', boxes: [] }, figure: FIGURE, ...more })
const respect = (name: string, proof: PictureReading, reference = reading()) => closenessOf(reference, proof).by.find((one) => one.respect === name)

describe('how close a proof is to its reference', () => {
  it('is whole where nothing differs, and asks for nothing', () => {
    const { whole, by } = closenessOf(reading(), reading())
    expect(whole).toBe(1)
    expect(by.flatMap(({ close, closing, respect: name }) => (close === 1 && (closing.length === 0 || name === 'palette') ? [] : [name]))).toEqual([])
  })

  it('says in plain units what differs, and the words that would close it', () => {
    expect(respect('medium', reading({ medium: 'photo' }))).toMatchObject({ close: 0, says: 'a photo, not a painting', closing: [{ facet: 'medium', say: 'painting' }] })
    expect(respect('palette', reading({ palette: [{ ...ORANGE, share: 1 }] }))).toMatchObject({ closing: [{ facet: 'colour', say: 'palette of blue and orange' }, { follow: 'palette', strength: 80 }] })
    expect(respect('temperature', reading({ palette: [{ ...ORANGE, share: 1 }] }))).toMatchObject({ says: 'warmer than the reference', closing: [{ say: 'cool colours' }] })
    expect(respect('horizon', reading({ horizon: 0.6 }))).toMatchObject({ says: '30 % of the height too low', closing: [{ say: 'high horizon' }] })
    expect(respect('framing', reading({ figure: [0.6, 0.4, 0.66, 0.6], side: 'right', shot: 'wide' }))!.closing).toEqual([{ facet: 'framing', say: 'full figure' }, { facet: 'framing', say: 'subject on the left' }])
    expect(respect('things', reading({ objects: [{ name: 'dog', broader: 'animal', score: 0.8, box: [0, 0, 1, 1] }] }))).toMatchObject({ close: 0, says: 'missing: person; besides: dog', closing: [{ facet: 'subject', say: 'a person' }, { leaveOut: 'dog' }] })
    expect(respect('lettering', reading({ lettering: { present: true, text: 'SALE', boxes: [] } }))).toMatchObject({ close: 0, closing: [{ leaveOut: 'lettering' }] })
  })

  it('asks for nothing that the reference itself is not', () => {
    const [dim, dimmer] = [{ hex: '#1c2a44', name: 'blue', share: 1 }, { hex: '#0a1224', name: 'black', share: 1 }] as const
    const cool = reading({ key: 'low', temperature: 'cool', palette: [dim] })
    // Darker than a dark reference: light tones would lead away from it.
    expect(respect('key', reading({ palette: [dimmer] }), cool)).toMatchObject({ says: expect.stringContaining('darker') as unknown, closing: [] })
    expect(respect('temperature', reading({ palette: [{ hex: '#1030c0', name: 'blue', share: 1 }] }), cool)).toMatchObject({ says: 'cooler than the reference', closing: [] })
  })

  it('leaves out what the reference does not settle', () => {
    const unsettled = reading({ medium: null, horizon: null, figure: null, objects: [], lettering: { present: null, text: '', boxes: [] }, where: NOWHERE })
    expect(closenessOf(unsettled, reading()).by.map(({ respect: name }) => name).sort()).toEqual(['format', 'key', 'palette', 'saturation', 'temperature'])
  })

  it('puts the largest difference that counts first', () => {
    expect(closenessOf(reading(), reading({ palette: [{ hex: '#f0f0f0', name: 'white', share: 1 }], horizon: 0.32 })).by[0]!.respect).toBe('palette')
  })

  it('moves one palette into another: nothing to move is no distance, and both ways are as far', () => {
    const colour = fc.record({ hex: fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`), name: fc.constant('grey' as const), share: fc.float({ min: Math.fround(0.05), max: 1, noNaN: true }) })
    const palettes = fc.array(colour, { minLength: 1, maxLength: 6 })
    fc.assert(fc.property(palettes, (palette) => paletteDistance(palette, palette) < 1e-9))
    fc.assert(fc.property(palettes, palettes, (a, b) => Math.abs(paletteDistance(a, b) - paletteDistance(b, a)) < 1e-6))
  })
})
