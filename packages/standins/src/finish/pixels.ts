/** A picture as it is worked on after drawing: RGB, one byte each, row by row. */
export interface Pixels {
  width: number
  height: number
  data: Uint8Array
}

export const luminance = (data: Uint8Array, at: number): number => 0.2126 * data[at]! + 0.7152 * data[at + 1]! + 0.0722 * data[at + 2]!

/** Lightness of every pixel, 0 to 255. */
export function tones({ width, height, data }: Pixels): Float32Array {
  const out = new Float32Array(width * height)
  for (let i = 0; i < out.length; i++) out[i] = luminance(data, i * 3)
  return out
}

/** A mean over a square of 2·radius+1 pixels, by running sums along rows, then down columns. */
export function blurred(source: Float32Array, width: number, height: number, radius: number): Float32Array {
  const span = 2 * radius + 1
  const rows = new Float32Array(source.length)
  for (let y = 0; y < height; y++) {
    const start = y * width
    let sum = 0
    for (let k = -radius; k <= radius; k++) sum += source[start + Math.min(width - 1, Math.max(0, k))]!
    for (let x = 0; x < width; x++) {
      rows[start + x] = sum / span
      sum += source[start + Math.min(width - 1, x + radius + 1)]! - source[start + Math.max(0, x - radius)]!
    }
  }
  // Down the columns row by row, all columns at once.
  const out = new Float32Array(source.length)
  const sums = new Float32Array(width)
  for (let k = -radius; k <= radius; k++) {
    const start = Math.min(height - 1, Math.max(0, k)) * width
    for (let x = 0; x < width; x++) sums[x] = sums[x]! + rows[start + x]!
  }
  for (let y = 0; y < height; y++) {
    const start = y * width
    const next = Math.min(height - 1, y + radius + 1) * width
    const last = Math.max(0, y - radius) * width
    for (let x = 0; x < width; x++) {
      out[start + x] = sums[x]! / span
      sums[x] = sums[x]! + rows[next + x]! - rows[last + x]!
    }
  }
  return out
}

/** Side of a tile of noise; tiles join at their edges. */
const TILE = 512
const tiles = new Map<string, Float32Array>()

/** One tile of noise that changes smoothly over `across` columns and `down` rows of its lattice (value noise; smoothing of Perlin 1985). */
function tileOf(across: number, down: number): Float32Array {
  const key = `${across} ${down}`
  const known = tiles.get(key)
  if (known) return known
  const lattice = (x: number, y: number) => {
    let h = (Math.imul(x % across, 374761393) + Math.imul(y % down, 668265263) + Math.imul(across * 31 + down, 1274126177)) | 0
    h = Math.imul(h ^ (h >>> 13), 1274126177)
    return ((h ^ (h >>> 16)) >>> 0) / 4294967296
  }
  const smooth = (t: number) => t * t * (3 - 2 * t)
  const tile = new Float32Array(TILE * TILE)
  for (let y = 0; y < TILE; y++) {
    const fy = (y * down) / TILE
    const y0 = Math.floor(fy)
    const ty = smooth(fy - y0)
    for (let x = 0; x < TILE; x++) {
      const fx = (x * across) / TILE
      const x0 = Math.floor(fx)
      const tx = smooth(fx - x0)
      const top = lattice(x0, y0) * (1 - tx) + lattice(x0 + 1, y0) * tx
      const bottom = lattice(x0, y0 + 1) * (1 - tx) + lattice(x0 + 1, y0 + 1) * tx
      tile[y * TILE + x] = top * (1 - ty) + bottom * ty
    }
  }
  tiles.set(key, tile)
  return tile
}

export type Noise = (x: number, y: number) => number

/** Noise between 0 and 1 that changes smoothly over `cell` pixels, `stretch` times as far along a row; the seed says from where it is taken. */
export function noise(cell: number, seed: number, stretch = 1): Noise {
  const tile = tileOf(Math.max(1, Math.round(TILE / (cell * stretch))), Math.max(1, Math.round(TILE / cell)))
  const ox = Math.imul(seed, 7919) & (TILE - 1)
  const oy = (Math.imul(seed, 104729) >>> 9) & (TILE - 1)
  return (x, y) => tile[((y + oy) & (TILE - 1)) * TILE + ((x + ox) & (TILE - 1))]!
}

