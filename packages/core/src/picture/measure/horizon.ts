import { type Plane, steepness } from '../planes.ts'
import type { View } from '../view.ts'

const EDGE = 192
/** What lies above and below a line is compared over so many rows. */
const BAND = 4
/** A step in colour that counts, and the share of columns that must show it, all of the same kind. */
const STEP = 0.045
const ALONG = 0.8
/** The whole above must differ from the whole below by this. */
const REGIONS = 0.06
/** A step that is the edge of a stripe leaves less than this share of itself between the whole above and the whole below. */
const LASTING = 0.45
/** Tilts that are tried, in degrees. */
const TILTS = [-5, -3, -1.5, 0, 1.5, 3, 5] as const
/** A sky is calm: so steep is it at most, on the mean; and calmer than the ground, or lighter by this much. */
const CALM = 0.0235
const LIGHTER = 0.08
/** Another line as good this far away, and it is not known which is the horizon. */
const RIVAL = 0.08

export interface Horizon {
  /** In the middle of the picture, as a share of its height from the top. */
  y: number
  /** Degrees, clockwise. */
  tilt: number
  /** Share of the picture's width along which it is seen. */
  along: number
}

/** Sums down each column, so that the mean of any stretch of it is two look-ups. */
function columnSums({ width, height, at }: Plane): Float64Array {
  const sums = new Float64Array(width * (height + 1))
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) sums[(y + 1) * width + x] = sums[y * width + x]! + at[y * width + x]!
  return sums
}

/** The line across a picture above which all is otherwise than below; undefined where there is none, or more than one. */
export function horizon(view: View): Horizon | undefined {
  const { l, a, b } = view.at(EDGE)
  const { width, height } = l
  if (height < 6 * BAND || width < 24) return undefined
  const sums = [l, a, b].map(columnSums)
  /** How the mean of one stretch of a column differs from that of the stretch above it, on one axis. */
  const step = (sum: Float64Array, x: number, from: number, y: number, to: number) => (sum[to * width + x]! - sum[y * width + x]!) / (to - y) - (sum[y * width + x]! - sum[from * width + x]!) / (y - from)
  const found: (Horizon & { score: number })[] = []
  for (const tilt of TILTS) {
    const slope = Math.tan((tilt * Math.PI) / 180)
    for (let y0 = Math.ceil(height * 0.12); y0 < height * 0.86; y0++) {
      const line = Array.from({ length: width }, (_, x) => Math.round(y0 + slope * (x - width / 2)))
      const columns = line.flatMap((y, x) => (y >= BAND && y <= height - BAND ? x : []))
      if (columns.length < width * 0.9) continue
      const near = sums.map((sum) => meanOver(columns, (x) => step(sum, x, line[x]! - BAND, line[x]!, line[x]! + BAND)))
      const length = Math.hypot(...near)
      if (length < STEP) continue
      const regions = Math.hypot(...sums.map((sum) => meanOver(columns, (x) => step(sum, x, 0, line[x]!, height))))
      if (regions < Math.max(REGIONS, LASTING * length)) continue
      const along = meanOver(columns, (x) => {
        let [own, both] = [0, 0]
        for (const [i, sum] of sums.entries()) {
          const here = step(sum, x, line[x]! - BAND, line[x]!, line[x]! + BAND)
          own += here * here
          both += here * near[i]!
        }
        return Math.sqrt(own) > STEP && both > 0.7 * Math.sqrt(own) * length ? 1 : 0
      })
      if (along >= ALONG) found.push({ y: y0 / height, tilt, along, score: along * Math.min(length, 0.25) * Math.min(regions, 0.25) })
    }
  }
  const best = found.reduce<(typeof found)[number] | undefined>((most, one) => (!most || one.score > most.score ? one : most), undefined)
  if (!best || found.some(({ y, score }) => Math.abs(y - best.y) > RIVAL && score > 0.7 * best.score)) return undefined
  return underSky(l, best.y) ? { y: best.y, tilt: best.tilt, along: best.along } : undefined
}

/** Whether what is above a line may be a sky: calmer than what is below, or not much less calm and lighter. */
function underSky(l: Plane, y: number): boolean {
  const steep = steepness(l)
  const of = ({ at }: Plane, from: number, to: number) => {
    let sum = 0
    for (let i = from * l.width; i < to * l.width; i++) sum += at[i]!
    return sum / Math.max(1, (to - from) * l.width)
  }
  const row = Math.round(y * l.height)
  const [above, below] = [of(steep, 1, row), of(steep, row, l.height - 1)]
  return above < CALM && (above < 0.8 * below || (above < 1.3 * below && of(l, 0, row) > of(l, row, l.height) + LIGHTER))
}

function meanOver(columns: readonly number[], value: (x: number) => number): number {
  let sum = 0
  for (const x of columns) sum += value(x)
  return sum / columns.length
}
