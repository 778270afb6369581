import { FACETS } from '../../facet.ts'
import { hashText } from '../../random/seeded.ts'
import type { Token } from '../scan.ts'
import type { TermHit } from '../../glossary/term-index.ts'
import type { TextRange } from '../../text-range.ts'
import { isFunctionWord, JOINERS, PREPOSITIONS } from '../words/function-words.ts'
import type { WordFacts, WordTable } from '../words/word-table.ts'

/** What stands between two words, as far as it tells where a phrase may end. */
export const GAPS = ['start', 'none', 'article', 'preposition', 'joiner', 'comma', 'stop', 'mark'] as const
export type Gap = (typeof GAPS)[number]

/** A word to be given a facet, with what the model may look at. */
export interface Item {
  token: Token
  /** Index of its token in the scan. */
  at: number
  gap: Gap
  /** The last preposition of the gap before it, as a hash; 0 for none. */
  preposition: number
  /** What is known of the word and of the gaps beside it, each fact as one number. */
  features: Uint32Array
}

export interface Sources {
  words: WordTable
  /** Part of speech of the token at an index, as a small whole number; 0 when unknown. */
  tags: readonly number[]
  /** The term of the glossary that covers the token at an index. */
  terms: readonly (TermHit | undefined)[]
  /** Facet that a label gives the text, from 1; 13 for a label that says nothing; 0 for no label. */
  hint: number
  /** Ranges that are no part of the picture. */
  masks: readonly TextRange[]
  /** 0 for the first sentence of a text or field, 1 for the second, 2 for later ones. */
  place: number
}

const NO_FACTS: WordFacts = { noun1: 255, noun2: 255, verb: 255, kind1: 255, kind2: 255, kind3: 255, classes: 0, main: 255, coarse: 255, middle: 255, fine: 65_535 }
const STOPS = new Set(['.', ';', '!', '?', '|', '•', '·', '/', '\\'])
const COMMAS = new Set([',', '،', '、'])

/** One number for a template and up to three values (after MurmurHash3's mixing, by Austin Appleby; public domain). */
function mix(template: number, a: number, b = 0, c = 0): number {
  let h = Math.imul(template + 1, 0x9e3779b1)
  h = Math.imul(h ^ a, 0x85ebca6b)
  h ^= h >>> 13
  h = Math.imul(h ^ b, 0xc2b2ae35)
  h ^= h >>> 16
  h = Math.imul(h ^ c, 0x27d4eb2f)
  return (h ^ (h >>> 15)) >>> 0
}

function shapeOf({ text, kind }: Token): number {
  if (kind === 'number') return /^\d{4}s?$/.test(text) ? 1 : /^[fƒ]\//.test(text) ? 2 : /mm$/i.test(text) ? 3 : /[:x×]/.test(text) ? 4 : /\//.test(text) ? 5 : /\p{L}/u.test(text) ? 6 : 7
  if (/^\p{Lu}+$/u.test(text) && text.length > 1) return 8
  if (/^\p{Lu}/u.test(text)) return 9
  return text.includes('-') ? 10 : 11
}

interface Word {
  id: number
  facts: WordFacts
  tag: number
  shape: number
  verbal: number
}

/** Whether a word looks like a verb at work here: 1 -ing, 2 -ed or a past participle, 3 another verb form, 0 none. */
function verbality(lower: string, tag: number, facts: WordFacts): number {
  if (lower.endsWith('ing') && lower.length > 4 && facts.classes !== 1) return 1
  if (lower.endsWith('ed') && lower.length > 3) return 2
  if (tag === VERB || (facts.main === 1 && lower.endsWith('s'))) return 3
  return 0
}
/** Index of VERB in the tagger's list of tags. */
const VERB = 16

/**
 * The words of a stretch of text as items with features: affixes, shape, senses, clusters and tag of the word,
 * the gaps beside it, the terms it belongs to, and where in its segment and text it stands.
 */
