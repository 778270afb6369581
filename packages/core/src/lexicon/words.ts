import type { TextRange } from '../text-range.ts'
import { formsOf } from './forms.ts'

/** A word of a text as the lexicon sees it: hyphens part words, and a number stands apart from its unit. */
export interface LexicalWord extends TextRange {
  lower: string
  /** The word and what it may be a form of. */
  forms: readonly string[]
  /** Its value, where it is a number. */
  number: number | undefined
  /** What stands between it and the word before: nothing or spaces, a hyphen, or a mark that parts them. */
  gap: 'space' | 'hyphen' | 'mark'
}

const WORD = /[ƒfF]\/(?=\d)|1\/(?=\d)|\d+(?:\.\d+)?|[\p{L}\p{M}]+(?:['’](?!s(?![\p{L}\p{M}]))[\p{L}\p{M}]+)*/gu
/** What ends the word of an owner: “day’s end”. */
const OWNER = /^['’][sS](?![\p{L}\p{M}])|^['’](?=\s)/u

/** The words of a text, in order; offsets are UTF-16 code units. Any text may be given. */
export function lexicalWords(text: string): LexicalWord[] {
  const found: LexicalWord[] = []
  let last = 0
  for (const match of text.matchAll(WORD)) {
    const [said] = match
    // The ending is not a word of its own.
    if (match.index === last + 1 && OWNER.test(text.slice(last, last + 3)) && /^[sS]$/.test(said)) {
      last = match.index + 1
      continue
    }
    const lower = said.toLowerCase().replace('’', "'")
    const between = text.slice(last, match.index).replace(OWNER, '')
    const number = /^\d/.test(said) && !said.includes('/') ? Number(said) : undefined
    found.push({ start: match.index, end: match.index + said.length, lower, forms: formsOf(lower), number, gap: /^\s*$/.test(between) ? 'space' : /^[\s-]+$/.test(between) ? 'hyphen' : 'mark' })
    last = match.index + said.length
  }
  return found
}

/** Plain words as a term of the matcher: “e-reader” as “e reader”. */
export const asTerm = (words: string): string => lexicalWords(words.toLowerCase()).map(({ lower }) => lower).join(' ')
