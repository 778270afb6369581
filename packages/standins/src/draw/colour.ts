import { clampChroma, converter, formatHex, type Oklch } from 'culori'
import type { Moment, Scene, Season } from '../scene/scene.ts'
import { COLOURS } from '../scene/words.ts'

export type Colour = Oklch

export const oklch = (l: number, c: number, h: number): Colour => ({ mode: 'oklch', l, c, h })
export const named = (name: string): Colour => {
  const [l, c, h] = COLOURS[name] ?? [0.6, 0.02, 260]
  return oklch(l, c, h)
}
const toOklab = converter('oklab')
const toOklch = converter('oklch')
const toRgb = converter('rgb')

/** Between two colours, in OKLab; `t` from 0 to 1. */
export function mix(a: Colour, b: Colour, t: number): Colour {
  const [x, y] = [toOklab(a), toOklab(b)]
  const at = (p: number, q: number) => p + (q - p) * t
  return toOklch({ mode: 'oklab', l: at(x.l, y.l), a: at(x.a, y.a), b: at(x.b, y.b) })
}
export const lighter = (colour: Colour, by: number): Colour => ({ ...colour, l: Math.max(0, Math.min(1, colour.l + by)) })
export const hex = (colour: Colour): string => formatHex(clampChroma(colour, 'oklch'))
/** Red, green and blue from 0 to 255. */
export const bytes = (colour: Colour): [number, number, number] => {
  const { r, g, b } = toRgb(clampChroma(colour, 'oklch'))
  return [r, g, b].map((value) => Math.round(Math.max(0, Math.min(1, value)) * 255)) as [number, number, number]
}

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
  /** For what wears no colour of its own. */
  accents: [Colour, Colour, Colour]
  ink: Colour
  paper: Colour
  glow: Colour
  /** How a thing of this world looks in this light. */
  lit: (colour: Colour) => Colour
  /** The same of a colour that was asked for: it stays itself. */
  own: (colour: Colour) => Colour
  /** A colour nobody asked for, drawn towards the colours of the whole. */
  toned: (colour: Colour, i: number) => Colour
}

const SKIES: Record<Moment, [Colour, Colour, Colour]> = {
  dawn: [oklch(0.7, 0.07, 270), oklch(0.83, 0.08, 10), oklch(0.93, 0.08, 70)],
  morning: [oklch(0.72, 0.09, 238), oklch(0.86, 0.05, 225), oklch(0.96, 0.04, 95)],
  noon: [oklch(0.62, 0.13, 243), oklch(0.78, 0.09, 232), oklch(0.92, 0.04, 215)],
  afternoon: [oklch(0.68, 0.08, 240), oklch(0.84, 0.06, 90), oklch(0.92, 0.1, 82)],
  dusk: [oklch(0.4, 0.1, 285), oklch(0.62, 0.15, 20), oklch(0.84, 0.13, 62)],
  night: [oklch(0.18, 0.06, 268), oklch(0.27, 0.075, 262), oklch(0.4, 0.075, 250)],
}
const SUNS: Record<Moment, Colour> = { dawn: oklch(0.96, 0.07, 75), morning: oklch(0.98, 0.05, 95), noon: oklch(0.99, 0.03, 100), afternoon: oklch(0.95, 0.11, 82), dusk: oklch(0.88, 0.16, 55), night: oklch(0.95, 0.03, 95) }
const LANDS: Record<Season, [Colour, Colour, Colour, Colour]> = {
  spring: [oklch(0.62, 0.055, 240), oklch(0.64, 0.1, 145), oklch(0.55, 0.12, 140), oklch(0.68, 0.14, 128)],
  summer: [oklch(0.58, 0.055, 250), oklch(0.56, 0.1, 145), oklch(0.45, 0.105, 145), oklch(0.6, 0.125, 128)],
  autumn: [oklch(0.56, 0.05, 290), oklch(0.6, 0.11, 70), oklch(0.5, 0.12, 48), oklch(0.66, 0.115, 78)],
  winter: [oklch(0.68, 0.04, 255), oklch(0.84, 0.022, 245), oklch(0.72, 0.03, 250), oklch(0.95, 0.01, 240)],
}
/** What the light of the hour does to a colour: a tint, how much of it, and what is left of lightness and chroma. */
const LIGHTS: Record<Moment, { tint: Colour; share: number; l: number; c: number }> = {
  dawn: { tint: oklch(0.82, 0.09, 40), share: 0.17, l: 0.95, c: 0.9 },
  morning: { tint: oklch(0.92, 0.05, 90), share: 0.06, l: 1, c: 0.98 },
  noon: { tint: oklch(0.95, 0.02, 100), share: 0.02, l: 1.02, c: 1.02 },
  afternoon: { tint: oklch(0.85, 0.12, 75), share: 0.16, l: 0.98, c: 1 },
  dusk: { tint: oklch(0.5, 0.13, 20), share: 0.26, l: 0.8, c: 0.98 },
  night: { tint: oklch(0.34, 0.08, 264), share: 0.42, l: 0.78, c: 0.88 },
}
const WARM = oklch(0.74, 0.13, 60)
const COOL = oklch(0.66, 0.09, 245)
const FLAT: Record<Scene['weather'], number> = { clear: 0, cloudy: 0.1, wind: 0.05, overcast: 0.5, mist: 0.42, rain: 0.44, storm: 0.62, snow: 0.34 }

