import { chromaOf, hexOf, type Lab } from '../oklab.ts'
import { colourName } from '../colour-name.ts'
import type { PaletteColour } from '../shape.ts'
import type { View } from '../view.ts'

const EDGE = 256
const SAMPLES = 16_000
const GRID = 0.035
const SEEDS = 10
const ROUNDS = 12
/** Closer colours than this are one in a palette. */
const ALIKE = 0.085
const MOST = 8
/** A share that counts, and one that does where it is vivid. */
const ENOUGH = 0.025
const VIVID_ENOUGH = 0.008
const VIVID = 0.11

interface Heap {
  lab: Lab
  n: number
}
const apart = (x: Lab, y: Lab) => (x[0] - y[0]) ** 2 + (x[1] - y[1]) ** 2 + (x[2] - y[2]) ** 2
const nearest = (lab: Lab, centres: readonly Heap[]) => centres.reduce((best, centre, i) => (apart(lab, centre.lab) < apart(lab, centres[best]!.lab) ? i : best), 0)
const joined = (heaps: readonly Heap[]): Heap => {
  const n = heaps.reduce((sum, heap) => sum + heap.n, 0)
  const of = (axis: 0 | 1 | 2) => heaps.reduce((sum, heap) => sum + heap.lab[axis] * heap.n, 0) / n
  return { lab: [of(0), of(1), of(2)], n }
}

/** Pixels in heaps of nearly one colour: what the clusters are made of. */
function heapsOf(view: View): Heap[] {
  const { l, a, b } = view.at(EDGE)
  const step = Math.max(1, Math.floor(l.at.length / SAMPLES))
  const cells = new Map<number, { l: number; a: number; b: number; n: number }>()
  for (let i = Math.floor(step / 2); i < l.at.length; i += step) {
    const [x, y, z] = [l.at[i]!, a.at[i]!, b.at[i]!]
    const key = (Math.floor(x / GRID) * 64 + Math.floor((y + 0.5) / GRID)) * 64 + Math.floor((z + 0.5) / GRID)
    const cell = cells.get(key) ?? { l: 0, a: 0, b: 0, n: 0 }
    cell.l += x
    cell.a += y
    cell.b += z
    cell.n++
    cells.set(key, cell)
  }
  return [...cells.values()].map(({ l: x, a: y, b: z, n }) => ({ lab: [x / n, y / n, z / n], n }))
}

/**
 * The picture's colours by share, most first, at most eight: k-means in OKLab over heaps of like pixels, begun from colours that
 * are common and far from those begun with, then clusters merged that the eye takes for one.
 */
export function palette(view: View): PaletteColour[] {
  const heaps = heapsOf(view)
  const total = heaps.reduce((sum, { n }) => sum + n, 0)
  let centres: Heap[] = []
  while (centres.length < Math.min(SEEDS, heaps.length)) {
    const want = (heap: Heap) => heap.n * (centres.length ? Math.min(...centres.map(({ lab }) => apart(lab, heap.lab))) : 1)
    const next = heaps.reduce((best, heap) => (want(heap) > want(best) ? heap : best), heaps[0]!)
    if (centres.length && want(next) === 0) break
    centres.push(next)
  }
  for (let round = 0; round < ROUNDS; round++) {
    const groups = centres.map((): Heap[] => [])
    for (const heap of heaps) groups[nearest(heap.lab, centres)]!.push(heap)
    centres = groups.filter((group) => group.length).map(joined)
  }
  for (;;) {
    let pair: [number, number] | undefined
    let least = ALIKE ** 2
    for (let i = 0; i < centres.length; i++)
      for (let j = i + 1; j < centres.length; j++) {
        const distance = apart(centres[i]!.lab, centres[j]!.lab)
        if (distance < least) [least, pair] = [distance, [i, j]]
      }
    if (!pair) break
    const [i, j] = pair
    centres = [...centres.filter((_, k) => k !== i && k !== j), joined([centres[i]!, centres[j]!])]
  }
  return centres
    .filter(({ lab, n }) => n / total >= (chromaOf(lab) > VIVID ? VIVID_ENOUGH : ENOUGH))
    .sort((x, y) => y.n - x.n)
    .slice(0, MOST)
    .map(({ lab, n }) => ({ hex: hexOf(lab), name: colourName(lab), share: Math.round((n / total) * 1000) / 1000 }))
}
