import { hashText, type Random, seededRandom } from '@idolon/core'
import type { Medium, Scene } from '../scene/scene.ts'
import { type Colour, hex, lighter, mix, type Palette } from './colour.ts'

export const n = (value: number): string => (Math.round(value * 100) / 100).toString()

/** Media whose colours lie flat, without a passage from light to dark. */
const FLAT: ReadonlySet<Medium> = new Set(['flat print', 'paper cut', 'linocut'])
/** Media that are drawn with a line round things. */
const OUTLINED: Partial<Record<Medium, number>> = { engraving: 1.3, charcoal: 1.7, watercolour: 0.8, 'ink wash': 1.1, linocut: 1.6 }

/** Collects the picture's shapes. How a shape is filled and edged is the medium's affair; what it is, the figure's. */
export class Canvas {
  readonly #defs = new Map<string, string>()
  readonly #body: string[] = []
  readonly flat: boolean

  constructor(
    readonly width: number,
    readonly height: number,
    readonly scene: Scene,
    readonly palette: Palette,
    private readonly seed: number,
    private readonly person?: number,
  ) {
    this.flat = FLAT.has(scene.medium)
  }

  get medium(): Medium {
    return this.scene.medium
  }

  /** A stream of numbers for one named element: adding an element never moves another. */
  random(element: string): Random {
    return seededRandom((hashText(element) ^ Math.imul(this.seed, 0x9e3779b1)) >>> 0)
  }

  /** The stream of a figure's own looks, which a reference of a person takes over. */
  looks(element: string): Random {
    return this.person === undefined ? this.random(element) : seededRandom((hashText(element) ^ this.person) >>> 0)
  }

  define(key: string, make: (id: string) => string): string {
    const id = `d${hashText(key).toString(36)}`
    if (!this.#defs.has(id)) this.#defs.set(id, make(id))
    return id
  }

  add(markup: string): void {
    this.#body.push(markup)
  }

  /** Adds what `draw` draws as one group. */
  group(attributes: string, draw: () => void): void {
    this.add(`<g ${attributes}>`)
    draw()
    this.add('</g>')
  }

  /** Light and shaded sides of a solid, towards the scene's light. */
  solid(colour: Colour, strength = 1): string {
    const { from, hard } = this.scene.light
    const deep = strength * (hard ? 1.5 : 1)
    const bright = lighter(mix(colour, this.palette.sun, 0.16 * deep), 0.045 * deep)
    const dark = lighter(mix(colour, this.palette.ink, 0.24 * deep), -0.05 * deep)
    if (from === 'front') return hex(mix(colour, bright, 0.3))
    const [a, b] = from === 'right' ? [dark, bright] : from === 'behind' ? [dark, mix(dark, this.palette.ink, 0.3)] : [bright, dark]
    const stops: [number, Colour][] = this.flat ? [[0, a], [0.56, a], [0.561, b], [1, b]] : [[0, a], [0.5, colour], [1, b]]
    const [x2, y2] = from === 'above' ? [0.1, 1] : [1, 0.35]
    const id = this.define(`solid ${hex(a)} ${hex(b)} ${hex(colour)} ${from}`, (name) => `<linearGradient id="${name}" x1="0" y1="0.1" x2="${x2}" y2="${y2}">${stops.map(([at, c]) => `<stop offset="${at}" stop-color="${hex(c)}"/>`).join('')}</linearGradient>`)
    return `url(#${id})`
  }

  /** The line round a shape, where the medium draws one. `scale` undoes the size of the group it stands in. */
  edge(scale = 1, weight = 1): string {
    const width = OUTLINED[this.medium]
    if (!width) return ''
    const opacity = this.medium === 'watercolour' ? 0.55 : 1
    return `stroke="${hex(this.palette.ink)}" stroke-opacity="${opacity}" stroke-width="${n((width * weight) / scale)}" stroke-linejoin="round" stroke-linecap="round"`
  }

  path(d: string, fill: string, more = ''): void {
    this.add(`<path d="${d}" fill="${fill}" ${more}/>`)
  }

  /** What was drawn as SVG over a sheet of one colour. */
  toString(ground: Colour): string {
    return `<svg xmlns="http://www.w3.org/2000/svg" width="${this.width}" height="${this.height}" viewBox="0 0 ${this.width} ${this.height}"><defs>${[...this.#defs.values()].join('')}</defs><rect width="${this.width}" height="${this.height}" fill="${hex(ground)}"/>${this.#body.join('')}</svg>`
  }
}

/** A smooth curve through points (Catmull-Rom as cubic Béziers). */
export function curve(points: readonly (readonly [number, number])[]): string {
  const at = (i: number) => points[Math.max(0, Math.min(points.length - 1, i))] ?? [0, 0]
  let d = `M${n(at(0)[0])} ${n(at(0)[1])}`
  for (let i = 0; i < points.length - 1; i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)]
    d += `C${n(p1[0] + (p2[0] - p0[0]) / 6)} ${n(p1[1] + (p2[1] - p0[1]) / 6)} ${n(p2[0] - (p3[0] - p1[0]) / 6)} ${n(p2[1] - (p3[1] - p1[1]) / 6)} ${n(p2[0])} ${n(p2[1])}`
  }
  return d
}
