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

/** A mean over a square of 2·radius+1 pixels, by running sums along rows, then columns. */
export function blurred(source: Float32Array, width: number, height: number, radius: number): Float32Array {
  const along = (from: Float32Array, count: number, length: number, step: number, stride: number): Float32Array => {
    const to = new Float32Array(from.length)
    for (let line = 0; line < count; line++) {
      const start = line * stride
      let sum = 0
      for (let k = -radius; k <= radius; k++) sum += from[start + Math.min(length - 1, Math.max(0, k)) * step]!
      for (let i = 0; i < length; i++) {
        to[start + i * step] = sum / (2 * radius + 1)
        sum += from[start + Math.min(length - 1, i + radius + 1) * step]! - from[start + Math.max(0, i - radius) * step]!
      }
    }
    return to
  }
  return along(along(source, height, width, 1, width), width, height, width, 1)
}

/** Noise between 0 and 1 that changes smoothly over `cell` pixels (value noise on a lattice; Perlin 1985 smoothing). */
export function noiseField(width: number, height: number, cell: number, seed: number, stretch = 1): Float32Array {
  const out = new Float32Array(width * height)
  const lattice = (x: number, y: number) => {
    let h = (Math.imul(x, 374761393) + Math.imul(y, 668265263) + Math.imul(seed, 2246822519)) | 0
    h = Math.imul(h ^ (h >>> 13), 1274126177)
    return ((h ^ (h >>> 16)) >>> 0) / 4294967296
  }
  const smooth = (t: number) => t * t * (3 - 2 * t)
  const wide = cell * stretch
  const columns = Math.ceil(width / wide) + 2
  const left = new Int32Array(width)
  const share = new Float32Array(width)
  for (let x = 0; x < width; x++) {
    left[x] = Math.floor(x / wide)
    share[x] = smooth(x / wide - left[x]!)
  }
  let known = -1
  let [upper, lower] = [new Float32Array(columns), new Float32Array(columns)]
  const row = new Float32Array(columns)
  for (let y = 0; y < height; y++) {
    const y0 = Math.floor(y / cell)
    const ty = smooth(y / cell - y0)
    if (y0 !== known) {
      ;[upper, lower] = [lower, upper]
      if (y0 !== known + 1 || known < 0) for (let c = 0; c < columns; c++) upper[c] = lattice(c, y0)
      for (let c = 0; c < columns; c++) lower[c] = lattice(c, y0 + 1)
      known = y0
    }
    for (let c = 0; c < columns; c++) row[c] = upper[c]! + (lower[c]! - upper[c]!) * ty
    const start = y * width
    for (let x = 0; x < width; x++) {
      const at = row[left[x]!]!
      out[start + x] = at + (row[left[x]! + 1]! - at) * share[x]!
    }
  }
  return out
}

/** A speck of noise between 0 and 1 for every pixel by itself. */
export function grainAt(x: number, y: number, seed: number): number {
  let h = (Math.imul(x, 2654435761) ^ Math.imul(y, 1597334677) ^ Math.imul(seed, 974711)) | 0
  h = Math.imul(h ^ (h >>> 15), 2246822519)
  return ((h ^ (h >>> 13)) >>> 0) / 4294967296
}

/** The picture with each pixel fetched from a little way off; offsets in pixels. */
export function displaced({ width, height, data }: Pixels, dx: Float32Array, dy: Float32Array, reach: number): Pixels {
  const out = new Uint8Array(data.length)
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const i = y * width + x
      const sx = Math.min(width - 1, Math.max(0, Math.round(x + (dx[i]! - 0.5) * reach)))
      const sy = Math.min(height - 1, Math.max(0, Math.round(y + (dy[i]! - 0.5) * reach)))
      const [to, from] = [i * 3, (sy * width + sx) * 3]
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
  const sums = [0, 1, 2].map(() => new Float64Array(w1 * (height + 1)))
  const squares = new Float64Array(w1 * (height + 1))
  for (let y = 0; y < height; y++) {
    const row = [0, 0, 0]
    let square = 0
    for (let x = 0; x < width; x++) {
      const i = (y * width + x) * 3
      const light = luminance(data, i)
      square += light * light
      const at = (y + 1) * w1 + x + 1
      for (let c = 0; c < 3; c++) {
        row[c]! += data[i + c]!
        sums[c]![at] = sums[c]![at - w1]! + row[c]!
      }
      squares[at] = squares[at - w1]! + square
    }
  }
  const out = new Uint8Array(data.length)
  const [r, g, b] = sums as [Float64Array, Float64Array, Float64Array]
  for (let y = 0; y < height; y++) {
    const [up, down] = [Math.max(0, y - radius), Math.min(height - 1, y + radius)]
    for (let x = 0; x < width; x++) {
      const [left, right] = [Math.max(0, x - radius), Math.min(width - 1, x + radius)]
      let best = Infinity
      let [br, bg, bb] = [0, 0, 0]
      for (let quarter = 0; quarter < 4; quarter++) {
        const x0 = quarter & 1 ? x : left
        const x1 = quarter & 1 ? right : x
        const y0 = quarter & 2 ? y : up
        const y1 = quarter & 2 ? down : y
        const [p, q, s, t] = [y0 * w1 + x0, y0 * w1 + x1 + 1, (y1 + 1) * w1 + x0, (y1 + 1) * w1 + x1 + 1]
        const count = (x1 - x0 + 1) * (y1 - y0 + 1)
        const mr = (r[t]! - r[q]! - r[s]! + r[p]!) / count
        const mg = (g[t]! - g[q]! - g[s]! + g[p]!) / count
        const mb = (b[t]! - b[q]! - b[s]! + b[p]!) / count
        const mean = 0.2126 * mr + 0.7152 * mg + 0.0722 * mb
        const spread = (squares[t]! - squares[q]! - squares[s]! + squares[p]!) / count - mean * mean
        if (spread < best) {
          best = spread
          ;[br, bg, bb] = [mr, mg, mb]
        }
      }
      const i = (y * width + x) * 3
      out[i] = br
      out[i + 1] = bg
      out[i + 2] = bb
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

export const clamp = (value: number): number => (value < 0 ? 0 : value > 255 ? 255 : value)
