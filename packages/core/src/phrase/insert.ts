import { FACETS } from '../facets.ts'
import type { Facet } from '../facet.ts'
import type { TextChange } from '../draft/text-change.ts'
import type { Phrase } from '../read/reading.ts'

const place = (facet: Facet) => FACETS.indexOf(facet)

/**
 * Where a new phrase of a facet belongs: after the last phrase of its facet; else after the last phrase of the nearest
 * facet that is written before it; else at the start. In a list it comes between commas, in sentences before the stop.
 * Also gives the range of the new phrase in the changed text.
 */
export function insertPhrase(text: string, phrases: readonly Phrase[], facet: Facet, words: string): { changes: TextChange[]; start: number; end: number } {
  const said = words.trim()
  const earlier = phrases.filter((phrase) => place(phrase.facet) <= place(facet))
  const nearest = earlier.reduce<Phrase | undefined>((best, phrase) => (!best || place(phrase.facet) >= place(best.facet) ? phrase : best), undefined)
  if (nearest) {
    const insert = `, ${said}`
    return { changes: [{ from: nearest.end, to: nearest.end, insert }], start: nearest.end + 2, end: nearest.end + insert.length }
  }
  const first = phrases[0]
  if (first) {
    const lead = /(?:^|[\s("“])((?:an?|the)[ \t]+)$/i.exec(text.slice(0, first.start))?.[1]?.length ?? 0
    const from = first.start - lead
    return { changes: [{ from, to: from, insert: `${said}, ` }], start: from, end: from + said.length }
  }
  const bare = text.trimEnd().length
  const join = bare === 0 ? '' : /[,;:]$/.test(text.slice(0, bare)) ? ' ' : /[.!?]$/.test(text.slice(0, bare)) ? ' ' : ', '
  return { changes: [{ from: bare, to: text.length, insert: join + said }], start: bare + join.length, end: bare + join.length + said.length }
}
