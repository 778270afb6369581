import { printApart, PRINT_BITS } from '../print.ts'
import type { Respect } from './closeness.ts'
import { phraseFor } from './colours.ts'

const TONES = 32
/** Windows of this side, moved on by half of it. */
const WINDOW = 8
/** Constants that keep a flat window from dividing by nothing, as the source has them for tones from 0 to 99. */
const [C1, C2] = [(0.01 * 99) ** 2, (0.03 * 99) ** 2]
/** Prints of pictures that have nothing to do with one another differ in about half their bits. */
const UNRELATED = 0.5
const FOLLOW = 60

/** How alike light and dark lie, window by window: the structural similarity of Wang, Bovik, Sheikh & Simoncelli (2004), from -1 to 1. */
export function structureAlike(x: readonly number[], y: readonly number[]): number {
  let [sum, windows] = [0, 0]
  for (let row = 0; row + WINDOW <= TONES; row += WINDOW / 2)
    for (let column = 0; column + WINDOW <= TONES; column += WINDOW / 2) {
      let [mx, my, xx, yy, xy] = [0, 0, 0, 0, 0]
      for (let v = row; v < row + WINDOW; v++)
        for (let u = column; u < column + WINDOW; u++) {
          const [p, q] = [x[v * TONES + u]!, y[v * TONES + u]!]
          mx += p
          my += q
          xx += p * p
          yy += q * q
          xy += p * q
        }
      const n = WINDOW ** 2
      mx /= n
      my /= n
      const [vx, vy, cov] = [xx / n - mx * mx, yy / n - my * my, xy / n - mx * my]
      sum += ((2 * mx * my + C1) * (2 * cov + C2)) / ((mx * mx + my * my + C1) * (vx + vy + C2))
      windows++
    }
  return sum / windows
}

/** The whole at a glance: where light and dark lie, by structure and by a perceptual print. */
export const layoutCloseness: Respect = (reference, proof) => {
  const [own, its] = [reference.where.tones, proof.where.tones]
  if (own.length !== TONES ** 2 || its.length !== TONES ** 2) return undefined
  const alike = structureAlike(own, its)
  const apart = printApart(own, its)
  const close = (Math.max(0, alike) + Math.max(0, 1 - apart / (UNRELATED * PRINT_BITS))) / 2
  const said = ['side', 'space'].flatMap((evidence) => phraseFor(reference, evidence) ?? [])
  const has = new Set(proof.phrases.map(({ text }) => text))
  return {
    close,
    says: `light and dark lie ${Math.round(Math.max(0, alike) * 100)} % alike; ${apart} of ${PRINT_BITS} bits of its print differ`,
    closing: close > 0.85 ? [] : [{ follow: 'layout', strength: FOLLOW }, ...said.filter(({ text }) => !has.has(text)).map(({ facet, text }) => ({ facet, say: text }))],
  }
}
