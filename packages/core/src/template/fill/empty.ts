import { articleFor } from '../../english/article.ts'
import { CLOSE, EMPTY, LEADS, OPEN, STARTS } from './signs.ts'

/** What says that something is, or is written: without it nothing is said. */
const SAYS = 'is|are|was|were|reads?|says?|shows?|spells?|features?|saying|reading'
const QUOTED = new RegExp(`["“'‘]\\s*${EMPTY}\\s*["”'’]`, 'u')
const SAID = new RegExp(`\\b(?:${SAYS})\\s+(?:(?:${LEADS})\\s+)*${EMPTY}\\s*(?=[,;.!?\\n]|$)`, 'iu')
const LEADING = new RegExp(`(?:\\b(?:${LEADS})\\s+)+${EMPTY}(?=\\s*(?:[,;:.!?\\n]|$|(?:${STARTS})\\b|${EMPTY}))`, 'giu')
const BOUND = /[,;\n]|[.!?](?=\s|$)/uy
function isBound(text: string, at: number): boolean {
  BOUND.lastIndex = at
  return BOUND.test(text)
}

/** Takes away the part of the list, or the sentence, that a place lies in; undefined when something is filled in there. */
function withoutPart(text: string, at: number): string | undefined {
  let from = at
  while (from > 0 && !isBound(text, from - 1)) from--
  let to = at
  while (to < text.length && !isBound(text, to)) to++
  return text.slice(from, to).includes(OPEN) ? undefined : `${text.slice(0, from)}${EMPTY}${text.slice(to)}`
}

/**
 * Closes a text up over slots that were left empty: what led to them, a comma too many, quotes around nothing and a sentence that
 * said only them go with them; “an” before the next word is mended.
 */
export function closedUp(filled: string): string {
  let text = filled
  if (!text.includes(EMPTY)) return text
  for (const pattern of [QUOTED, SAID]) {
    for (let match = pattern.exec(text); match; match = pattern.exec(text)) {
      const without = withoutPart(text, match.index)
      text = without ?? text.replace(pattern, EMPTY)
    }
  }
  let before = ''
  while (before !== text) {
    before = text
    text = text
      .replace(new RegExp(`${EMPTY}\\s+${EMPTY}`, 'gu'), EMPTY)
      .replace(LEADING, EMPTY)
      // “fox, and”, “fox, , gouache”, “fox, .”
      .replace(new RegExp(`,\\s*${EMPTY}\\s+(and|or)\\b`, 'giu'), ' $1')
      .replace(new RegExp(`(^|[.!?,;:\\n]\\s*|\\b(?:${LEADS})\\s+)${EMPTY}\\s+(?:and|or)\\s+`, 'giu'), '$1')
      .replace(new RegExp(`[ \\t]*[,;]\\s*${EMPTY}\\s*(?=[,;.!?]|$)`, 'gu'), '')
      .replace(new RegExp(`^\\s*${EMPTY}\\s*[,;.!?:]*\\s*`, 'u'), '')
      .replace(new RegExp(`([.!?:\\n])(\\s*)${EMPTY}\\s*[,;.!?]+`, 'gu'), '$1')
  }
  return text
    .replace(new RegExp(`\\b(an?)(\\s+)${EMPTY}\\s+(${OPEN}?)([\\p{L}\\p{N}]+)`, 'giu'), (_, article: string, space: string, open: string, word: string) => `${cased(articleFor(word), article)}${space}${open}${word}`)
    .replace(new RegExp(`[ \\t]+${EMPTY}(?=[ \\t]|[,;:.!?\\n)]|$)|${EMPTY}[ \\t]*`, 'gu'), '')
    .replace(new RegExp(`([^\\s])[ \\t]+(?=${CLOSE})`, 'gu'), '$1')
    .trim()
}

const cased = (article: string, like: string): string => (/^\p{Lu}/u.test(like) ? article[0]!.toUpperCase() + article.slice(1) : article)
