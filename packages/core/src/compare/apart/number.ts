import { singularOf } from '../../english/noun.ts'
import type { SaidWord } from '../alignment.ts'
import type { Side } from './said-nouns.ts'

const NUMBERS: Readonly<Record<string, number>> = { single: 1, lone: 1, solitary: 1, sole: 1, pair: 2, couple: 2, duo: 2, twin: 2, twins: 2, trio: 3, triplets: 3, quartet: 4, dozen: 12 }
const numberOf = (word: string): number | undefined => NUMBERS[word] ?? (/^\d{1,4}$/.test(word) ? Number(word) : undefined)
/** Words that may stand between a number and its noun: “three small wooden boats”. */
const BETWEEN = 3
const isMany = (word: string) => !/(?:ss|us|is)$/.test(word) && singularOf(word) !== word

/** The number that stands before a word, if one does. */
function numberBefore(words: readonly SaidWord[], at: number): number | undefined {
  for (let i = at - 1; i >= Math.max(0, at - BETWEEN); i--) {
    const number = numberOf(words[i]!.word)
    if (number !== undefined) return number
    // Past another noun of many a number is that noun's.
    if (isMany(words[i]!.word)) return undefined
  }
  return undefined
}

/** The words that say what there are so many of, after a number. */
function counted(words: readonly SaidWord[], at: number): number[] {
  const places: number[] = []
  for (let i = at + 1; i <= Math.min(words.length - 1, at + BETWEEN); i++) {
    if (numberOf(words[i]!.word) !== undefined) break
    places.push(i)
    if (isMany(words[i]!.word)) return [i]
  }
  return places.slice(0, 2)
}

function countedOtherwise(own: Side, other: Side): boolean {
  return own.words.some(({ word }, at) => {
    const number = numberOf(word)
    if (number === undefined) return false
    return counted(own.words, at).some((place) => {
      const match = own.words[place]!.match
      if (!match) return false
      const theirs = numberBefore(other.words, other.words.indexOf(match))
      if (theirs !== undefined) return theirs !== number
      // “two children” and “a child”; “two children” and “children” may be the same two.
      return number > 1 && isMany(own.words[place]!.word) && !isMany(match.word)
    })
  })
}

/** Whether something that both texts show is there in another number. */
export function numberDiffers(a: Side, b: Side): boolean {
  if (countedOtherwise(a, b) || countedOtherwise(b, a)) return true
  // One or many of what the picture is of, where neither says how many.
  const [one] = a.words.filter(({ phrase, match }) => match && a.phrases[phrase]!.facet === 'subject' && b.phrases[match.phrase]!.facet === 'subject')
  return one?.match !== undefined && isMany(one.word) !== isMany(one.match.word) && singularOf(one.word) === singularOf(one.match.word)
}
