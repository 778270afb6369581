import { isPlural, pluralOf, singularOf } from '../../english/noun.ts'
import { openingVerb, thirdPersonOf } from '../../english/verb.ts'
import type { WordTable } from '../../read/words/word-table.ts'
import { isFunctionWord } from '../../read/words/function-words.ts'
import { CLOSE, OPEN } from './signs.ts'

const ONE = /^(?:an?|one|1|a single|a lone)$/iu
const MANY = /^(?:two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|twenty|a dozen|dozens of|a pair of|several|many|a few|some|both|[2-9]|\d{2,})$/iu
const COUNTED = new RegExp(`${OPEN}([^${CLOSE}]*)${CLOSE}(\\s+)(${OPEN}?)([^${OPEN}${CLOSE},;.!?:\\n]+)`, 'gu')

/** The place of the noun in the words that follow a number: the last before a comma or a word that begins something new. */
function nounIn(after: string): { at: number; word: string } | undefined {
  let noun: { at: number; word: string } | undefined
  for (const match of after.matchAll(/[\p{L}'’-]+/gu)) {
    if (isFunctionWord(match[0].toLowerCase()) || (noun && /ing$/.test(match[0]))) break
    noun = { at: match.index, word: match[0] }
  }
  return noun
}

/** Nouns after a number that was filled in, one or many as it says: “three foxes”. */
export function withCounts(text: string): string {
  return text.replace(COUNTED, (whole, value: string, space: string, open: string, after: string) => {
    const [one, many] = [ONE.test(value.trim()), MANY.test(value.trim())]
    const noun = one || many ? nounIn(after) : undefined
    if (!noun) return whole
    const lower = noun.word.toLowerCase()
    const single = singularOf(lower)
    const right = one ? single : single === lower ? pluralOf(lower) : lower
    return right === lower ? whole : `${OPEN}${value}${CLOSE}${space}${open}${after.slice(0, noun.at)}${right}${after.slice(noun.at + noun.word.length)}`
  })
}

const BE: Readonly<Record<string, readonly [one: string, many: string]>> = { is: ['is', 'are'], are: ['is', 'are'], was: ['was', 'were'], were: ['was', 'were'], has: ['has', 'have'], have: ['has', 'have'] }
const DOES = new RegExp(`${OPEN}([^${CLOSE}]*)${CLOSE}(\\s+)([^${OPEN}]+)`, 'gu')

/** Verbs after a subject that was filled in, in its number: “two foxes walk”. Only where `isSubject` says that the nth value is one. */
export function withVerbs(text: string, isSubject: (nth: number) => boolean, words: WordTable): string {
  let nth = -1
  return text.replace(new RegExp(`${DOES.source}|${OPEN}`, 'gu'), (whole: string, value?: string, space?: string, after?: string) => {
    nth++
    if (value === undefined || space === undefined || after === undefined || !isSubject(nth)) return whole
    const [first = ''] = /^\p{Ll}+/u.exec(after) ?? []
    const many = isPlural(value, words)
    const be = BE[first]
    const verb = be ? undefined : openingVerb(after, words)
    if (!be && verb?.word !== first) return whole
    const right = be ? be[many ? 1 : 0] : many ? verb!.plain : thirdPersonOf(verb!.plain)
    return `${OPEN}${value}${CLOSE}${space}${right}${after.slice(first.length)}`
  })
}
