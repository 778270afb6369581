import { FACETS } from '../../facets.ts'
import type { TokenFacts } from '../analyser.ts'
import type { Token } from '../scan.ts'
import type { TermHit } from '../../glossary/term-index.ts'
import type { TextRange } from '../../text-range.ts'
import { isFunctionWord, JOINERS, PREPOSITIONS } from '../words/function-words.ts'
import type { WordFacts } from '../words/word-table.ts'
import { hashText } from '../../random/seeded.ts'
import { rolesOf } from './roles.ts'
import { mix, OWN_TEMPLATES, type WordEntries, type WordEntry } from './word-features.ts'

/** What stands between two words, as far as it tells where a phrase may end. */
export const GAP = { start: 0, none: 1, article: 2, preposition: 3, joiner: 4, comma: 5, stop: 6, mark: 7 } as const
export type Gap = (typeof GAP)[keyof typeof GAP]
export const GAPS = 8

/** A word, number or mark as the network reads it. */
export interface Step {
  /** What is known of it by itself. */
  entry: WordEntry
  /** What is known of its surroundings, each fact as one number. */
  context: number[]
}

/** A word to be given a facet. */
export interface Item {
  token: Token
  /** Index of its token in the scan. */
  at: number
  /** Index of its step in the sequence. */
  step: number
  gap: Gap
}

/** A sentence or field as it is read: every word and mark in order, and those of them that get a facet. */
export interface Sequence {
  steps: Step[]
  items: Item[]
}

/** All that is known of a word here, each fact as one number. */
export const featuresOf = ({ entry, context }: Step): number[] => [...entry.features, ...context]

export interface Sources {
  words: WordEntries
  /** What is known of the token at an index in its sentence. */
  facts: readonly TokenFacts[]
  /** The term of the glossary that covers the token at an index. */
  terms: readonly (TermHit | undefined)[]
  /** Facet that a label gives the text, from 1; 13 for a label that says nothing; 0 for no label. */
  hint: number
  /** Ranges that are no part of the picture. */
  masks: readonly TextRange[]
  /** 0 for the first sentence of a text or field, 1 for the second, 2 for later ones. */
  place: number
}

const STOPS = new Set(['.', ';', '!', '?', '|', '•', '·', '/', '\\'])
const COMMAS = new Set([',', '،', '、'])

/** Whether a word looks like a verb at work here: 1 -ing, 2 -ed or a past participle, 3 another verb form, 0 none. */
function verbality(lower: string, tag: number, facts: WordFacts): number {
  if (lower.endsWith('ing') && lower.length > 4 && facts.classes !== 1) return 1
  if (lower.endsWith('ed') && lower.length > 3) return 2
  if (tag === VERB || (facts.main === 1 && lower.endsWith('s'))) return 3
  return 0
}
/** Index of VERB in the tagger's list of tags. */
const VERB = 16

/** A word to be given a facet, while it is not yet known what follows it. */
interface Open extends Item {
  /** The last preposition of the gap before it, as a hash; 0 for none. */
  preposition: number
}

/**
 * A stretch of text as the network reads it. Every word and mark is a step, a run that is no part of the picture is one;
 * words that say something are items besides, and know their affixes, shape, senses, clusters and tag, the gaps beside
 * them, the terms they belong to, and where in their segment and text they stand.
 */
