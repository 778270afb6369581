import type { Medium } from '../scene/scene.ts'
import { blurred, brushed, displaced, edges, grainAt, luminance, noise, type Pixels, tones } from './pixels.ts'

type RGB = readonly [number, number, number]
/** What a medium does to the drawn picture. `ink` and `paper` are the scene's. */
export type Finish = (pixels: Pixels, seed: number, ink: RGB, paper: RGB) => Pixels

type Channel = 0 | 1 | 2
/** Writes each pixel from what it was and where it stands; `i` counts pixels, `at` bytes. What is written is rounded and kept between 0 and 255. */
function each({ width, height, data }: Pixels, change: (i: number, at: number, x: number, y: number, data: Uint8Array, out: Uint8ClampedArray) => void): Pixels {
  const out = new Uint8ClampedArray(data.length)
  for (let y = 0, i = 0, at = 0; y < height; y++) for (let x = 0; x < width; x++, i++, at += 3) change(i, at, x, y, data, out)
  return { width, height, data: new Uint8Array(out.buffer) }
}

/** Lengths are given for a picture 512 pixels on its short side. */
const scaleOf = ({ width, height }: Pixels): number => Math.max(0.5, Math.min(width, height) / 512)

/** Paper left bare round the picture, with an edge as uneven as `rough` pixels. */
function margin({ width, height }: Pixels, share: number, rough: number, seed: number): (x: number, y: number) => number {
  const wide = Math.min(width, height) * share
  const wobble = noise(14, seed + 31)
  return (x, y) => {
    const away = Math.min(x, y, width - 1 - x, height - 1 - y) - wide - (wobble(x, y) - 0.5) * rough
    return away < -1 ? 1 : away > 1 ? 0 : (1 - away) / 2
  }
}

/** The tone below which `share` of the picture lies, 0 to 255. */
function toneAt(tone: Float32Array, share: number): number {
  const counts = new Uint32Array(256)
  for (let i = 0; i < tone.length; i++) counts[Math.min(255, tone[i]! | 0)]!++
  let seen = 0
  for (let level = 0; level < 256; level++) if ((seen += counts[level]!) >= share * tone.length) return level
  return 255
}

const mixInto = (value: number, other: number, share: number) => value + (other - value) * share

/** Opaque paint with strokes that can be seen. `bristle` is how deep their furrows lie. */
const paint =
  (radius: number, bristle: number): Finish =>
  (pixels, seed) => {
    const s = scaleOf(pixels)
    const shaken = displaced(pixels, noise(8 * s, seed, 1.6), noise(8 * s, seed + 7), 3.4 * s)
    const patches = brushed(shaken, Math.max(2, Math.round(radius * s)))
    // Strokes lie one way here and another there.
    const along = noise(1.9 * s, seed + 3, 6)
    const across = noise(1.9 * s, seed + 5, 6)
    const way = noise(60 * s, seed + 6)
    const body = noise(26 * s, seed + 4, 1.4)
    return each(patches, (i, at, x, y, data, out) => {
      const turn = Math.min(1, Math.max(0, (way(x, y) - 0.42) * 6))
      const stroke = along(x, y) * (1 - turn) + across(y, x) * turn
      const relief = (stroke - 0.5) * bristle + (body(x, y) - 0.5) * 8 + (grainAt(x, y, seed) - 0.5) * 4
      out[at] = data[at]! + relief
      out[at + 1] = data[at + 1]! + relief
      out[at + 2] = data[at + 2]! + relief * 0.9
    })
  }

const wash =
  (coloured: number): Finish =>
  (pixels, seed, ink, paper) => {
    const { width, height } = pixels
    const s = scaleOf(pixels)
    const bled = displaced(pixels, noise(13 * s, seed), noise(13 * s, seed + 5), 4.6 * s)
    const soft = brushed(bled, 2)
    const tone = tones(soft)
    const wide = blurred(tone, width, height, Math.round(5 * s))
    const pools = noise(60 * s, seed + 2)
    const tooth = noise(2, seed + 9)
    const bare = margin(pixels, 0.045, 16 * s, seed)
    return each(soft, (i, at, x, y, data, out) => {
      // Pigment gathers where a wash ends: the darker side of every edge is darker still.
      const pooled = Math.min(0, tone[i]! - wide[i]!) * 0.9
      const thin = 0.16 + (pools(x, y) - 0.5) * 0.36
      const granules = (tooth(x, y) - 0.5) * 20 * (1 - tone[i]! / 300)
      const left = bare(x, y)
      const channel = (c: Channel) => {
        const pigment = coloured < 1 ? mixInto(mixInto(ink[c], paper[c], tone[i]! / 255), data[at + c]!, coloured) : data[at + c]!
        return mixInto(mixInto(pigment, paper[c], thin) + pooled + granules, paper[c] - (tooth(x, y) - 0.5) * 8, left)
      }
      out[at] = channel(0)
      out[at + 1] = channel(1)
      out[at + 2] = channel(2)
    })
  }

