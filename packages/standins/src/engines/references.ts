import sharp from 'sharp'
import { converter } from 'culori'
import type { Pixels } from '../finish/pixels.ts'
import type { PictureRequest } from '../request.ts'
import type { Medium, Scene } from '../scene/scene.ts'
import { COLOURS } from '../scene/words.ts'

/** No reference is looked at in more detail. */
const MOST_PIXELS = 4096 * 4096
const GRID = 48

/** A reference as the engine sees it. */
interface Seen {
  /** A small copy, GRID pixels wide and high. */
  small: Pixels
  bytes: Buffer
}

const toOklab = converter('oklab')

async function see(image: string, where: string): Promise<Seen> {
  const bytes = Buffer.from(image, 'base64')
  try {
    const { data } = await sharp(bytes, { limitInputPixels: MOST_PIXELS }).removeAlpha().toColourspace('srgb').resize(GRID, GRID, { fit: 'fill' }).raw().toBuffer({ resolveWithObject: true })
    return { small: { width: GRID, height: GRID, data: new Uint8Array(data) }, bytes }
  } catch {
    throw new RangeError(`${where} is no picture this engine can read; send a PNG or JPEG of at most ${MOST_PIXELS} pixels.`)
  }
}

/** The named colours that come nearest to what a picture mostly shows, the commonest first. */
function namesOf({ data }: Pixels): string[] {
  const names = Object.entries(COLOURS).map(([name, [l, c, h]]) => ({ name, lab: toOklab({ mode: 'oklch', l, c, h }) }))
  const counts = new Map<string, number>()
  for (let i = 0; i < data.length; i += 3) {
    const { l, a, b } = toOklab({ mode: 'rgb', r: data[i]! / 255, g: data[i + 1]! / 255, b: data[i + 2]! / 255 })
    let best = names[0]!
    let least = Infinity
    for (const one of names) {
      const far = (one.lab.l - l) ** 2 + 4 * ((one.lab.a - a) ** 2 + (one.lab.b - b) ** 2)
      if (far < least) [best, least] = [one, far]
    }
    // What has a colour of its own says more of a palette than what is grey.
    counts.set(best.name, (counts.get(best.name) ?? 0) + 0.25 + 6 * Math.hypot(a, b))
  }
  return [...counts].sort((x, y) => y[1] - x[1]).slice(0, 4).map(([name]) => name)
}

/** Where the most unusual part of a picture lies and how high its horizon is, as shares of its size. */
function layoutOf({ data }: Pixels): { x: number; horizon: number } {
  const light = (i: number) => 0.2126 * data[i * 3]! + 0.7152 * data[i * 3 + 1]! + 0.0722 * data[i * 3 + 2]!
  const rows = Array.from({ length: GRID }, (_, y) => Array.from({ length: GRID }, (_, x) => light(y * GRID + x)).reduce((sum, value) => sum + value, 0) / GRID)
  let horizon = 0.58
  let steepest = 0
  for (let y = Math.floor(GRID * 0.2); y < GRID * 0.85; y++) {
    const step = Math.abs(rows[y + 1]! - rows[y - 1]!)
    if (step > steepest) [horizon, steepest] = [y / GRID, step]
  }
  let [sum, at] = [0, 0]
  for (let y = 0; y < GRID; y++) for (let x = 0; x < GRID; x++) {
    const odd = Math.abs(light(y * GRID + x) - rows[y]!)
    sum += odd
    at += odd * x
  }
  return { x: sum > 0 ? at / sum / GRID : 0.5, horizon }
}

/** The medium that a picture looks to be made in, by how colourful it is and how its tones lie. */
function mediumOf({ data }: Pixels): Medium {
  let [colour, dark, pale, rough] = [0, 0, 0, 0]
  const count = data.length / 3
  for (let i = 0; i < data.length; i += 3) {
    const [r, g, b] = [data[i]!, data[i + 1]!, data[i + 2]!]
    colour += Math.max(r, g, b) - Math.min(r, g, b)
    const light = (r + g + b) / 3
    if (light < 60) dark++
    if (light > 215) pale++
    if (i > 3) rough += Math.abs(light - (data[i - 3]! + data[i - 2]! + data[i - 1]!) / 3)
  }
  if (colour / count < 26) return pale / count > 0.4 ? 'engraving' : 'charcoal'
  if (pale / count > 0.3) return 'watercolour'
  if (dark / count > 0.4) return 'oil painting'
  return rough / count > 26 ? 'linocut' : colour / count > 90 ? 'flat print' : 'gouache'
}

/** What references do to a picture before it is drawn, and what is laid over it after. */
export interface Guided {
  scene: Scene
  layout?: { x: number; horizon: number; strength: number }
  /** A seed of its own for how a person looks. */
  person?: number
  base?: { bytes: Buffer; strength: number; mask?: Buffer }
}

/** @throws {RangeError} for a reference that cannot be read, or a mask that does not fit. */
export async function guidedBy(scene: Scene, request: PictureRequest): Promise<Guided> {
  const guided: Guided = { scene: structuredClone(scene) }
  for (const [i, { role, image, strength }] of (request.references ?? []).entries()) {
    if (strength === 0) continue
    const seen = await see(image, `references/${i}/image`)
    const share = strength / 100
    switch (role) {
      case 'palette':
        guided.scene.palette = namesOf(seen.small)
        guided.scene.paletteShare = Math.max(guided.scene.paletteShare, 0.95 * share)
        break
      case 'layout':
        guided.layout = { ...layoutOf(seen.small), strength: share }
        break
      case 'finish':
        if (share >= 0.3) guided.scene.medium = mediumOf(seen.small)
        break
      case 'person':
        if (share >= 0.3) guided.person = seen.bytes.reduce((hash, byte) => (Math.imul(hash, 31) + byte) >>> 0, 7)
        break
      case 'base':
        guided.base = { bytes: seen.bytes, strength: share }
    }
  }
  if (request.mask !== undefined) {
    if (!guided.base) throw new RangeError('mask goes with a reference whose role is base; there is none.')
    const mask = Buffer.from(request.mask, 'base64')
    const { width, height } = await sharp(mask, { limitInputPixels: MOST_PIXELS }).metadata().catch(() => ({ width: undefined, height: undefined }))
    if (width === undefined || height === undefined) throw new RangeError('mask is no picture this engine can read; send a PNG, white where the picture is to be drawn anew.')
    if (width !== request.width || height !== request.height) throw new RangeError(`mask must be ${request.width} by ${request.height} pixels as the picture is; this is ${width} by ${height}.`)
    guided.base.mask = mask
  }
  return guided
}

/** The picture with its base showing through: all over by its strength, and wholly where the mask is black. */
export async function overBase(picture: Pixels, { bytes, strength, mask }: NonNullable<Guided['base']>): Promise<Pixels> {
  const { width, height, data } = picture
  const raw = async (input: Buffer, colour: 'srgb' | 'b-w') => {
    const shaped = sharp(input, { limitInputPixels: MOST_PIXELS }).removeAlpha().resize(width, height, { fit: 'cover' }).toColourspace(colour)
    return new Uint8Array(await shaped.raw().toBuffer())
  }
  const base = await raw(bytes, 'srgb')
  const open = mask && (await raw(mask, 'b-w'))
  const out = new Uint8Array(data.length)
  for (let i = 0; i < width * height; i++) {
    const share = open ? 1 - open[i]! / 255 : strength * 0.8
    for (let c = 0; c < 3; c++) out[i * 3 + c] = data[i * 3 + c]! * (1 - share) + base[i * 3 + c]! * share
  }
  return { width, height, data: out }
}
