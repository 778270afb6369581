import { describe, expect, it } from 'vitest'
import { seededRandom } from '../random/seeded.ts'
import { factsOf as factsOfView } from './facts.ts'
import type { Raster } from './raster.ts'
import { View } from './view.ts'

const factsOf = (raster: Raster) => factsOfView(new View(raster))

type Rgb = readonly [number, number, number]
/** A picture from what each place has, x and y from 0 to 1. */
function picture(colour: (x: number, y: number) => Rgb, width = 480, height = 320): Raster {
  const rgb = new Uint8Array(width * height * 3)
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) rgb.set(colour((x + 0.5) / width, (y + 0.5) / height).map((c) => Math.max(0, Math.min(255, Math.round(c)))), (y * width + x) * 3)
  return { width, height, rgb }
}
const mixed = (x: Rgb, y: Rgb, share: number) => x.map((c, i) => c + (y[i]! - c) * share) as unknown as Rgb
const NIGHT: Rgb = [14, 18, 44]
const SNOW: Rgb = [238, 241, 246]
const SAND: Rgb = [214, 158, 92]
const SKY: Rgb = [96, 150, 214]
const disc = (x: number, y: number, cx: number, cy: number, r: number, aspect = 1.5) => Math.hypot((x - cx) * aspect, y - cy) < r