export function sequenceOf(tokens: readonly Token[], sources: Sources): Sequence {
  const steps: Step[] = []
  const items: Open[] = []
  let gap: Gap = GAP.start
  let preposition = 0
  const quoted = quotedTokens(tokens)
  const { words } = sources
  words.reserve(tokens.length + 1)
  let mask = 0
  let masked = false
  for (let at = 0; at < tokens.length; at++) {
    const token = tokens[at]!
    const { lower, kind } = token
    while (mask < sources.masks.length && sources.masks[mask]!.end <= token.start) mask++
    if (mask < sources.masks.length && sources.masks[mask]!.start < token.end) {
      if (gap !== GAP.start) gap = GAP.mark
      preposition = 0
      if (!masked) steps.push({ entry: words.noise, context: NONE })
      masked = true
      continue
    }
    masked = false
    const tag = sources.facts[at]?.tag ?? 0
    if (kind === 'mark' && lower !== '&') {
      if (COMMAS.has(lower)) gap = GAP.comma
      else if (STOPS.has(lower)) gap = GAP.stop
      else if (gap !== GAP.start && gap !== GAP.stop && gap !== GAP.comma) gap = GAP.mark
      preposition = 0
    } else if (isFunctionWord(lower) && !(PREPOSITIONS.has(lower) && isStranded(tokens, at))) {
      if (PREPOSITIONS.has(lower)) {
        preposition = words.joining(token).id
        if (gap === GAP.none || gap === GAP.article) gap = GAP.preposition
      } else if (JOINERS.has(lower)) {
        if (gap === GAP.none) gap = GAP.joiner
      } else if (gap === GAP.none) gap = GAP.article
    } else {
      items.push({ token, at, gap, preposition, step: steps.length })
      steps.push({ entry: words.of(token), context: NONE })
      gap = GAP.none
      preposition = 0
      continue
    }
    steps.push({ entry: words.joining(token), context: [mix(JOINING_TAG_TEMPLATE, tag)] })
  }
  // Segments end at punctuation.
  const segmentStart: number[] = []
  const segmentIndex: number[] = []
  items.forEach((item, i) => {
    const breaks = item.gap === GAP.start || item.gap === GAP.comma || item.gap === GAP.stop || item.gap === GAP.mark
    segmentStart.push(i === 0 || breaks ? i : segmentStart[i - 1]!)
    segmentIndex.push(i === 0 ? 0 : segmentIndex[i - 1]! + (breaks ? 1 : 0))
  })
  const n = items.length
  const segments = n ? segmentIndex[n - 1]! + 1 : 0
  const list = n > 0 && segments / n > 0.22 ? 1 : 0
  const roles = rolesOf(tokens, sources.facts, words.words)
  items.forEach((item, i) => {
    const step = steps[item.step]!
    const { role, preposition, head } = roles[item.at]!
    const of = head >= 0 ? words.of(tokens[head]!).facts : undefined
    const { facts } = step.entry
    const tag = sources.facts[item.at]?.tag ?? 0
    const next = items[i + 1]
    const term = sources.terms[item.at]
    const inSegment = Math.min(i - segmentStart[i]!, 3)
    const place = sources.place > 0 ? 3 + sources.place : Math.min(segmentIndex[i]!, 3)
    const fromEnd = Math.min(segments - 1 - segmentIndex[i]!, 2)
    step.context = [
      mix(OWN_TEMPLATES, tag),
      mix(OWN_TEMPLATES + 1, facts.verb, verbality(item.token.lower, tag, facts)),
      mix(OWN_TEMPLATES + 2, item.gap),
      mix(OWN_TEMPLATES + 3, next ? next.gap : GAPS),
      mix(OWN_TEMPLATES + 4, item.preposition),
      mix(OWN_TEMPLATES + 5, next?.preposition ?? 0),
      mix(OWN_TEMPLATES + 6, quoted[item.at] ? 1 : 0),
      mix(OWN_TEMPLATES + 7, sources.hint),
      mix(OWN_TEMPLATES + 8, place),
      mix(OWN_TEMPLATES + 9, fromEnd, list),
      mix(OWN_TEMPLATES + 10, next?.gap === GAP.none ? 0 : 1, inSegment),
      mix(ROLE_TEMPLATE, role),
      mix(ROLE_TEMPLATE + 1, role, hashText(preposition)),
    ]
    if (of) step.context.push(mix(ROLE_TEMPLATE + 2, of.kind1), mix(ROLE_TEMPLATE + 3, of.middle), mix(ROLE_TEMPLATE + 4, of.noun1, role), mix(ROLE_TEMPLATE + 5, head === item.at ? 1 : 0))
    if (term) for (let facet = 0; facet < FACETS.length; facet++) if (term.facets & (1 << facet)) step.context.push(mix(TERM_TEMPLATE, facet, term.place))
  })
  return { steps, items }
}
const NONE: number[] = []
const TERM_TEMPLATE = 100
const JOINING_TAG_TEMPLATE = 98
const ROLE_TEMPLATE = 110
/** No word has more features. */
export const MOST_FEATURES = 64

const OPENING: Record<string, string> = { '"': '"', '“': '”', '„': '“', '«': '»', "'": "'", '‘': '’' }
const LONGEST_QUOTE = 12

/** A preposition that leads to nothing is an adverb, and says something itself: “seen from above”. */
function isStranded(tokens: readonly Token[], at: number): boolean {
  const next = tokens[at + 1]
  return next === undefined || (next.kind === 'mark' && (COMMAS.has(next.text) || STOPS.has(next.text) || next.text === ':' || next.text === ')'))
}

/** For tokens between quotation marks that are near one another the number of their pair, from 1; else 0. */
export function quotedTokens(tokens: readonly Token[]): Uint8Array {
  const inside = new Uint8Array(tokens.length)
  let pair = 0
  for (let i = 0; i < tokens.length; i++) {
    const close = tokens[i]!.kind === 'mark' ? OPENING[tokens[i]!.text] : undefined
    if (!close) continue
    let end = i + 1
    while (end < tokens.length && end - i <= LONGEST_QUOTE && tokens[end]!.text !== close) end++
    if (end >= tokens.length || end - i > LONGEST_QUOTE) continue
    inside.fill(Math.min(++pair, 255), i + 1, end)
    i = end
  }
  return inside
}
