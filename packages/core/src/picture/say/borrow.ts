import type { Mark } from '../../draft/mark-shape.ts'
import type { Facet } from '../../facet.ts'
import { FACETS } from '../../facets.ts'

export interface Borrowed {
  facet: Facet
  text: string
  /** The reference it was read from; the writer's own words have none. */
  reference?: string
}

/**
 * A text that says phrases in writing order with commas between, and marks that keep each to its facet and to the picture it came
 * from. Phrases without a word are left out.
 */
export function borrowedText(phrases: readonly Borrowed[]): { text: string; marks: Mark[] } {
  let text = ''
  const marks: Mark[] = []
  const ordered = FACETS.flatMap((facet) => phrases.filter((one) => one.facet === facet))
  for (const { facet, text: said, reference } of ordered) {
    const words = said.trim().replace(/[,.;\s]+$/, '')
    if (words === '') continue
    if (text) text += ', '
    const from = text.length
    text += words
    const range = { from, to: text.length }
    marks.push({ ...range, kind: 'facet', facet })
    if (reference) marks.push({ ...range, kind: 'from', source: { type: 'reference', id: reference } })
  }
  return { text, marks }
}