/** Lines cut with a burin: their width makes the tone, more directions the deeper it is. */
const engraved: Finish = (pixels, seed, ink, paper) => {
  const { width, height } = pixels
  const tone = blurred(tones(pixels), width, height, 1)
  const outline = edges(tone, width, height)
  const [black, white] = [toneAt(tone, 0.02), Math.max(120, toneAt(tone, 0.72))]
  const sway = noise(170 * scaleOf(pixels), seed)
  const bare = margin(pixels, 0.03, 3, seed)
  const scale = Math.max(0.8, scaleOf(pixels))
  const line = (at: number) => Math.abs(((at % 1) + 1) % 1 - 0.5) * 2
  return each(pixels, (i, at, x, y, data, out) => {
    // The lightest third of the tones is bare paper.
    const dark = Math.max(0, (white - tone[i]!) / Math.max(60, white - black)) * 0.9 + 0.05
    const bend = sway(x, y) * 9
    let covered = 0
    const cut = (position: number, from: number, strength: number) => {
      const wide = Math.max(0, dark - from) * strength
      covered = Math.max(covered, Math.min(1, Math.max(0, (wide - line(position) + 0.28) * 3.2)))
    }
    if (dark > 0.05) cut((y + bend) / (4 * scale), 0.06, 0.95)
    if (dark > 0.34) cut((x * 0.8 + y * 0.6 + bend) / (4.4 * scale), 0.3, 1.15)
    if (dark > 0.58) cut((x * 0.75 - y * 0.66 - bend) / (4.8 * scale), 0.52, 1.4)
    covered = Math.max(covered, outline[i]! > 0.16 ? Math.min(1, (outline[i]! - 0.16) * 4) : 0)
    covered *= 1 - bare(x, y)
    // A breath of the colours below, as of a print tinted by hand.
    const channel = (c: Channel) => mixInto(mixInto(paper[c], data[at + c]! * 0.35 + paper[c] * 0.65, 0.42 * (1 - bare(x, y))), ink[c], covered)
    out[at] = channel(0)
      out[at + 1] = channel(1)
      out[at + 2] = channel(2)
  })
}

/** A soft stick on toothed paper. */
const drawn: Finish = (pixels, seed, ink, paper) => {
  const { width, height } = pixels
  const sharp = tones(pixels)
  const tone = blurred(sharp, width, height, 2)
  const outline = edges(sharp, width, height)
  const tooth = noise(1.6, seed)
  const sweep = noise(3, seed + 4, 9)
  const smudge = noise(34, seed + 6)
  const [black, white] = [toneAt(tone, 0.03), toneAt(tone, 0.9)]
  const bare = margin(pixels, 0.05, 26, seed)
  return each(pixels, (i, at, x, y, _data, out) => {
    const dark = Math.min(1, Math.max(0, (white - tone[i]!) / Math.max(40, white - black))) * 0.94 + outline[i]! * 0.3
    const grain = tooth(x, y) * 0.55 + sweep(x, y) * 0.35 + grainAt(x, y, seed) * 0.2
    const covered = Math.min(0.94, Math.max(0, (dark - grain * 0.62) * 1.75 + dark * 0.16 + (smudge(x, y) - 0.5) * 0.1)) * (1 - bare(x, y))
    out[at] = mixInto(paper[0], ink[0], covered)
      out[at + 1] = mixInto(paper[1], ink[1], covered)
      out[at + 2] = mixInto(paper[2], ink[2], covered)
  })
}

/** Flat inks from stencils that do not quite meet; the paper shows at their edges. */
const flatPrint: Finish = (pixels, seed, _ink, paper) => {
  const { width, height } = pixels
  const off = Math.max(1, Math.round(Math.min(width, height) / 300))
  const speckle = noise(1.7, seed)
  const cloud = noise(40, seed + 3)
  const bare = margin(pixels, 0.04, 0, seed)
  const level = (value: number) => Math.round(value / 21.25) * 21.25
  return each(pixels, (i, at, x, y, data, out) => {
    const red = data[(y * width + Math.min(width - 1, x + off)) * 3]!
    const blue = data[(Math.max(0, y - off) * width + x) * 3 + 2]!
    const thin = (speckle(x, y) > 0.86 ? 0.34 : 0) + Math.max(0, cloud(x, y) - 0.72) * 0.5
    const share = Math.max(bare(x, y), Math.min(0.5, thin))
    out[at] = mixInto(level(red), paper[0], share)
      out[at + 1] = mixInto(level(data[at + 1]!), paper[1], share)
      out[at + 2] = mixInto(level(blue), paper[2], share)
  })
}

