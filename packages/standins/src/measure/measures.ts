import sharp from 'sharp'
import type { Scene } from '../scene/scene.ts'

/** What a test may know of an answer: the picture's pixels and the drawing's own record. Nothing here is the core's. */
export interface Answer {
  scene: Scene
  width: number
  height: number
  /** RGB, row by row. */
  data: Uint8Array
}

export async function decoded(png: Buffer, scene: Scene): Promise<Answer> {
  const { data, info } = await sharp(png).removeAlpha().raw().toBuffer({ resolveWithObject: true })
  return { scene, width: info.width, height: info.height, data: new Uint8Array(data) }
}

/** The mean of a value over the pixels for which it is asked. */
function mean({ width, height, data }: Answer, value: (r: number, g: number, b: number) => number, within: (x: number, y: number) => boolean = () => true): number {
  let [sum, count] = [0, 0]
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i += 3) {
      if (!within(x / width, y / height)) continue
      sum += value(data[i]!, data[i + 1]!, data[i + 2]!)
      count++
    }
  }
  return count ? sum / count : 0
}
const light = (r: number, g: number, b: number) => 0.2126 * r + 0.7152 * g + 0.0722 * b

/** Hue in degrees, or NaN where there is hardly any. */
function hue(r: number, g: number, b: number): number {
  const [most, least] = [Math.max(r, g, b), Math.min(r, g, b)]
  const d = most - least
  if (d < 26) return NaN
  const h = most === r ? ((g - b) / d) % 6 : most === g ? (b - r) / d + 2 : (r - g) / d + 4
  return (h * 60 + 360) % 360
}

export type Measure = (answer: Answer) => number

/** Mean lightness, 0 to 255. */
export const lightness: Measure = (answer) => mean(answer, light)
/** How much lighter the left third is than the right. */
export const leftward: Measure = (answer) => mean(answer, light, (x) => x < 0.33) - mean(answer, light, (x) => x > 0.67)
/** Mean of red less blue. */
export const warmth: Measure = (answer) => mean(answer, (r, _g, b) => r - b)
/** Mean difference between the strongest and the weakest channel. */
export const chroma: Measure = (answer) => mean(answer, (r, g, b) => Math.max(r, g, b) - Math.min(r, g, b))
/** Share of pixels whose hue lies within 28 degrees of one. */
export const shareOf = (degrees: number): Measure => (answer) => mean(answer, (r, g, b) => {
  const h = hue(r, g, b)
  return Number.isNaN(h) ? 0 : Math.abs(((h - degrees + 540) % 360) - 180) <= 28 ? 1 : 0
})
/** Mean step in lightness from one pixel to the next, in a part of the picture. */
export const roughness = (within: (x: number, y: number) => boolean = () => true): Measure => ({ width, height, data }) => {
  let [sum, count] = [0, 0]
  for (let y = 0; y < height; y++) {
    for (let x = 1; x < width; x++) {
      if (!within(x / width, y / height)) continue
      const i = (y * width + x) * 3
      sum += Math.abs(light(data[i]!, data[i + 1]!, data[i + 2]!) - light(data[i - 3]!, data[i - 2]!, data[i - 1]!))
      count++
    }
  }
  return sum / Math.max(1, count)
}
/** Standard deviation of lightness. */
export const contrast: Measure = (answer) => {
  const middle = lightness(answer)
  return Math.sqrt(mean(answer, (r, g, b) => (light(r, g, b) - middle) ** 2))
}
/** How many of the subject the drawing made. */
export const number: Measure = ({ scene }) => scene.subject.count
/** How tall one of the subject is drawn, as a share of the picture's height. */
export const size: Measure = ({ scene }) => scene.drawn?.subjectHeight ?? 0
/** Where the horizon lies, as a share of the height from the top. */
export const horizon: Measure = ({ scene }) => scene.drawn?.horizon ?? 0
/** Whether something is in the record, 1 or 0. */
export const has = (test: (scene: Scene) => boolean): Measure => ({ scene }) => (test(scene) ? 1 : 0)