export function paletteFor(scene: Scene): Palette {
  const asked = scene.palette.map(named)
  const light = LIGHTS[scene.moment]
  const indoors = ['interior', 'workshop', 'studio'].includes(scene.setting)
  const dim = (scene.weather === 'storm' ? 0.84 : scene.weather === 'overcast' || scene.weather === 'rain' ? 0.93 : 1) * (scene.mood < 0 ? 1 + scene.mood * 0.22 : 1)
  const mood = (colour: Colour): Colour => {
    const warmed = scene.warmth > 0 ? mix(colour, { ...WARM, l: colour.l }, scene.warmth * 0.34) : scene.warmth < 0 ? mix(colour, { ...COOL, l: colour.l }, -scene.warmth * 0.36) : colour
    return { ...warmed, l: Math.min(1, warmed.l * dim + Math.max(0, scene.mood) * 0.035), c: warmed.c * (1 + scene.mood * 0.22) }
  }
  const lit = (colour: Colour, keep = 1): Colour => {
    const share = light.share * keep * (indoors && scene.moment !== 'night' ? 0.4 : 1)
    const tinted = mix(colour, light.tint, share)
    return mood({ ...tinted, l: tinted.l * (indoors ? (light.l + 1) / 2 : light.l), c: tinted.c * light.c })
  }
  // A named palette takes the hues over; lightness stays with the hour, so that night remains night.
  const towards = (colour: Colour, i: number, share: number): Colour => {
    const target = asked[i % Math.max(asked.length, 1)]
    if (!target) return colour
    const taken = Math.min(1, share * (scene.paletteShare / 0.6))
    const hued = mix(colour, { ...target, l: colour.l * 0.72 + target.l * 0.28 }, taken)
    return { ...hued, c: scene.paletteShare >= 1 ? target.c : Math.max(hued.c, target.c * taken * 0.8) }
  }
  const fromBlue = ({ h = 0 }: Colour) => Math.abs(((h - 245 + 540) % 360) - 180)
  const bluest = asked.reduce((best, colour, i) => (fromBlue(colour) < fromBlue(asked[best] ?? colour) ? i : best), 0)
  const veil = FLAT[scene.weather]
  const grey = lit(scene.weather === 'storm' ? oklch(0.5, 0.025, 255) : oklch(0.79, 0.012, 245))
  const cloudy = (colour: Colour) => mix(colour, { ...grey, l: grey.l * 0.6 + colour.l * 0.4 }, veil)
  const sky = SKIES[scene.moment].map((colour, i) => mood(cloudy(towards(colour, i === 2 ? 0 : bluest, 0.55)))) as Palette['sky']
  const [far, middle, near, ground] = LANDS[scene.season].map((colour, i) => cloudy(towards(lit(colour), i + 1, 0.6))) as [Colour, Colour, Colour, Colour]
  const defaults = [oklch(0.52, 0.16, 24), oklch(0.76, 0.12, 78), oklch(0.45, 0.08, 250)]
  const accents = defaults.map((colour, i) => lit(asked[i] ? towards(colour, i, 0.95) : asked.length ? towards(colour, i, 0.6) : colour))
  return {
    sky,
    sun: mood(SUNS[scene.moment]),
    far: mix(far, sky[1], 0.45),
    middle: mix(middle, sky[1], 0.18),
    near,
    ground,
    wall: towards(lit(oklch(0.86, 0.035, 80)), 0, 0.55),
    table: towards(lit(oklch(0.56, 0.075, 58)), 1, 0.4),
    accents: accents as Palette['accents'],
    ink: oklch(0.22, 0.035, 275),
    paper: oklch(0.965, 0.014, 88),
    glow: scene.paletteShare >= 1 ? oklch(0.92, 0.01, 88) : oklch(0.9, 0.13, 84),
    lit: (colour) => lit(scene.paletteShare >= 1 ? { ...colour, c: 0.01 } : colour),
    own: (colour) => lit(colour, 0.55),
    toned: (colour, i) => (asked.length ? towards(colour, i, 0.5) : colour),
  }
}
