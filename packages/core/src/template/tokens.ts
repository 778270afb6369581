import type { Facet } from '../facet.ts'
import type { Phrase } from '../read/reading.ts'

/** A word or a sign, with where it stands; what lies between two is white space. */
export interface Token {
  text: string
  start: number
  end: number
  weight: number
  /** Of a word or sign that stands between two phrases which say different facets: which two. */
  /** Of a preposition or the like: whether its part of a list, or its sentence, has it only once. */
  once: boolean
  joins?: { before: Facet; after: Facet }
}

const TOKEN = /[\p{L}\p{N}](?:[\p{L}\p{N}\p{M}'’-]*[\p{L}\p{N}\p{M}])?|[^\s]/gu
const ARTICLES = new Set(['a', 'an', 'the'])
const SMALL = new Set('of in on at to and with by from for is are as into over under near beside behind its his her their it this that through against is are while'.split(' '))
/** How much it tells that a token stands in two texts: words that say something, words that join, signs. */
const SAYS = 1
const JOINS = 0.35
const SIGN = 0.3
const ARTICLE = 0.1
/** Whether a joining word joins two things: “of” never does, “and” only before a thing that is counted by itself. */
const joinsTwo = (word: string, next: string): boolean => word !== 'of' && (word !== 'and' || /^(?:an?|the|his|her|its|their|one|two|three|four|five|some|\d+)$/i.test(next))

const weightOf = (text: string): number => (!/[\p{L}\p{N}]/u.test(text) ? SIGN : ARTICLES.has(text.toLowerCase()) ? ARTICLE : SMALL.has(text.toLowerCase()) ? JOINS : SAYS)

/** The words and signs of a text, in order; `phrases` are what it says, in order, for telling what joins two of them. */
export function tokensOf(text: string, phrases: readonly Phrase[] = []): Token[] {
  const matches = [...text.matchAll(TOKEN)]
  const parts: number[] = []
  let part = 0
  const count = new Map<string, number>()
  for (const [word] of matches) {
    if (/^[,;.!?]$/.test(word)) part++
    parts.push(part)
    count.set(`${part} ${word}`, (count.get(`${part} ${word}`) ?? 0) + 1)
  }
  return matches.map((match, i) => {
    const [start, end] = [match.index, match.index + match[0].length]
    const weight = weightOf(match[0])
    const next = weight < SAYS ? phrases.findIndex((phrase) => phrase.end > start) : 0
    const [before, after] = [phrases[next - 1], phrases[next]]
    return { text: match[0], start, end, weight, once: weight === JOINS && joinsTwo(match[0].toLowerCase(), matches[i + 1]?.[0] ?? '') && count.get(`${parts[i]} ${match[0]}`) === 1, ...(before && after && after.start >= end && before.facet !== after.facet ? { joins: { before: before.facet, after: after.facet } } : {}) }
  })
}
