import type { Respect } from './closeness.ts'
import { phraseFor } from './colours.ts'

const wordsOf = (text: string) => new Set(text.toLowerCase().split(/[^\p{L}\p{N}]+/u).filter((word) => word.length > 1))

export const letteringCloseness: Respect = (reference, proof) => {
  if (reference.lettering.present === null || proof.lettering.present === null) return undefined
  if (!reference.lettering.present) return proof.lettering.present ? { close: 0, says: 'lettering that the reference has not', closing: [{ leaveOut: 'lettering' }] } : undefined
  const [own, its] = [wordsOf(reference.lettering.text), wordsOf(proof.lettering.text)]
  const both = [...own].filter((word) => its.has(word)).length
  const phrase = phraseFor(reference, 'lettering')
  return { close: own.size ? both / own.size : proof.lettering.present ? 1 : 0, says: `${both} of its ${own.size} words`, closing: both < own.size && phrase ? [{ facet: 'lettering', say: phrase.text }] : [] }
}
