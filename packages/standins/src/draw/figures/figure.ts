import type { Random } from '@idolon/core'
import type { Canvas } from '../canvas.ts'
import { type Colour, hex } from '../colour.ts'

/** What a figure draws with: a box 100 high that stands on y = 0, its middle at x = 0, up being negative. */
export interface Pen {
  canvas: Canvas
  random: Random
  /** Pixels of one unit. */
  scale: number
  /** A solid shape in the light of the scene. */
  shape: (d: string, colour: Colour, strength?: number) => void
  /** A flat mark. */
  mark: (d: string, colour: Colour, opacity?: number) => void
  line: (d: string, colour: Colour, width: number) => void
}

export interface Figure {
  /** Its height as a share of the picture's, at a medium shot. */
  height: number
  /** Its width as a share of its height. */
  width: number
  draw: (pen: Pen) => void
}

export function penFor(canvas: Canvas, element: string, scale: number): Pen {
  return {
    canvas,
    random: canvas.random(element),
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
  }
}

export const ellipse = (cx: number, cy: number, rx: number, ry: number): string => `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`
