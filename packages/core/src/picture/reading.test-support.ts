import { phrasesOf } from './say/phrases.ts'
import type { Facts, PictureReading } from './shape.ts'

/** Facts of which nothing is settled. */
export const NO_FACTS: Facts = {
  key: null, temperature: null, mono: null, palette: [], focus: null, side: null, horizon: null, symmetric: null, busy: null, contrast: null, saturation: null, cast: null, lightSide: null, lightHard: null,
  grain: null, texture: null, pattern: null, balance: null, thirds: null, space: null,
  where: { eye: null, horizon: null, edges: { columns: 0, widths: [] }, colours: { columns: 0, of: [] }, tones: [], space: null, repeat: null },
}

/** A reading of which nothing is settled but what is given, with the phrases that suggests. */
export function readingLike(more: Partial<PictureReading>): PictureReading {
  const whole: PictureReading = { ...NO_FACTS, aspect: 1.5, medium: null, shot: null, people: null, objects: [], lettering: { present: null, text: '', boxes: [] }, figure: null, phrases: [], ...more }
  return { ...whole, phrases: phrasesOf(whole) }
}
