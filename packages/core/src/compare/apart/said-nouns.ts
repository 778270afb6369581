import { headOf } from '../../english/noun.ts'
import type { Facet } from '../../facet.ts'
import type { Phrase } from '../../read/reading.ts'
import type { SaidWord } from '../alignment.ts'

/** One of two texts that are compared: its phrases and their words, with what each was found to be in the other. */
export interface Side {
  phrases: readonly Phrase[]
  words: readonly SaidWord[]
}

/** A preposition that puts a second thing beside the first: what follows says where, not what. */
const BESIDE = /\s+(?:next to|beside|besides|near|behind|above|below|beneath|under|over|with|without|in front of|surrounded by|full of|covered (?:in|with)|lined with)\s.*$/isu

/** The nouns that a phrase is about: of “a bowl of ramen and two spoons” bowl, ramen and spoons. */
function nounsOf(text: string): string[] {
  const about = text.replace(BESIDE, '')
  return about.split(/\s+(?:of|and|or)\s+|\s*[,&]\s*/iu).map(headOf).filter(Boolean)
}

/** Where what a phrase is of stands, when the reading took both for one: “three sheep in a barn”. */
const PLACED = /\s(?:in|on|at|inside|across|through)\s+(?:an?\s|the\s)?\s*(\S.*)$/isu

const wordsOf = ({ words }: Side, phrase: number, nouns: readonly string[]): SaidWord[] => words.filter((word) => word.phrase === phrase && (nouns.includes(word.word) || nouns.includes(word.word.split(' ').at(-1)!)))

/** The words of a side that name a place inside a phrase that was read as something else. */
export const placesInside = (side: Side): SaidWord[] => side.phrases.flatMap(({ facet, text }, i) => (facet === 'subject' || facet === 'action' ? wordsOf(side, i, nounsOf(PLACED.exec(text)?.[1] ?? '')) : []))

/** The words of a side that its phrases of a facet are about. */
export const nounsIn = (side: Side, facet: Facet): SaidWord[] => side.phrases.flatMap((phrase, i) => (phrase.facet === facet ? wordsOf(side, i, nounsOf(phrase.text)) : []))
