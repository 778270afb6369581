import { putOklab } from './oklab.ts'
import type { Raster } from './raster.ts'

/** One number a pixel, row by row. */
export interface Plane {
  width: number
  height: number
  at: Float32Array
}
export interface LabPlanes {
  l: Plane
  a: Plane
  b: Plane
}

const plane = (width: number, height: number, at = new Float32Array(width * height)): Plane => ({ width, height, at })

export function labPlanes({ width, height, rgb }: Raster): LabPlanes {
  const [l, a, b] = [plane(width, height), plane(width, height), plane(width, height)]
  for (let i = 0, p = 0; i < width * height; i++, p += 3) putOklab(rgb[p]!, rgb[p + 1]!, rgb[p + 2]!, i, l.at, a.at, b.at)
  return { l, a, b }
}

/** Made smaller by means over whole areas, so that its long edge is at most `edge`; a small picture stays as it is. */
export function shrunk(from: Raster, edge: number): Raster {
  const scale = Math.min(1, edge / Math.max(from.width, from.height))
  if (scale === 1) return from
  const width = Math.max(1, Math.round(from.width * scale))
  const height = Math.max(1, Math.round(from.height * scale))
  const rgb = new Uint8Array(width * height * 3)
  const bounds = (n: number, of: number) => Array.from({ length: n + 1 }, (_, i) => Math.floor((i * of) / n))
  const [columns, rows] = [bounds(width, from.width), bounds(height, from.height)]
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [x0, x1, y0, y1] = [columns[x]!, columns[x + 1]!, rows[y]!, rows[y + 1]!]
      let [red, green, blue] = [0, 0, 0]
      for (let v = y0; v < y1; v++)
        for (let i = (v * from.width + x0) * 3, end = (v * from.width + x1) * 3; i < end; i += 3) {
          red += from.rgb[i]!
          green += from.rgb[i + 1]!
          blue += from.rgb[i + 2]!
        }
      const n = (y1 - y0) * (x1 - x0)
      const at = (y * width + x) * 3
      rgb[at] = Math.round(red / n)
      rgb[at + 1] = Math.round(green / n)
      rgb[at + 2] = Math.round(blue / n)
    }
  return { width, height, rgb }
}

/** The mean of a square of `2 * radius + 1` about each pixel; at the border the nearest pixel counts on. By running sums, whatever the radius. */
export function boxBlur(from: Plane, radius: number): Plane {
  const { width, height } = from
  const across = plane(width, height)
  const out = plane(width, height)
  const run = (source: Float32Array, target: Float32Array, start: number, step: number, n: number) => {
    const value = (i: number) => source[start + step * Math.min(n - 1, Math.max(0, i))]!
    let sum = 0
    for (let i = -radius; i <= radius; i++) sum += value(i)
    for (let i = 0; i < n; i++) {
      target[start + step * i] = sum / (2 * radius + 1)
      sum += value(i + radius + 1) - value(i - radius)
    }
  }
  for (let y = 0; y < height; y++) run(from.at, across.at, y * width, 1, width)
  for (let x = 0; x < width; x++) run(across.at, out.at, x, width, height)
  return out
}

/** How steeply a plane rises at each pixel, by central differences; the border has none. */
export function steepness({ width, height, at }: Plane): Plane {
  const out = plane(width, height)
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x
      out.at[i] = Math.hypot(at[i + 1]! - at[i - 1]!, at[i + width]! - at[i - width]!) / 2
    }
  return out
}

export const mean = (values: ArrayLike<number>): number => {
  let sum = 0
  for (let i = 0; i < values.length; i++) sum += values[i]!
  return values.length ? sum / values.length : 0
}

/** The value below which a share of them lies. */
export function quantile(values: ArrayLike<number>, share: number): number {
  const sorted = Float64Array.from(values).sort()
  return sorted[Math.min(sorted.length - 1, Math.max(0, Math.floor(share * sorted.length)))] ?? 0
}
