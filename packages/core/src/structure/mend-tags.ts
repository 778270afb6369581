import { ADJ, ADP, ADV, AUX, DET, NOUN, PRON, PROPN, VERB } from '../read/parts-of-speech.ts'
import type { WordTable } from '../read/words/word-table.ts'
import type { Lemmatised } from './word.ts'

/** Bits of a word's classes in the table of words, and the number of the class seen most. */
const CAN_BE_VERB = 2
const MOSTLY_VERB = 1
const MOSTLY_NOUN = 0
const POSSESSIVE = new Set(['his', 'her', 'its', 'their', 'my', 'our', 'your'])

/** What a present-tense verb in -s may be a form of. */
function plainForms(lower: string): string[] {
  if (lower.endsWith('ies')) return [`${lower.slice(0, -3)}y`, lower.slice(0, -1)]
  if (lower.endsWith('es')) return [lower.slice(0, -1), lower.slice(0, -2)]
  return lower.endsWith('s') ? [lower.slice(0, -1)] : [lower]
}

/**
 * Mends what a tagger learned from running prose most often mistakes in the short sentences of prompts: the verb in the
 * present right after its subject, taken for a noun (“the dog chases the boy”, “a fox and a crow share a plum”).
 * A noun is not followed by an article, so what stands between a noun and one is a verb if it can be; before anything
 * else it is one only where the clause has no verb, the number fits, and it is mostly a verb. Changes the words it is given.
 */
export function mendTags(words: Lemmatised[], table: WordTable): void {
  const isNounlike = (word: Lemmatised | undefined) => word !== undefined && word.kind === 'word' && (word.tag === NOUN || word.tag === PROPN)
  const verbIn = (word: Lemmatised) => plainForms(word.lower).find((plain) => plain.length > 1 && ((table.find(plain)?.classes ?? 0) & CAN_BE_VERB) !== 0)
  const hasVerb = words.some(({ tag, lower }) => tag === AUX || (tag === VERB && !/(?:ing|ed)$/.test(lower)))
  words.forEach((word, i) => {
    if (word.tag === ADJ || word.tag === NOUN || word.tag === PROPN) mendParticiple(words, i, table)
    if (word.tag === ADJ) mendAdjective(words, i, table)
    if (word.kind !== 'word' || (word.tag !== NOUN && word.tag !== ADJ) || !/^\p{Ll}/u.test(word.text)) return
    const subject = words[i - 1]
    const after = words[i + 1]
    if (!isNounlike(subject) || !after || /['’]s?$/.test(subject!.lower)) return
    const plain = verbIn(word)
    if (!plain) return
    const one = word.lower !== plain
    const many = subject!.lemma !== subject!.lower || subject!.lower.endsWith('s') || words[i - 3]?.lower === 'and' || words[i - 2]?.lower === 'and'
    const agrees = one !== many
    const determined = after.tag === DET || POSSESSIVE.has(after.lower)
    const mostly = table.find(plain)?.main === MOSTLY_VERB
    const goesOn = after.tag === ADP || after.tag === ADV || after.tag === PRON || (after.tag === ADJ && one)
    if (!agrees || !(determined || (!hasVerb && mostly && goesOn))) return
    word.tag = VERB
    word.lemma = plain
  })
}

/** “a boy chased by a dog”, “Kneeling in the snow, …”: a participle after its noun, or one that opens a clause. */
function mendParticiple(words: readonly Lemmatised[], i: number, table: WordTable): void {
  const word = words[i]!
  const [, stem, ending] = /^(.+?)(ing|ed|en)$/.exec(word.lower) ?? []
  if (!stem || !ending || stem.length < 2) return
  const before = words[i - 1]
  const after = words[i + 1]
  const opens = i === 0 && ending === 'ing' && after !== undefined && (after.tag === ADP || after.tag === DET || after.tag === PRON || after.tag === ADV)
  const follows = ending !== 'ing' && (before?.tag === NOUN || before?.tag === PROPN) && after?.tag === ADP
  if (!opens && !follows) return
  const lemma = [stem, `${stem}e`, stem.replace(/(.)\1$/, '$1')].find((plain) => ((table.find(plain)?.classes ?? 0) & CAN_BE_VERB) !== 0)
  if (!lemma) return
  word.tag = VERB
  word.lemma = lemma
}

/** “in a square.”: an adjective that ends its phrase, and is mostly a noun. */
function mendAdjective(words: readonly Lemmatised[], i: number, table: WordTable): void {
  const word = words[i]!
  const after = words[i + 1]
  if (words[i - 1]?.tag === DET && (!after || after.kind === 'mark' || after.tag === ADP) && table.find(word.lower)?.main === MOSTLY_NOUN) word.tag = NOUN
}
