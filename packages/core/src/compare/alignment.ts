import type { Phrase } from '../read/reading.ts'
import { plainWords } from './plain-words.ts'
import { type Sameness, sameForms } from './sameness.ts'

/** A word of a phrase, or a turn of several that says one thing, and what it was found to be in the other text. */
export interface SaidWord {
  phrase: number
  /** Place in its text, from 0 to 1, for the choice between two that fit. */
  at: number
  word: string
  match?: SaidWord
  /** Where nothing is the same: that the other text has a kind of it, or what it is a kind of. */
  close?: boolean
}

export interface Aligned {
  /** Phrases that say the same, or of which one took the place of the other, by their places in the two lists. */
  pairs: (readonly [a: number, b: number])[]
  /** Of those, the pairs in which something differs. */
  changed: (readonly [a: number, b: number])[]
  added: number[]
  removed: number[]
  /** The words of either, with their matches. */
  words: { a: readonly SaidWord[]; b: readonly SaidWord[] }
}

function saidIn(phrases: readonly Phrase[], sameness: Sameness): SaidWord[] {
  const all = phrases.flatMap(({ text }, phrase) => sameness.termsOf(text, plainWords(text)).map((word): Omit<SaidWord, 'at'> => ({ phrase, word })))
  return all.map((one, i) => ({ ...one, at: all.length > 1 ? i / (all.length - 1) : 0 }))
}

/** Words that only put a thing where it is: a text that leaves them out says no less. */
const WEAK = new Set('lie lies lying lay stand stands standing sit sits sitting hang hangs hanging rest rests resting seen see view viewed show shows shown showing visible appear appears set placed depicted featuring feature features scene image picture shot'.split(' '))

interface Sides {
  a: readonly Phrase[]
  b: readonly Phrase[]
}

/** Gives words without a match one each: of those that fit, one in the same facet, then the nearest in place. */
function matchWords(a: readonly SaidWord[], b: readonly SaidWord[], facets: Sides, fits: (x: string, y: string) => boolean): void {
  for (const within of [true, false]) {
    for (const x of a) {
      if (x.match) continue
      let best: { y: SaidWord; far: number } | undefined
      for (const y of b) {
        if (y.match || (facets.a[x.phrase]!.facet === facets.b[y.phrase]!.facet) !== within || !fits(x.word, y.word)) continue
        const far = Math.abs(x.at - y.at)
        if (!best || far < best.far) best = { y, far }
      }
      if (best) {
        x.match = best.y
        best.y.match = x
      }
    }
  }
}

/** Words that name what kind of thing a phrase says, and no more, when another word says the rest: “charcoal drawing” and “charcoal”. */
const GENERIC = new Set('drawing print painting illustration picture image art artwork style shot view scene light lighting mood atmosphere tone tones palette colour colours color colors'.split(' '))

/** Marks words without a match that are a kind of one another in the same facet, each with one. */
function markClose(a: readonly SaidWord[], b: readonly SaidWord[], facets: Sides, close: NonNullable<Sameness['close']>): void {
  for (const x of a) {
    if (x.match) continue
    const y = b.find((one) => !one.match && !one.close && facets.a[x.phrase]!.facet === facets.b[one.phrase]!.facet && close(x.word, one.word))
    if (y) x.close = y.close = true
  }
}

/** Two words of one text that the other writes as one, “window sill” and “windowsill”, become one. */
function joinSplit(own: readonly SaidWord[], other: readonly SaidWord[]): SaidWord[] {
  const bare = new Set(other.map(({ word }) => word.replaceAll('-', '')))
  const words = other.map(({ word }) => word)
  const joined: SaidWord[] = []
  for (const one of own) {
    const before = joined.at(-1)
    const together = before && before.phrase === one.phrase ? `${before.word}${one.word}` : ''
    if (together && bare.has(together) && !bare.has(one.word)) joined[joined.length - 1] = { ...before!, word: words.find((word) => word.replaceAll('-', '') === together)! }
    else joined.push(one)
  }
  return joined
}

