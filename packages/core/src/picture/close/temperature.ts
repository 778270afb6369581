import type { Respect } from './closeness.ts'
import { meanOf } from './colours.ts'

/** So far apart on the axis from orange to blue, in OKLab, one is warm and the other cool. */
const APART = 0.12
const SAME = 0.012

export const temperatureCloseness: Respect = (reference, proof) => {
  const [own, its] = [meanOf(reference.palette), meanOf(proof.palette)]
  if (!own || !its) return undefined
  const off = its.warm - own.warm
  const close = 1 - Math.abs(off) / APART
  if (Math.abs(off) < SAME) return { close, says: 'as warm as the reference', closing: [] }
  const towards = off > 0 ? 'cool' : 'warm'
  // A cool reference is not come closer to by words that ask for warmth, though the proof is cooler still.
  const against = reference.temperature === (off > 0 ? 'warm' : 'cool')
  return { close, says: off > 0 ? 'warmer than the reference' : 'cooler than the reference', closing: against ? [] : [{ facet: 'colour', say: `${towards} colours` }] }
}