describe('what is measured of a picture', () => {
  it('has its colours by share, named, the vivid ones though they are small', () => {
    const { palette } = factsOf(picture((x, y) => (disc(x, y, 0.5, 0.5, 0.08) ? [220, 30, 30] : x < 0.7 ? SKY : SAND)))
    expect(palette.map(({ name }) => name)).toEqual(['blue', 'orange', 'red'])
    expect(palette[0]!.share).toBeCloseTo(0.69, 1)
    expect(palette[2]!.hex).toMatch(/^#dc1e1e|#d[a-e]/)
  })

  it('knows dark from light, warm from cool, and black and white from colour', () => {
    const dark = factsOf(picture((x, y) => (disc(x, y, 0.3, 0.4, 0.1) ? [250, 220, 150] : NIGHT)))
    expect(dark).toMatchObject({ key: 'low', temperature: 'cool', mono: false })
    expect(factsOf(picture((x, y) => mixed(SNOW, [200, 205, 215], x * y)))).toMatchObject({ key: 'high' })
    expect(factsOf(picture((x, y) => mixed(SAND, [120, 60, 30], (x + y) / 2)))).toMatchObject({ key: 'mid', temperature: 'warm' })
    const random = seededRandom(3)
    expect(factsOf(picture(() => Array<number>(3).fill(90 + 80 * random()) as unknown as Rgb))).toMatchObject({ mono: true, temperature: 'neutral', key: 'mid' })
  })

  it('finds the horizon between what differs, and none among stripes', () => {
    const sea = factsOf(picture((x, y) => (y < 0.4 + 0.02 * (x - 0.5) ? mixed(SKY, SNOW, y) : mixed([40, 80, 90], [20, 50, 60], y))))
    expect(sea.horizon).toBeCloseTo(0.4, 1)
    expect(factsOf(picture((_, y) => (Math.floor(y * 12) % 2 ? SKY : SAND))).horizon).toBeNull()
    expect(factsOf(picture((x) => (x < 0.5 ? SKY : SAND))).horizon).toBeNull()
  })

  it('says on which side the eye goes, and nothing where all is alike', () => {
    for (const [cx, side] of [[0.2, 'left'], [0.5, 'centre'], [0.8, 'right']] as const) expect(factsOf(picture((x, y) => (disc(x, y, cx, 0.5, 0.12) ? [230, 60, 40] : [120, 130, 140])))).toMatchObject({ side })
    const random = seededRandom(5)
    expect(factsOf(picture(() => [120 + 100 * random(), 120, 120]))).toMatchObject({ side: null, busy: true })
  })

  it('tells a mirrored picture from one that is not, and from a field under a sky', () => {
    const face = (x: number, y: number): Rgb => (disc(x, y, 0.35, 0.4, 0.07) || disc(x, y, 0.65, 0.4, 0.07) ? [30, 30, 30] : disc(x, y, 0.5, 0.5, 0.4) ? SAND : SKY)
    expect(factsOf(picture(face)).symmetric).toBe(true)
    expect(factsOf(picture((x, y) => (disc(x, y, 0.25, 0.5, 0.2) ? SAND : SKY))).symmetric).toBe(false)
    expect(factsOf(picture((_, y) => (y < 0.5 ? SKY : SAND))).symmetric).toBeNull()
  })

  it('tells sharp throughout from sharp in one place', () => {
    // Rows of edges, each a step that went through a Gaussian of its own width.
    const stripes = (width: (x: number) => number) => picture((x, y) => {
      const phase = (x * 20) % 1
      const edge = 1 / (1 + Math.exp(-(Math.abs(phase - 0.5) - 0.25) / (0.02 * width(x))))
      const v = 40 + 170 * edge + 4 * Math.sin(y * 40)
      return [v, v, v]
    }, 768, 512)
    expect(factsOf(stripes(() => 0.3)).focus).toBe('deep')
    expect(factsOf(stripes((x) => (x < 0.25 ? 0.3 : 6))).focus).toBe('shallow')
  })

  it('tells from which side a body is lit, and nothing of what is flat', () => {
    for (const [sx, side] of [[-1, 'left'], [1, 'right']] as const) {
      const ball = (x: number, y: number): Rgb => {
        const [u, v] = [(x - 0.5) * 1.5 / 0.38, (y - 0.5) / 0.38]
        if (u * u + v * v > 1) return [96, 98, 104]
        const lit = Math.max(0, u * sx * 0.85 + Math.sqrt(1 - u * u - v * v) * 0.5)
        return mixed([40, 24, 16], [240, 180, 120], lit)
      }
      expect(factsOf(picture(ball)).lightSide).toBe(side)
    }
    expect(factsOf(picture((x, y) => (disc(x, y, 0.5, 0.5, 0.3) ? SAND : SKY)))).toMatchObject({ lightSide: null })
  })

  it('tells grain from a clean surface, by how much of it there is', () => {
    const noisy = (deviation: number) => {
      const random = seededRandom(11)
      return picture((x) => {
        const v = 120 + 40 * x + deviation * (random() + random() + random() + random() - 2) * Math.sqrt(3)
        return [v, v, v]
      }, 768, 512)
    }
    expect([0, 2, 12].map((deviation) => factsOf(noisy(deviation)).grain)).toEqual([false, null, true])
  })

  it('finds what comes again at even steps, and how far it is to the next', () => {
    const tiles = factsOf(picture((x, y) => ((Math.floor(x * 10) + Math.floor(y * 8)) % 2 ? SAND : NIGHT)))
    expect(tiles).toMatchObject({ pattern: true })
    const random = seededRandom(4)
    const spots = Array.from({ length: 24 }, () => [random(), random(), 0.02 + 0.08 * random()] as const)
    expect(factsOf(picture((x, y) => (spots.some(([cx, cy, r]) => disc(x, y, cx, cy, r)) ? SAND : NIGHT)))).toMatchObject({ pattern: false })
  })

  it('knows vivid from muted, a tint over greys from greys, and room for lettering', () => {
    expect(factsOf(picture((x, y) => (disc(x, y, 0.5, 0.7, 0.26) ? [230, 30, 20] : SNOW)))).toMatchObject({ saturation: 'vivid', space: 'top' })
    expect(factsOf(picture((x, y) => mixed([110, 104, 100], [150, 146, 140], x * y)))).toMatchObject({ saturation: 'muted', contrast: 'low', cast: 'none' })
    expect(factsOf(picture((x, y) => mixed([150, 120, 90], [210, 174, 138], (x + y) / 2)))).toMatchObject({ cast: 'orange' })
  })

  it('knows where in the picture each colour of its palette lies', () => {
    const { palette, where } = factsOf(picture((x) => (x < 0.7 ? SKY : SAND)))
    const names = where.colours.of.map((k) => palette[k]!.name)
    expect([names[0], names[where.colours.columns - 1]]).toEqual(['blue', 'orange'])
    expect(where.tones).toHaveLength(32 * 32)
  })

  it('survives one pixel, one colour and one row', () => {
    for (const raster of [picture(() => SKY, 1, 1), picture(() => SAND, 64, 64), picture((x) => (x < 0.5 ? SKY : SAND), 300, 1)]) {
      const facts = factsOf(raster)
      expect(facts.palette.length).toBeGreaterThan(0)
      expect(facts).toMatchObject({ horizon: null, focus: null })
    }
  })
})
