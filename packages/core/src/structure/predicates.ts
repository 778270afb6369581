import { ADJ, ADP, ADV, AUX, CCONJ, NOUN, PART, PRON, PROPN, SCONJ, VERB } from '../read/parts-of-speech.ts'
import type { WordTable } from '../read/words/word-table.ts'
import { type NounPhrase, withInner } from './noun-phrases.ts'
import type { Lemmatised } from './word.ts'

/** What a preposition adds: “over a stubble field”. */
export interface Complement {
  /** In lower case. */
  preposition: string
  phrase: NounPhrase
}

/** What is said of somebody or something by a verb. Indices are of the sentence's words. */
export interface Predicate {
  verb: number
  /** Dictionary form of the verb; for “is red” that of “be”. */
  lemma: string
  /** “is chased”, “chased by”: what stands before it suffers it. */
  passive: boolean
  negated: boolean
  /** Who does it, whoever stands first: of a passive the phrase after “by”. */
  doers: NounPhrase[]
  /** What it is done to. */
  objects: NounPhrase[]
  complements: Complement[]
  /** A small word that goes with the verb: “up” of “picks up”. */
  particle?: string
  /** Adjectives that the verb says of its subject: “is red”, “lies empty”. Indices of words. */
  qualities: number[]
}

/** A bit of a word's classes in the table of words. */
const CAN_BE_ADJECTIVE = 4

const NEGATIONS = new Set(['not', "n't", 'never', 'n’t'])
const RELATIVES = new Set(['who', 'that', 'which', 'whom'])
/** What ends a clause, so that no subject is looked for beyond. */
const BREAKS = new Set(['.', ';', '!', '?', ':', '|'])
const SELVES = /(?:self|selves)$/

const isVerbal = ({ tag }: Lemmatised) => tag === VERB || tag === AUX
/** Past participles by their ending; some have the form of the plain verb: “shut”, “put”. */
const isParticiple = ({ lower, tag, lemma }: Lemmatised) => tag === VERB && (lower !== lemma || /[ts]$/.test(lower)) && /(?:ed|en|n|t|ung|unk|orn|own|un|id|ade|old|ost|eft|elt|ept|uilt|ent|ound|ought|aught|ut|it|ung|ain|urst)$/.test(lower) && !lower.endsWith('ing')

/** Noun phrases by the places of their first word, and of the word after their last. */
interface Placed {
  at: ReadonlyMap<number, NounPhrase>
  endingAt: ReadonlyMap<number, NounPhrase>
}

/** The verbs of a sentence with who does what to whom, in order. `phrases` are its noun phrases. */
export function predicatesOf(words: readonly Lemmatised[], phrases: readonly NounPhrase[], table: WordTable): Predicate[] {
  const all = phrases.flatMap(withInner)
  const inside = new Map<number, NounPhrase>()
  for (const phrase of all) for (let i = phrase.from; i < phrase.to; i++) inside.set(i, phrase)
  const placed: Placed = { at: new Map(phrases.map((phrase) => [phrase.from, phrase])), endingAt: new Map(phrases.map((phrase) => [endOf(phrase), phrase])) }
  const found: Predicate[] = []
  for (let i = 0; i < words.length; i++) {
    const word = words[i]!
    // A participle before its noun is a quality of it, not a clause.
    const host = inside.get(i)
    if (!isVerbal(word) || word.quoted || (host && i < host.head)) continue
    const group = verbGroup(words, i)
    const main = words[group.main]!
    const predicate: Predicate = { verb: group.main, lemma: main.lemma, passive: false, negated: group.negated, doers: [], objects: [], complements: [], qualities: [] }
    const subject = subjectsOf(words, placed, i, found)
    const after = followed(words, placed, group.end)
    predicate.complements = after.complements
    if (after.particle) predicate.particle = after.particle
    predicate.qualities = after.qualities
    const agent = after.complements.find(({ preposition }) => preposition === 'by')
    predicate.passive = isParticiple(main) && (group.be || (group.main === i && subject.near && !after.objects.length && (agent !== undefined || !group.finite)))
    if (predicate.passive && group.be && !agent && ((table.find(main.lower)?.classes ?? 0) & CAN_BE_ADJECTIVE) !== 0) {
      // “is shut”: how it is, not what is done to it.
      Object.assign(predicate, { lemma: 'be', passive: false, doers: subject.phrases, qualities: [group.main, ...after.qualities] })
    } else if (predicate.passive) {
      predicate.objects = subject.phrases
      if (agent) {
        predicate.doers = [agent.phrase]
        predicate.complements = predicate.complements.filter((one) => one !== agent)
      }
    } else {
      predicate.doers = subject.phrases
      predicate.objects = after.objects
    }
    found.push(predicate)
    i = Math.max(i, group.main)
  }
  return found
}

const endOf = (phrase: NounPhrase): number => (phrase.of ? endOf(phrase.of) : phrase.to)