/** Cut from lino: few inks, one of them nearly black, with the marks of the gouge where the block was cleared. */
const linocut: Finish = (pixels, seed, ink, paper) => {
  const s = scaleOf(pixels)
  const patches = brushed(displaced(pixels, noise(10 * s, seed + 8), noise(10 * s, seed + 9), 4 * s), Math.max(2, Math.round(2.4 * s)))
  const tone = tones(patches)
  const gouge = noise(2.6 * s, seed, 8)
  const speckle = noise(1.8, seed + 5)
  const bare = margin(pixels, 0.045, 5, seed)
  const black = Math.min(88, toneAt(tone, 0.14))
  const white = Math.max(208, toneAt(tone, 0.95))
  return each(patches, (i, at, x, y, data, out) => {
    // Between light and dark the block is half cleared: short strokes of one in the other.
    const key = tone[i]! - (gouge(x, y) - 0.5) * 46 < black
    const cleared = tone[i]! - (gouge(x, y) - 0.5) * 36 > white
    const left = Math.max(bare(x, y), speckle(x, y) > 0.9 ? 0.4 : 0)
    const level = (value: number) => Math.round(value / 42.5) * 42.5
    const channel = (c: Channel) => mixInto(key ? ink[c] : cleared ? paper[c] : mixInto(level(data[at + c]!), data[at + c]!, 0.35), paper[c], left)
    out[at] = channel(0)
      out[at + 1] = channel(1)
      out[at + 2] = channel(2)
  })
}

const photograph: Finish = (pixels, seed) => {
  const { width, height } = pixels
  const glow = bloom(pixels)
  const [cx, cy] = [width / 2, height / 2]
  const far = Math.hypot(cx, cy)
  // A film's curve: shadows held down, highlights rolled off.
  const curve = Float32Array.from({ length: 320 }, (_, v) => {
    const t = Math.min(1, v / 255)
    return 255 * (t < 0.5 ? 2 * t * t * 0.55 + t * 0.45 : 1 - 2 * (1 - t) ** 2 * 0.55 - (1 - t) * 0.45)
  })
  return each(pixels, (_i, at, x, y, data, out) => {
    const away = Math.hypot(x - cx, y - cy) / far - 0.38
    const vignette = away > 0 ? 1 - 0.42 * away ** 1.4 : 1
    const grain = (grainAt(x, y, seed) + grainAt((x >> 1) + 9000, y >> 1, seed) - 1) * 13
    const bright = glow(x, y)
    out[at] = curve[(data[at]! + bright) | 0]! * vignette + grain + 3
    out[at + 1] = curve[(data[at + 1]! + bright) | 0]! * vignette + grain
    out[at + 2] = curve[(data[at + 2]! + bright) | 0]! * vignette + grain + 2
  })
}

/** Light that spills over from what is nearly white, worked out at a quarter of the size; 0 to about 60. */
function bloom({ width, height, data }: Pixels): (x: number, y: number) => number {
  const [w, h] = [Math.ceil(width / 4), Math.ceil(height / 4)]
  const bright = new Float32Array(w * h)
  for (let y = 0; y < h; y++) for (let x = 0; x < w; x++) bright[y * w + x] = Math.max(0, luminance(data, (Math.min(height - 1, y * 4 + 1) * width + Math.min(width - 1, x * 4 + 1)) * 3) - 190) * 0.9
  const spilt = blurred(blurred(bright, w, h, 3), w, h, 3)
  return (x, y) => spilt[(y >> 2) * w + (x >> 2)]!
}

const paperCut: Finish = (pixels, seed) => {
  const fibre = noise(1.4, seed, 2)
  const cloud = noise(9, seed + 2)
  return each(pixels, (i, at, x, y, data, out) => {
    const relief = (fibre(x, y) - 0.5) * 11 + (cloud(x, y) - 0.5) * 9 + (grainAt(x, y, seed) - 0.5) * 8
    out[at] = data[at]! + relief
      out[at + 1] = data[at + 1]! + relief
      out[at + 2] = data[at + 2]! + relief
  })
}

export const FINISHES: Record<Medium, Finish> = {
  gouache: paint(2, 11),
  'oil painting': paint(3, 19),
  watercolour: wash(1),
  'ink wash': wash(0.12),
  engraving: engraved,
  charcoal: drawn,
  'flat print': flatPrint,
  linocut,
  photograph,
  'paper cut': paperCut,
}
