import type { WordTable } from '../../read/words/word-table.ts'
import { CLOSE, OPEN } from './signs.ts'

const VALUE = new RegExp(`${OPEN}([^${CLOSE}]*)${CLOSE}`, 'gu')
const upper = (text: string) => text.replace(/\p{L}/u, (letter) => letter.toUpperCase())
const lower = (text: string) => text.replace(/\p{L}/u, (letter) => letter.toLowerCase())

/** Whether a value begins with a capital only because it was written as a sentence: no name, the rest in small letters. */
function writtenAsSentence(value: string, words: WordTable): boolean {
  const [first = ''] = /^\p{Lu}\p{Ll}*/u.exec(value) ?? []
  return first !== '' && first.length < value.length && !/\p{Lu}/u.test(value.slice(first.length)) && (first === 'A' || words.find(first.toLowerCase()) !== undefined)
}

/** Values at the beginning of a sentence with a capital, others without one that only a sentence would want. Words in quotes stay as they are. */
export function withCapitals(text: string, sentences: boolean, words: WordTable): string {
  const whole = sentences && /^[^\p{L}\p{N}\uE001]*\p{Ll}/u.test(text) ? upper(text) : text
  return whole.replace(VALUE, (match: string, value: string, at: number) => {
    const before = whole.slice(0, at).replaceAll(OPEN, '').replaceAll(CLOSE, '')
    if (/["“'‘]\s*$/u.test(before)) return match
    const begins = /(?:^|[.!?]\s+|\n\s*)$/u.test(before)
    if (begins) return sentences ? `${OPEN}${upper(value)}${CLOSE}` : match
    return writtenAsSentence(value, words) ? `${OPEN}${lower(value)}${CLOSE}` : match
  })
}