/** A speck of noise between 0 and 1 for every pixel by itself. */
export function grainAt(x: number, y: number, seed: number): number {
  let h = (Math.imul(x, 2654435761) ^ Math.imul(y, 1597334677) ^ Math.imul(seed, 974711)) | 0
  h = Math.imul(h ^ (h >>> 15), 2246822519)
  return ((h ^ (h >>> 13)) >>> 0) / 4294967296
}

/** The picture with each pixel fetched from a little way off; `reach` in pixels. */
export function displaced({ width, height, data }: Pixels, dx: Noise, dy: Noise, reach: number): Pixels {
  const out = new Uint8Array(data.length)
  for (let y = 0, to = 0; y < height; y++) {
    for (let x = 0; x < width; x++, to += 3) {
      const sx = Math.min(width - 1, Math.max(0, Math.round(x + (dx(x, y) - 0.5) * reach)))
      const sy = Math.min(height - 1, Math.max(0, Math.round(y + (dy(x, y) - 0.5) * reach)))
      const from = (sy * width + sx) * 3
      out[to] = data[from]!
      out[to + 1] = data[from + 1]!
      out[to + 2] = data[from + 2]!
    }
  }
  return { width, height, data: out }
}

/** Patches as a brush leaves them: each pixel takes the mean of the calmest quarter round it (Kuwahara et al. 1976), by tables of sums. */
export function brushed({ width, height, data }: Pixels, radius: number): Pixels {
  const w1 = width + 1
  const size = w1 * (height + 1)
  const [r, g, b, light] = [new Int32Array(size), new Int32Array(size), new Int32Array(size), new Int32Array(size)]
  const squares = new Float64Array(size)
  for (let y = 0, i = 0; y < height; y++) {
    let [sr, sg, sb, sl, ss] = [0, 0, 0, 0, 0]
    for (let x = 0; x < width; x++, i += 3) {
      const [dr, dg, db] = [data[i]!, data[i + 1]!, data[i + 2]!]
      const l = (dr * 54 + dg * 183 + db * 19) >> 8
      sr += dr
      sg += dg
      sb += db
      sl += l
      ss += l * l
      const at = (y + 1) * w1 + x + 1
      r[at] = r[at - w1]! + sr
      g[at] = g[at - w1]! + sg
      b[at] = b[at - w1]! + sb
      light[at] = light[at - w1]! + sl
      squares[at] = squares[at - w1]! + ss
    }
  }
  const out = new Uint8Array(data.length)
  for (let y = 0, i = 0; y < height; y++) {
    const up = Math.max(0, y - radius) * w1
    const down = (Math.min(height - 1, y + radius) + 1) * w1
    const [own, next] = [y * w1, (y + 1) * w1]
    for (let x = 0; x < width; x++, i += 3) {
      const left = Math.max(0, x - radius)
      const right = Math.min(width - 1, x + radius) + 1
      let least = Infinity
      let [p, q, s, t, count] = [0, 0, 0, 0, 1]
      for (let quarter = 0; quarter < 4; quarter++) {
        const x0 = quarter & 1 ? x : left
        const x1 = quarter & 1 ? right : x + 1
        const y0 = quarter & 2 ? own : up
        const y1 = quarter & 2 ? down : next
        const pixels = ((x1 - x0) * (y1 - y0)) / w1
        const sum = light[y1 + x1]! - light[y0 + x1]! - light[y1 + x0]! + light[y0 + x0]!
        const spread = (squares[y1 + x1]! - squares[y0 + x1]! - squares[y1 + x0]! + squares[y0 + x0]!) / pixels - (sum / pixels) ** 2
        if (spread < least) {
          least = spread
          p = y0 + x0
          q = y0 + x1
          s = y1 + x0
          t = y1 + x1
          count = pixels
        }
      }
      out[i] = (r[t]! - r[q]! - r[s]! + r[p]!) / count
      out[i + 1] = (g[t]! - g[q]! - g[s]! + g[p]!) / count
      out[i + 2] = (b[t]! - b[q]! - b[s]! + b[p]!) / count
    }
  }
  return { width, height, data: out }
}

/** How strongly lightness changes at each pixel, 0 to about 1 (central differences). */
export function edges(tone: Float32Array, width: number, height: number): Float32Array {
  const out = new Float32Array(tone.length)
  for (let y = 1; y < height - 1; y++) {
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x
      out[i] = Math.min(1, Math.hypot(tone[i + 1]! - tone[i - 1]!, tone[i + width]! - tone[i - width]!) / 120)
    }
  }
  return out
}

