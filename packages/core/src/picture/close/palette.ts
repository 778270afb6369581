import { labOf } from '../oklab.ts'
import type { PaletteColour } from '../shape.ts'
import type { Respect } from './closeness.ts'
import { phraseFor } from './colours.ts'

/** So far apart in OKLab, on the mean, palettes have nothing of one another. */
const APART = 0.3
const FOLLOW = 80

/**
 * How far one palette's colours have to be moved to become the other's, in OKLab: shares are moved between the nearest colours
 * first (a greedy transport; the earth mover's distance of Rubner, Tomasi & Guibas 2000 is at most this).
 */
export function paletteDistance(from: readonly PaletteColour[], to: readonly PaletteColour[]): number {
  const shares = (palette: readonly PaletteColour[]) => {
    const all = palette.reduce((sum, { share }) => sum + share, 0)
    return palette.map(({ share }) => share / all)
  }
  const [left, right] = [shares(from), shares(to)]
  const [a, b] = [from.map(({ hex }) => labOf(hex)), to.map(({ hex }) => labOf(hex))]
  const pairs = a.flatMap((x, i) => b.map((y, j) => ({ i, j, apart: Math.hypot(x[0] - y[0], x[1] - y[1], x[2] - y[2]) }))).sort((x, y) => x.apart - y.apart)
  let moved = 0
  for (const { i, j, apart } of pairs) {
    const share = Math.min(left[i]!, right[j]!)
    left[i]! -= share
    right[j]! -= share
    moved += share * apart
  }
  return moved
}

export const paletteCloseness: Respect = (reference, proof) => {
  if (reference.palette.length === 0 || proof.palette.length === 0) return undefined
  const distance = paletteDistance(reference.palette, proof.palette)
  const own = phraseFor(reference, 'palette')
  return { close: 1 - distance / APART, says: `its colours lie ${distance.toFixed(2)} apart in OKLab, on the mean`, closing: [...(own ? [{ facet: own.facet, say: own.text }] : []), { follow: 'palette', strength: FOLLOW }] }
}
