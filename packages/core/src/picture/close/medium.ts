import type { Respect } from './closeness.ts'
import { phraseFor } from './colours.ts'

export const mediumCloseness: Respect = (reference, proof) => {
  if (reference.medium === null || proof.medium === null) return undefined
  const same = reference.medium === proof.medium
  const own = phraseFor(reference, 'medium')
  return { close: same ? 1 : 0, says: same ? 'the same kind of picture' : `a ${proof.medium}, not a ${reference.medium}`, closing: same || !own ? [] : [{ facet: 'medium', say: own.text }] }
}