export function itemsOf(tokens: readonly Token[], sources: Sources): Item[] {
  const items: Item[] = []
  let gap: Gap = 'start'
  let preposition = 0
  const quoted = quotedTokens(tokens)
  let mask = 0
  for (let at = 0; at < tokens.length; at++) {
    const token = tokens[at]!
    const { lower, kind } = token
    while (mask < sources.masks.length && sources.masks[mask]!.end <= token.start) mask++
    if (mask < sources.masks.length && sources.masks[mask]!.start < token.end) {
      if (gap !== 'start') gap = 'mark'
      preposition = 0
    } else if (kind === 'mark' && lower !== '&') {
      if (COMMAS.has(lower)) gap = 'comma'
      else if (STOPS.has(lower)) gap = 'stop'
      else if (gap !== 'start' && gap !== 'stop' && gap !== 'comma') gap = 'mark'
      preposition = 0
    } else if (isFunctionWord(lower)) {
      if (PREPOSITIONS.has(lower)) {
        preposition = hashText(lower)
        if (gap === 'none' || gap === 'article') gap = 'preposition'
      } else if (JOINERS.has(lower)) {
        if (gap === 'none') gap = 'joiner'
      } else if (gap === 'none') gap = 'article'
    } else {
      items.push({ token, at, gap, preposition, features: EMPTY })
      gap = 'none'
      preposition = 0
    }
  }
  const words = items.map(({ token, at }): Word => {
    const facts = sources.words.find(token.lower) ?? NO_FACTS
    const tag = sources.tags[at] ?? 0
    return { id: hashText(token.lower), facts, tag, shape: shapeOf(token), verbal: verbality(token.lower, tag, facts) }
  })
  // Segments end at punctuation.
  const segmentStart: number[] = []
  const segmentIndex: number[] = []
  items.forEach((item, i) => {
    const breaks = item.gap === 'start' || item.gap === 'comma' || item.gap === 'stop' || item.gap === 'mark'
    segmentStart.push(i === 0 || breaks ? i : segmentStart[i - 1]!)
    segmentIndex.push(i === 0 ? 0 : segmentIndex[i - 1]! + (breaks ? 1 : 0))
  })
  const n = items.length
  const segments = n ? segmentIndex[n - 1]! + 1 : 0
  const list = n > 0 && segments / n > 0.22 ? 1 : 0
  items.forEach((item, i) => {
    const w = words[i]!
    const { facts } = w
    const { lower } = item.token
    const next = items[i + 1]
    const term = sources.terms[item.at]
    const inSegment = Math.min(i - segmentStart[i]!, 3)
    const place = sources.place > 0 ? 3 + sources.place : Math.min(segmentIndex[i]!, 3)
    const fromEnd = Math.min(segments - 1 - segmentIndex[i]!, 2)
    const found: number[] = []
    let template = 0
    const say = (a: number, b = 0) => void found.push(mix(template++, a, b))
    say(w.id)
    say(hashText(lower.slice(-3)))
    say(hashText(lower.slice(-2)))
    say(hashText(lower.slice(0, 4)))
    say(w.shape)
    say(w.tag)
    say(facts.classes, facts.main)
    say(facts.noun1)
    say(facts.noun2)
    say(facts.kind1)
    say(facts.kind2)
    say(facts.kind3)
    say(facts.verb, w.verbal)
    say(facts.coarse)
    say(facts.middle)
    say(facts.fine)
    say(GAPS.indexOf(item.gap))
    say(next ? GAPS.indexOf(next.gap) : GAPS.length)
    say(item.preposition)
    say(next?.preposition ?? 0)
    say(quoted[item.at] ?? 0)
    say(sources.hint)
    say(place)
    say(fromEnd, list)
    say(next?.gap === 'none' ? 0 : 1, inSegment)
    if (term) for (let facet = 0; facet < FACETS.length; facet++) if (term.facets & (1 << facet)) found.push(mix(TERM_TEMPLATE, facet, term.place))
    item.features = Uint32Array.from(found)
  })
  return items
}
const EMPTY = new Uint32Array(0)
const TERM_TEMPLATE = 100

const OPENING: Record<string, string> = { '"': '"', '“': '”', '„': '“', '«': '»', "'": "'", '‘': '’' }
const LONGEST_QUOTE = 12

/** 1 for tokens between quotation marks that are near one another, else 0. */
function quotedTokens(tokens: readonly Token[]): Uint8Array {
  const inside = new Uint8Array(tokens.length)
  for (let i = 0; i < tokens.length; i++) {
    const close = tokens[i]!.kind === 'mark' ? OPENING[tokens[i]!.text] : undefined
    if (!close) continue
    let end = i + 1
    while (end < tokens.length && end - i <= LONGEST_QUOTE && tokens[end]!.text !== close) end++
    if (end >= tokens.length || end - i > LONGEST_QUOTE) continue
    inside.fill(1, i + 1, end)
    i = end
  }
  return inside
}
