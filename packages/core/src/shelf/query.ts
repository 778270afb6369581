import { FACETS } from '../facets.ts'
import type { Facet } from '../facet.ts'

/** What is looked for on the Shelf: words anywhere, and terms that a facet says. */
export interface ShelfWords {
  words: string[]
  said: { facet: Facet; words: string[] }[]
}

const MOST = 12
const FACET = new RegExp(`(?:^|[\\s,;])(${FACETS.join('|')})\\s*:\\s*`, 'giu')
const wordsOf = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []

/** Reads what was typed: “fox, light: rim light” is the word fox anywhere and rim light as what the light says. A term ends at a comma or at the next facet. */
export function shelfWords(typed: string): ShelfWords {
  const marks = [...typed.matchAll(FACET)]
  const said: ShelfWords['said'] = []
  let rest = typed.slice(0, marks[0]?.index ?? typed.length)
  marks.forEach((mark, i) => {
    const from = mark.index + mark[0].length
    const until = marks[i + 1]?.index ?? typed.length
    const end = /[,;]/u.exec(typed.slice(from, until))?.index
    const words = wordsOf(typed.slice(from, end === undefined ? until : from + end))
    if (words.length) said.push({ facet: mark[1]!.toLowerCase() as Facet, words: words.slice(0, MOST) })
    if (end !== undefined) rest += ` ${typed.slice(from + end, until)}`
  })
  return { words: wordsOf(rest).slice(0, MOST), said: said.slice(0, MOST) }
}
