import type { Analyser, TokenFacts } from '../read/analyser.ts'
import { scan, type Token } from '../read/scan.ts'
import type { WordTable } from '../read/words/word-table.ts'
import { NOUN, PROPN } from '../read/parts-of-speech.ts'
import type { TextRange } from '../text-range.ts'
import { mendTags } from './mend-tags.ts'
import { type NounPhrase, nounPhrasesOf } from './noun-phrases.ts'
import { type Predicate, predicatesOf } from './predicates.ts'
import type { Lemmatised } from './word.ts'

/** A sentence, a line or an item between stops, taken apart. Indices are of its words, ranges of the whole text. */
export interface Clause extends TextRange {
  /** Index of its first word among the tokens of the text. */
  from: number
  words: readonly Lemmatised[]
  /** Noun phrases in order; what follows “of” hangs on the one before. */
  phrases: readonly NounPhrase[]
  predicates: readonly Predicate[]
}

const ENDS = new Set(['.', ';', '!', '?', '|'])

/** A text as clauses: which words name things, and who does what to whom. Any text may be given. */
export function structureOf(text: string, analyse: Analyser, words: WordTable): Clause[] {
  const tokens = scan(text)
  return clausesOf(tokens, analyse(text, tokens), words, (before, after) => text.slice(before.end, after.start).includes('\n'))
}

/** The same of tokens whose parts of speech and dictionary forms are known. `parted` tells where a line ends between two. */
export function clausesOf(tokens: readonly Token[], facts: readonly TokenFacts[], words: WordTable, parted: (before: Token, after: Token) => boolean = () => false): Clause[] {
  const clauses: Clause[] = []
  let own: Lemmatised[] = []
  let from = 0
  const close = (next: number) => {
    if (own.length) clauses.push(clauseOf(own, from, words))
    own = []
    from = next
  }
  tokens.forEach((token, i) => {
    const before = own.at(-1)
    if (before && parted(before, token)) close(i)
    // Field by field: spreading takes ten times as long, and this is done after every key.
    const { start, end, text, lower, kind } = token
    own.push({ start, end, text, lower, kind, tag: facts[i]?.tag ?? 0, lemma: facts[i]?.lemma ?? lower, quoted: false })
    if (ENDS.has(token.text)) close(i + 1)
  })
  close(tokens.length)
  return clauses
}

function clauseOf(own: Lemmatised[], from: number, words: WordTable): Clause {
  mendTags(own, words)
  const isName = (i: number) => own[i]!.tag === PROPN && i > 0 && /^\p{Lu}\p{Ll}/u.test(own[i]!.text) && words.find(own[i]!.lower)?.main !== NOUN_FIRST
  const phrases = nounPhrasesOf(own, words, isName)
  return { start: own[0]!.start, end: own[own.length - 1]!.end, from, words: own, phrases, predicates: predicatesOf(own, phrases, words) }
}
/** The class of a word seen most often as a noun, in the table of words. */
const NOUN_FIRST = 0

/** The dictionary form of what a noun phrase is about. */
export const headLemma = ({ words }: Pick<Clause, 'words'>, phrase: NounPhrase): string => words[phrase.head]!.lemma
/** Words of a phrase that say what its head is like, in order: “worn”, “velvet” of “a worn velvet sofa”. */
export const modifiersOf = ({ words }: Pick<Clause, 'words'>, phrase: NounPhrase): Lemmatised[] => words.slice(phrase.from, phrase.head).filter(({ lower, kind }, i) => kind === 'word' && !(i === 0 && lower === phrase.determiner))
export const isNoun = ({ tag }: Lemmatised): boolean => tag === NOUN || tag === PROPN
