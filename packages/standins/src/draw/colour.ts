import { converter, formatHex, clampChroma, type Oklch } from 'culori'
import { COLOURS } from '../scene/words.ts'
import type { Scene } from '../scene/scene.ts'

export type Colour = Oklch

export const oklch = (l: number, c: number, h: number): Colour => ({ mode: 'oklch', l, c, h })
export const named = (name: string): Colour => {
  const [l, c, h] = COLOURS[name] ?? [0.6, 0.02, 260]
  return oklch(l, c, h)
}
const toOklab = converter('oklab')
const toOklch = converter('oklch')

/** Between two colours, in OKLab; `t` from 0 to 1. */
export function mix(a: Colour, b: Colour, t: number): Colour {
  const [x, y] = [toOklab(a), toOklab(b)]
  const at = (p: number, q: number) => p + (q - p) * t
  return toOklch({ mode: 'oklab', l: at(x.l, y.l), a: at(x.a, y.a), b: at(x.b, y.b) })
}
export const lighter = (colour: Colour, by: number): Colour => ({ ...colour, l: Math.max(0, Math.min(1, colour.l + by)) })
export const hex = (colour: Colour): string => formatHex(clampChroma(colour, 'oklch'))

/** The colours a scene is drawn in. */
export interface Palette {
  sky: [Colour, Colour, Colour]
  sun: Colour
  far: Colour
  middle: Colour
  near: Colour
  ground: Colour
  wall: Colour
  table: Colour
  /** For the subject's largest piece, its second and its smallest. */
  accents: [Colour, Colour, Colour]
  ink: Colour
  paper: Colour
  glow: Colour
  /** How a thing of its own colour looks in this light. */
  lit: (colour: Colour) => Colour
}

const SKIES: Record<Scene['moment'], [Colour, Colour, Colour]> = {
  dawn: [oklch(0.7, 0.07, 262), oklch(0.84, 0.07, 20), oklch(0.92, 0.08, 78)],
  day: [oklch(0.68, 0.1, 240), oklch(0.83, 0.06, 228), oklch(0.94, 0.03, 200)],
  dusk: [oklch(0.42, 0.1, 288), oklch(0.64, 0.14, 22), oklch(0.84, 0.13, 66)],
  night: [oklch(0.22, 0.07, 270), oklch(0.31, 0.08, 266), oklch(0.45, 0.08, 258)],
}
const SUNS: Record<Scene['moment'], Colour> = { dawn: oklch(0.95, 0.08, 80), day: oklch(0.98, 0.04, 100), dusk: oklch(0.88, 0.15, 62), night: oklch(0.95, 0.03, 95) }
const LANDS: Record<Scene['season'], [Colour, Colour, Colour, Colour]> = {
  spring: [oklch(0.6, 0.06, 250), oklch(0.6, 0.1, 148), oklch(0.56, 0.12, 138), oklch(0.66, 0.14, 132)],
  summer: [oklch(0.56, 0.06, 255), oklch(0.52, 0.1, 150), oklch(0.47, 0.11, 142), oklch(0.6, 0.13, 128)],
  autumn: [oklch(0.54, 0.05, 270), oklch(0.56, 0.1, 70), oklch(0.5, 0.12, 50), oklch(0.62, 0.12, 75)],
  winter: [oklch(0.66, 0.04, 255), oklch(0.8, 0.025, 245), oklch(0.72, 0.03, 250), oklch(0.93, 0.012, 240)],
}
/** What the light of the hour does to a colour: a tint, how much of it, and what is left of lightness and chroma. */
const LIGHTS: Record<Scene['moment'], { tint: Colour; share: number; l: number; c: number }> = {
  dawn: { tint: oklch(0.8, 0.09, 50), share: 0.16, l: 0.95, c: 0.92 },
  day: { tint: oklch(0.9, 0.03, 95), share: 0.03, l: 1, c: 1 },
  dusk: { tint: oklch(0.5, 0.13, 22), share: 0.27, l: 0.8, c: 1 },
  night: { tint: oklch(0.36, 0.08, 266), share: 0.44, l: 0.86, c: 0.95 },
}

export function paletteFor(scene: Scene): Palette {
  const asked = scene.palette.map(named)
  const light = LIGHTS[scene.moment]
  const lit = (colour: Colour) => {
    const tinted = mix(colour, light.tint, light.share)
    return { ...tinted, l: tinted.l * light.l, c: tinted.c * light.c }
  }
  // A named palette takes the hues over; lightness stays with the hour, so that night remains night.
  const towards = (colour: Colour, i: number, share: number): Colour => {
    const target = asked[i % Math.max(asked.length, 1)]
    if (!target) return colour
    const hued = mix(colour, { ...target, l: colour.l * 0.72 + target.l * 0.28 }, share)
    return { ...hued, c: Math.max(hued.c, target.c * share * 0.8) }
  }
  const fromBlue = ({ h = 0 }: Colour) => Math.abs(((h - 245 + 540) % 360) - 180)
  const bluest = asked.reduce((best, colour, i) => (fromBlue(colour) < fromBlue(asked[best] ?? colour) ? i : best), 0)
  const sky = SKIES[scene.moment].map((colour, i) => towards(colour, i === 2 ? 0 : bluest, 0.55)) as Palette['sky']
  const veil = scene.weather === 'mist' ? 0.45 : scene.weather === 'rain' || scene.weather === 'cloudy' || scene.weather === 'snow' ? 0.25 : 0
  const grey = lit(oklch(0.78, 0.015, 245))
  const cloudy = (colour: Colour) => mix(colour, grey, veil)
  const [far, middle, near, ground] = LANDS[scene.season].map((colour, i) => towards(lit(colour), i + 1, 0.6)) as [Colour, Colour, Colour, Colour]
  const own = scene.ownColours.map(named)
  const accents = [own[0] ?? asked[0] ?? oklch(0.56, 0.17, 22), own[1] ?? asked[1] ?? oklch(0.72, 0.13, 76), own[2] ?? asked[2] ?? oklch(0.45, 0.07, 255)]
  return {
    sky: sky.map(cloudy) as Palette['sky'],
    sun: SUNS[scene.moment],
    far: mix(far, sky[1], 0.5),
    middle: mix(cloudy(middle), sky[1], 0.2),
    near,
    ground,
    wall: towards(lit(oklch(0.86, 0.03, 80)), 0, 0.55),
    table: towards(lit(oklch(0.6, 0.07, 60)), 1, 0.4),
    accents: accents.map((colour) => lit(colour)) as Palette['accents'],
    ink: oklch(0.25, 0.03, 270),
    paper: oklch(0.965, 0.012, 88),
    glow: oklch(0.9, 0.13, 84),
    lit,
  }
}