/**
 * Which phrases of two texts go together. Words are matched first, wherever they stand, so that neither the order nor where
 * a reading cut the phrases matters; phrases that share words, and phrases of one facet that share none with any, are pairs.
 */
export function alignPhrases(phrasesA: readonly Phrase[], phrasesB: readonly Phrase[], sameness: Sameness = sameForms): Aligned {
  const [saidA, saidB] = [saidIn(phrasesA, sameness), saidIn(phrasesB, sameness)]
  const [a, b] = [joinSplit(saidA, saidB), joinSplit(saidB, saidA)]
  const facets = { a: phrasesA, b: phrasesB }
  matchWords(a, b, facets, (x, y) => x === y)
  matchWords(a, b, facets, (x, y) => sameness.same(x, y))
  if (sameness.close) markClose(a, b, facets, sameness.close.bind(sameness))
  const open = (said: readonly SaidWord[], phrase: number) => {
    const own = said.filter((one) => one.phrase === phrase)
    const matched = own.some(({ match }) => match)
    return own.some((one) => !one.match && !(matched && GENERIC.has(one.word)))
  }
  const shared = new Map<string, number>()
  for (const one of a) if (one.match) shared.set(`${one.phrase} ${one.match.phrase}`, (shared.get(`${one.phrase} ${one.match.phrase}`) ?? 0) + 1)
  // Most shared words first: each phrase goes with the one that it has most in common with.
  const [takenA, takenB] = [new Set<number>(), new Set<number>()]
  const pairs: [number, number][] = []
  for (const [key] of [...shared].sort((x, y) => y[1] - x[1])) {
    const [i = 0, j = 0] = key.split(' ').map(Number)
    if (takenA.has(i) || takenB.has(j)) continue
    takenA.add(i)
    takenB.add(j)
    pairs.push([i, j])
  }
  const changed = pairs.filter(([i, j]) => open(a, i) || open(b, j))
  const rest = (phrases: readonly Phrase[], said: readonly SaidWord[], taken: ReadonlySet<number>) => phrases.map((_, i) => i).filter((i) => !taken.has(i) && said.some((one) => one.phrase === i && !one.match && !WEAK.has(one.word)))
  const removed = rest(phrasesA, a, takenA)
  const added = rest(phrasesB, b, takenB)
  // Where readings cut differently, a word may be left of a phrase whose rest stands in the other: it goes with what took its place there.
  for (const pair of [...changed]) {
    const [i, j] = pair
    const j2 = !open(b, j) ? added.find((one) => phrasesB[one]!.facet === phrasesA[i]!.facet) : undefined
    const i2 = !open(a, i) ? removed.find((one) => phrasesA[one]!.facet === phrasesB[j]!.facet) : undefined
    if (j2 !== undefined) added.splice(added.indexOf(j2), 1)
    if (i2 !== undefined) removed.splice(removed.indexOf(i2), 1)
    if (i2 === undefined && j2 === undefined) continue
    changed.splice(changed.indexOf(pair), 1, [i2 ?? i, j2 ?? j])
    pairs.push([i2 ?? i, j2 ?? j])
  }
  for (const i of [...removed]) {
    const j = added.find((one) => phrasesB[one]!.facet === phrasesA[i]!.facet)
    if (j === undefined) continue
    removed.splice(removed.indexOf(i), 1)
    added.splice(added.indexOf(j), 1)
    pairs.push([i, j])
    changed.push([i, j])
  }
  // What stands between the same two neighbours took the place of the other, whatever either was read as.
  const partner = new Map(pairs.map(([i, j]) => [i, j]))
  for (const i of [...removed]) {
    const j = added.find((one) => (i === 0 ? one === 0 : partner.get(i - 1) === one - 1) && (i === phrasesA.length - 1 ? one === phrasesB.length - 1 : partner.get(i + 1) === one + 1))
    if (j === undefined) continue
    removed.splice(removed.indexOf(i), 1)
    added.splice(added.indexOf(j), 1)
    pairs.push([i, j])
    changed.push([i, j])
  }
  return { pairs, changed, added, removed, words: { a, b } }
}
