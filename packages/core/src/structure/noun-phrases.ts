import type { WordTable } from '../read/words/word-table.ts'
import { ADJ, ADV, CCONJ, NOUN, NUM, PRON, PROPN, VERB } from '../read/parts-of-speech.ts'
import type { Word } from './word.ts'

/** A noun with the words that belong before it; indices into a sentence's tokens. */
export interface NounPhrase {
  from: number
  /** One past its last token. */
  to: number
  /** The noun it is about. */
  head: number
  /** It is a name: capitals and no common noun. */
  name: boolean
  /** Its first word, where that is an article, a possessive or the like, in lower case. */
  determiner: string
  /** The noun phrase after “of”, if one follows. */
  of?: NounPhrase
}

/** A noun phrase and what hangs on it by “of”, the outermost first. */
export const withInner = (phrase: NounPhrase): NounPhrase[] => (phrase.of ? [phrase, ...withInner(phrase.of)] : [phrase])

const POSSESSIVE = /^(?:my|your|his|her|its|our|their|whose)$/
const DETERMINERS = /^(?:the|an?|this|that|these|those|some|any|no|every|each|all|both|another|either|neither|one|many|several|few|such)$/
const owns = ({ lower }: Word) => /['’]s$|s['’]$/.test(lower) && !/^(?:it|that|there|here|he|she|what|who|let|where)['’]s$/.test(lower)

/** Words that are no noun whatever the tagger says of them. */
const NEVER = new Set('then there here now again away back home together alone once soon meanwhile later outside inside upstairs downstairs yes no oh not never ever still just even only nobody everybody everyone someone somebody anyone nothing something everything'.split(' '))

/** Whether a token can be a noun: by its tag, or after an article by what dictionaries say of it; `next` to the article even what is mostly a verb. */
function isNoun(token: Word, words: WordTable, determined: boolean, next: boolean): boolean {
  if (token.kind !== 'word' || NEVER.has(token.lower)) return false
  if (token.tag === NOUN || token.tag === PROPN) return true
  if (!determined || token.tag === ADJ) return false
  const facts = words.find(token.lower)
  // “the well”, taken for an adverb.
  if (token.tag === ADV) return facts !== undefined && facts.main === 3 && (facts.classes & 1) > 0 && /^(?:well|north|south|east|west|back|inside|outside)$/.test(token.lower) && determined
  return token.tag === VERB && facts !== undefined && (facts.classes & 1) > 0 && (next || facts.main === 0) && !/(?:ing|ed)$/.test(token.lower)
}

/**
 * Noun phrases of a sentence, in order, none within another; what follows “of” hangs on the phrase before it.
 * `isName` tells whether a token belongs to a name, `apart` whether it is of none: the words of a time.
 */
export function nounPhrasesOf(tokens: readonly Word[], words: WordTable, isName: (index: number) => boolean, apart: (index: number) => boolean = () => false): NounPhrase[] {
  const found: NounPhrase[] = []
  let at = 0
  while (at < tokens.length) {
    const phrase = apart(at) ? undefined : phraseAt(tokens, at, words, isName, apart)
    if (!phrase) {
      at++
      continue
    }
    const last = found.at(-1)
    const host = last?.of ?? last
    if (host && !host.of && phrase.from === host.to + 1 && tokens[host.to]?.lower === 'of') host.of = phrase
    else found.push(phrase)
    at = phrase.to
  }
  return found
}

function phraseAt(tokens: readonly Word[], from: number, words: WordTable, isName: (index: number) => boolean, apart: (index: number) => boolean): NounPhrase | undefined {
  const first = tokens[from]!
  if (first.kind === 'mark') return undefined
  if (isName(from) && !owns(first)) {
    let to = from + 1
    while (to < tokens.length && to - from < 5 && isName(to) && !owns(tokens[to - 1]!)) to++
    return { from, to, head: to - 1, name: true, determiner: '' }
  }
  const determined = DETERMINERS.test(first.lower) || POSSESSIVE.test(first.lower)
  let at = from
  if (determined) at++
  let head = -1
  let name = false
  let seen = false
  for (; at < tokens.length && at - from < 9; at++) {
    const token = tokens[at]!
    if (token.kind === 'mark') {
      // “a tall, thin man”: a comma between two words that describe.
      if (token.text === ',' && head < 0 && at > from && tokens[at - 1]!.tag === ADJ && tokens[at + 1]?.tag === ADJ) continue
      break
    }
    if (token.quoted !== first.quoted || apart(at)) break
    if (owns(token)) {
      // “her father's house”: the owner only tells which; what is owned is the noun.
      if (head >= 0 && at === from) break
      head = -1
      name = false
      seen = true
      continue
    }
    if (isName(at)) {
      // “the forest Elin knew”: a name after a noun is another phrase.
      if (head >= 0 && !name) break
      head = at
      name = true
      seen = true
      continue
    }
    if (isNoun(token, words, (determined || seen) && head < 0, at === from + 1)) {
      // “Tarrow valley”: a name before a common noun only tells which.
      head = at
      name = false
      seen = true
      continue
    }
    // “the number 4 tram”
    if (token.kind === 'number' && head >= 0 && tokens[head]!.lower === 'number') {
      head = -1
      seen = true
      continue
    }
    if (head >= 0) {
      // “the three of them”, “the old and tired man” end here, except that a joined adjective may go on.
      break
    }
    const describes = token.tag === ADJ || token.tag === NUM || token.kind === 'number' || (token.tag === ADV && (tokens[at + 1]?.tag === ADJ || (determined && SIDES.test(token.lower)))) || ((determined || seen) && token.tag === VERB && /(?:ing|ed|en|n|t)$/.test(token.lower))
    const joins = token.tag === CCONJ && at > from && (tokens[at - 1]!.tag === ADJ || tokens[at - 1]!.tag === NUM) && (tokens[at + 1]?.tag === ADJ || tokens[at + 1]?.tag === NUM)
    if (!describes && !joins) break
    if (token.tag === PRON) break
  }
  if (head < 0) {
    // “The eldest rode away”: an adjective that stands for somebody.
    const next = tokens[from + 1]
    if (first.lower === 'the' && next && (next.tag === ADJ || next.tag === NUM || ORDINALS.test(next.lower))) return { from, to: from + 2, head: from + 1, name: false, determiner: 'the' }
    return undefined
  }
  return { from, to: head + 1, head, name, determiner: determined ? first.lower : owns(first) ? first.lower : '' }
}
const SIDES = /^(?:north|south|east|west|back|front|far|upper|lower|inner|outer|top|near)$/
const ORDINALS = /^(?:first|second|third|eldest|oldest|youngest|elder|younger|other|last)$/

/** The words of a phrase as a label: less article and possessive, with what follows “of” where `whole`. */
export function labelOf(story: string, tokens: readonly Word[], phrase: NounPhrase, whole = false): string {
  let from = phrase.from
  if ((DETERMINERS.test(tokens[from]!.lower) || POSSESSIVE.test(tokens[from]!.lower)) && phrase.to - from > 1) from++
  const to = whole && phrase.of ? phrase.of.to : phrase.to
  const said = story.slice(tokens[from]!.start, tokens[to - 1]!.end).replace(/\s+/g, ' ')
  // A noun that opens its sentence is no name for that: “Friends sit around a fire.”
  return from === 0 && !phrase.name ? said.replace(/^\p{Lu}(?=\p{Ll})/u, (letter) => letter.toLowerCase()) : said
}
