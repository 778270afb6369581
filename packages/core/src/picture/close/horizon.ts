import type { Respect } from './closeness.ts'
import { phraseFor } from './colours.ts'

const APART = 0.4
const SAME = 0.05

export const horizonCloseness: Respect = (reference, proof) => {
  if (reference.horizon === null || proof.horizon === null) return undefined
  const off = proof.horizon - reference.horizon
  const phrase = phraseFor(reference, 'horizon')
  const same = Math.abs(off) < SAME
  return { close: 1 - Math.abs(off) / APART, says: same ? 'at the same height' : `${Math.round(Math.abs(off) * 100)} % of the height too ${off > 0 ? 'low' : 'high'}`, closing: same || !phrase ? [] : [{ facet: 'framing', say: phrase.text }] }
}
