import type { Random } from '@idolon/core'
import type { Scene, SubjectKind, Thing } from '../../scene/scene.ts'
import type { Canvas } from '../canvas.ts'
import { type Colour, hex, named, oklch, type Palette } from '../colour.ts'

/** What a figure draws with: a box 100 high that stands on y = 0, its middle at x = 0, up being negative. It looks to the left. */
export interface Pen {
  canvas: Canvas
  palette: Palette
  scene: Scene
  thing: Thing
  random: Random
  /** Pixels of one unit. */
  scale: number
  /** A solid shape in the light of the scene. */
  shape: (d: string, colour: Colour, strength?: number) => void
  /** A flat mark. */
  mark: (d: string, colour: Colour, opacity?: number) => void
  line: (d: string, colour: Colour, width: number) => void
  /** Shapes under a transformation. */
  turned: (transform: string, draw: () => void) => void
  /** The thing's own colours in order of mention, then this one, in the light of the hour. */
  own: (i: number, l: number, c: number, h: number) => Colour
  /** A colour of this world in the light of the hour. */
  lit: (l: number, c: number, h: number) => Colour
  /** Whether lamps and windows are lit. */
  dark: boolean
}

export interface Figure {
  kind: SubjectKind
  variant: string
  /** Words that name it, comma by comma, in the singular or where it has none of its own, the plural. */
  words: string
  /** Its height as a share of the picture's, at a medium shot. */
  height: number
  /** Its width as a share of its height. */
  width: number
  /** It floats in the air, or swims, or lies on the water, where it is outdoors. */
  where?: 'air' | 'water'
  draw: (pen: Pen) => void
}

export function penFor(canvas: Canvas, thing: Thing, element: string, scale: number): Pen {
  const { palette, scene } = canvas
  return {
    canvas,
    palette,
    scene,
    thing,
    random: thing.kind === 'person' ? canvas.looks(element) : canvas.random(element),
    scale,
    shape: (d, colour, strength = 1) => {
      canvas.path(d, canvas.solid(colour, strength), canvas.edge(scale))
    },
    mark: (d, colour, opacity = 1) => {
      canvas.path(d, hex(colour), opacity < 1 ? `opacity="${opacity}"` : '')
    },
    line: (d, colour, width) => {
      canvas.path(d, 'none', `stroke="${hex(colour)}" stroke-width="${width}" stroke-linecap="round" stroke-linejoin="round"`)
    },
    turned: (transform, draw) => {
      canvas.group(`transform="${transform}"`, draw)
    },
    own: (i, l, c, h) => {
      const asked = thing.colours[i]
      return asked ? palette.own(named(asked)) : palette.lit(palette.toned(oklch(l, c, h), i))
    },
    lit: (l, c, h) => palette.lit(oklch(l, c, h)),
    dark: scene.moment === 'night' || scene.moment === 'dusk',
  }
}

export const ellipse = (cx: number, cy: number, rx: number, ry: number): string => `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`
/** A rectangle with corners rounded by `r`. */
export const box = (x: number, y: number, w: number, h: number, r = 0): string => (r ? `M${x + r} ${y}h${w - 2 * r}q${r} 0 ${r} ${r}v${h - 2 * r}q0 ${r} ${-r} ${r}h${-(w - 2 * r)}q${-r} 0 ${-r} ${-r}v${-(h - 2 * r)}q0 ${-r} ${r} ${-r}Z` : `M${x} ${y}h${w}v${h}h${-w}Z`)
/** A closed polygon through points given as x, y, x, y ... */
export const poly = (...points: number[]): string => `M${points.map((value, i) => (i % 2 ? `${value}` : `${i ? 'L' : ''}${value} `)).join('')}Z`
/** A tapering limb from one point to another. */
export function limb(x0: number, y0: number, x1: number, y1: number, w0: number, w1: number): string {
  const length = Math.hypot(x1 - x0, y1 - y0) || 1
  const [nx, ny] = [-(y1 - y0) / length, (x1 - x0) / length]
  const at = (x: number, y: number, w: number) => `${(x + nx * w).toFixed(1)} ${(y + ny * w).toFixed(1)}`
  return `M${at(x0, y0, w0)}L${at(x1, y1, w1)}A${w1} ${w1} 0 0 0 ${at(x1, y1, -w1)}L${at(x0, y0, -w0)}A${w0} ${w0} 0 0 0 ${at(x0, y0, w0)}Z`
}
/** A wheel with spokes. */
export function wheel(pen: Pen, x: number, y: number, r: number, rim: Colour, hub: Colour, spokes: number): void {
  pen.mark(`${ellipse(x, y, r, r)}${ellipse(x, y, r * 0.8, r * 0.8)}`, rim)
  pen.canvas.add(`<circle cx="${x}" cy="${y}" r="${r * 0.8}" fill="${hex(pen.palette.middle)}" opacity="0.35"/>`)
  for (let i = 0; i < spokes; i++) pen.line(`M${x} ${y}L${(x + Math.cos((i / spokes) * 6.283) * r * 0.85).toFixed(1)} ${(y + Math.sin((i / spokes) * 6.283) * r * 0.85).toFixed(1)}`, hub, r * 0.07)
  pen.canvas.add(`<circle cx="${x}" cy="${y}" r="${(r * 0.9).toFixed(1)}" fill="none" stroke="${hex(rim)}" stroke-width="${(r * 0.2).toFixed(1)}"/>`)
  pen.mark(ellipse(x, y, r * 0.2, r * 0.2), hub)
}
/** Warm light round a lamp. */
export function glow(pen: Pen, x: number, y: number, r: number, strength = 1): void {
  const id = pen.canvas.define('lamp glow', (name) => `<radialGradient id="${name}"><stop offset="0" stop-color="#ffe9b0" stop-opacity="0.95"/><stop offset="0.25" stop-color="#ffd27a" stop-opacity="0.5"/><stop offset="1" stop-color="#ffbf55" stop-opacity="0"/></radialGradient>`)
  pen.canvas.add(`<circle cx="${x}" cy="${y}" r="${pen.dark ? r : r * 0.5}" fill="url(#${id})" opacity="${pen.dark ? strength : strength * 0.6}"/>`)
}