/** Auxiliaries, negations and adverbs up to the verb that says something: “is not slowly being painted”. */
function verbGroup(words: readonly Lemmatised[], from: number): { main: number; end: number; be: boolean; negated: boolean; finite: boolean } {
  let main = from
  let negated = false
  let be = false
  for (let i = from; i < words.length && i - from < 7; i++) {
    const word = words[i]!
    if (isVerbal(word)) {
      if (i > from && words[main]!.tag === VERB && words[main]!.lemma !== 'have' && words[main]!.lemma !== 'be') break
      if (words[main]!.lemma === 'be' || words[main]!.lemma === 'get') be = i > main || be
      main = i
    } else if (NEGATIONS.has(word.lower)) negated = true
    else if (word.tag !== ADV && word.tag !== PART) break
  }
  // The negation may stand before: “never smiles”.
  if (NEGATIONS.has(words[from - 1]?.lower ?? '')) negated = true
  const first = words[from]!
  return { main, end: main + 1, be: be && main > from, negated, finite: first.tag === AUX || (/[^s]s$/.test(first.lower) && first.lower !== first.lemma) }
}

/** Who or what stands before a verb as its subject; `near` when it stands right before it. */
function subjectsOf(words: readonly Lemmatised[], placed: Placed, verb: number, before: readonly Predicate[]): { phrases: NounPhrase[]; near: boolean } {
  let at = verb - 1
  while (at >= 0 && (words[at]!.tag === ADV || NEGATIONS.has(words[at]!.lower) || RELATIVES.has(words[at]!.lower) || SELVES.test(words[at]!.lower) || words[at]!.lower === 'both' || words[at]!.lower === 'all')) at--
  const joined = words[at]?.tag === CCONJ || words[at]?.text === ','
  const direct = placed.endingAt.get(at + 1)
  if (direct) return { phrases: coordinated(words, placed, hostOf(words, placed, direct)), near: true }
  // “kneels and counts”, “A girl, kneeling, counts”: what did the verb before does this one too.
  const earlier = before.at(-1)
  if (joined && earlier && !words.slice(earlier.verb, verb).some(({ text }) => BREAKS.has(text))) return { phrases: earlier.passive ? earlier.objects : earlier.doers, near: false }
  // “Kneeling in the snow, a girl …”: the subject follows.
  if (words[verb]!.lower.endsWith('ing') && (at < 0 || BREAKS.has(words[at]!.text) || words[at]!.tag === SCONJ)) {
    const comma = words.findIndex(({ text }, i) => i > verb && text === ',')
    const next = comma > 0 ? placed.at.get(comma + 1) : undefined
    return { phrases: next ? coordinated(words, placed, next) : [], near: false }
  }
  // Past what was put in between: “the dog, wet and happy, runs”.
  for (let i = at; i >= 0 && !BREAKS.has(words[i]!.text); i--) {
    const phrase = placed.endingAt.get(i + 1)
    if (phrase && words[phrase.from - 1]?.tag !== ADP) return { phrases: coordinated(words, placed, phrase), near: false }
  }
  return { phrases: [], near: false }
}

/** Of “the man with a dog runs” the man runs; of “a dog chased by a boy running” the boy. Who stands after a preposition is subject only of what stands right after it as a participle. */
function hostOf(words: readonly Lemmatised[], placed: Placed, phrase: NounPhrase): NounPhrase {
  if (words[phrase.from - 1]?.tag !== ADP) return phrase
  const next = words[endOf(phrase)]
  if (next?.lower.endsWith('ing') || RELATIVES.has(next?.lower ?? '')) return phrase
  const host = placed.endingAt.get(phrase.from - 1)
  return host && host !== phrase ? hostOf(words, placed, host) : phrase
}

/** “a fox and a crow”: both. */
function coordinated(words: readonly Lemmatised[], placed: Placed, last: NounPhrase): NounPhrase[] {
  const found = [last]
  for (;;) {
    const first = found[0]!
    const join = words[first.from - 1]
    const before = join && (join.tag === CCONJ || (join.text === ',' && found.length > 1)) ? placed.endingAt.get(first.from - 1) : undefined
    if (!before || words[before.from - 1]?.tag === ADP) return found
    found.unshift(before)
  }
}

/** What stands after a verb: particle, adjectives, objects, and what prepositions add, up to the next verb or mark. */
function followed(words: readonly Lemmatised[], placed: Placed, from: number): { objects: NounPhrase[]; complements: Complement[]; qualities: number[]; particle?: string } {
  const objects: NounPhrase[] = []
  const complements: Complement[] = []
  const qualities: number[] = []
  let particle: string | undefined
  for (let i = from; i < words.length; ) {
    const word = words[i]!
    const phrase = placed.at.get(i)
    if (phrase) {
      if (complements.length === 0 || words[i - 1]?.tag === CCONJ) {
        const last = complements.at(-1)
        if (last && words[i - 1]?.tag === CCONJ) complements.push({ preposition: last.preposition, phrase })
        else objects.push(phrase)
      }
      i = endOf(phrase)
      continue
    }
    if (word.tag === ADP || word.lower === 'to') {
      const next = placed.at.get(i + 1)
      if (next) {
        complements.push({ preposition: word.lower, phrase: next })
        i = endOf(next)
        continue
      }
      if (i === from) particle = word.lower
    } else if (word.tag === ADJ && objects.length === 0 && complements.length === 0) qualities.push(i)
    else if (word.tag === PRON && SELVES.test(word.lower)) { /* He washes himself: nobody new. */ }
    else if (word.tag !== ADV && word.tag !== CCONJ && word.tag !== PART && word.tag !== PRON && word.tag !== NOUN && word.tag !== PROPN) break
    else if (word.tag === CCONJ && words[i + 1] && isVerbal(words[i + 1]!)) break
    i++
  }
  return { objects, complements, qualities, ...(particle ? { particle } : {}) }
}
