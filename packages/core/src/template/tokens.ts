/** A word or a sign, with where it stands; what lies between two is white space. */
export interface Token {
  text: string
  start: number
  end: number
  weight: number
}

const TOKEN = /[\p{L}\p{N}](?:[\p{L}\p{N}\p{M}'’-]*[\p{L}\p{N}\p{M}])?|[^\s]/gu
const SMALL = new Set('a an the of in on at to and with by from for is are as into over under near beside behind its his her their it this that through against'.split(' '))
/** How much it tells that a token stands in two texts: words that say something, words that join, signs. */
const SAYS = 1
const JOINS = 0.35
const SIGN = 0.3

export const tokensOf = (text: string): Token[] =>
  [...text.matchAll(TOKEN)].map((match) => ({ text: match[0], start: match.index, end: match.index + match[0].length, weight: !/[\p{L}\p{N}]/u.test(match[0]) ? SIGN : SMALL.has(match[0].toLowerCase()) ? JOINS : SAYS }))
