import type { Random } from '../src/random/seeded.ts'
import type { Dictionary, Sense } from './dictionary.ts'
import { bases } from './inflection.ts'

/** Vectors of words, each of length one, commonest word first. */
export interface Vectors {
  words: readonly string[]
  at: ReadonlyMap<string, number>
  values: Float32Array
  size: number
}

/** How often words stand in one prompt, and in how many each stands. */
export interface Together {
  of: Map<string, Map<string, number>>
  count: Map<string, number>
  texts: number
}

/** Lexicographer files of things that can be drawn: animals, artifacts, body, food, objects, people, phenomena, plants, substances. */
const DRAWN = new Set([5, 6, 8, 13, 17, 18, 19, 20, 27])
/** Qualities and times that can be seen. */
const SEEN = new Set('old young white black red green blue yellow pink orange bald golden wet muddy dark night winter summer autumn spring dawn dusk'.split(' '))
const TOO_PLAIN = new Set('thing things part parts piece side area place item unit way works left right man woman people person water-level ray behind'.split(' '))
const COMMONEST = 26_000
const NEAREST = 100
const LIKE = 10

/** A row of numbers by the name of what they measure. */
type Features = Record<string, number>

export interface Ranked {
  what: string
  /** How probable it is that a person would name it, from 0 to 1. */
  strength: number
  source: 'dictionary' | 'prompts' | 'use'
}

const NO_SENSE: Sense = { file: -1, words: [], above: [], parts: [], gloss: '', single: false, marked: new Set() }

/**
 * Which things a word brings along: candidates from what lies near it by word vectors, from dictionary definitions, from
 * prompts and from listed words like it, ranked by a logistic model that is fitted to words whose companions are listed.
 * Near synonyms, sister kinds and what a thing is a kind of are no companions.
 */
export class CompanionModel {
  readonly #candidates: readonly (readonly [word: string, at: number])[]
  readonly #isCandidate: ReadonlySet<string>
  readonly #together = new Map<string, Map<string, number>>()
  readonly #sums = new Map<string, number>()
  readonly #usual = new Map<string, number>()
  readonly #glosses = new Map<string, ReadonlySet<string>>()
  readonly #above = new Map<string, Map<string, number>>()
  readonly #crowding = new Map<number, number>()
  readonly #like = new Map<string, (readonly [word: string, weight: number])[]>()
  readonly #prior = new Map<string, number>()
  readonly #weights: Features = {}

  constructor(
    private readonly vectors: Vectors,
    private readonly dictionary: Dictionary,
    private readonly prompts: Together,
    private readonly listed: ReadonlyMap<string, ReadonlySet<string>>,
  ) {
    this.#candidates = vectors.words.slice(0, COMMONEST).flatMap((word, at) => (this.#canBeDrawn(word) ? [[word, at] as const] : []))
    this.#isCandidate = new Set(this.#candidates.map(([word]) => word))
    for (const own of listed.values()) for (const what of own) this.#prior.set(what, (this.#prior.get(what) ?? 0) + 1)
    this.#readGlosses()
  }

  /** A noun in the singular, or the word as it is. */
  static lemma(word: string, dictionary: Dictionary): string {
    const plural = word.endsWith('s') && !word.endsWith('ss') && dictionary.noun.has(word.slice(0, -1))
    if (dictionary.noun.has(word) && !plural) return word
    return bases(word).find((base) => base !== word && dictionary.noun.has(base)) ?? word
  }

  #first(word: string): Sense {
    const key = this.dictionary.noun.get(word)?.[0]
    return (key && this.dictionary.senses.get(key)) || NO_SENSE
  }

  #canBeDrawn(word: string): boolean {
    if (SEEN.has(word)) return true
    if (word.length < 3 || TOO_PLAIN.has(word) || CompanionModel.lemma(word, this.dictionary) !== word) return false
    const first = this.#first(word)
    const [noun, verb, adjective] = this.dictionary.seen.get(word) ?? [0, 0, 0, 0]
    return DRAWN.has(first.file) && !first.single && noun >= Math.max(verb, adjective)
  }

  /** Words that stand in one definition. */
  #readGlosses(): void {
    for (const sense of this.dictionary.senses.values()) {
      const words = [...new Set([...(sense.gloss.toLowerCase().match(/[a-z]+/g) ?? []), ...sense.words.map((word) => word.toLowerCase())].map((word) => CompanionModel.lemma(word, this.dictionary)))]
      const known = words.filter((word) => word.length > 2 && this.vectors.at.has(word))
      if (known.length > 30) continue
      for (const a of known) {
        for (const b of known) {
          if (a === b || !this.#isCandidate.has(b)) continue
          let own = this.#together.get(a)
          if (!own) this.#together.set(a, (own = new Map<string, number>()))
          own.set(b, (own.get(b) ?? 0) + 1)
          this.#usual.set(b, (this.#usual.get(b) ?? 0) + 1)
        }
      }
    }
    for (const [word, own] of this.#together) this.#sums.set(word, [...own.values()].reduce((a, b) => a + b, 0))
  }

  #glossOf(word: string): ReadonlySet<string> {
    let own = this.#glosses.get(word)
    if (!own) {
      const keys = [...(this.dictionary.noun.get(word) ?? []).slice(0, 2), ...(this.dictionary.adjective.get(word) ?? []).slice(0, 2)]
      const said = keys.map((key) => this.dictionary.senses.get(key)?.gloss.replace(/"[^"]*"/g, '').toLowerCase() ?? '').join(' ')
      this.#glosses.set(word, (own = new Set((said.match(/[a-z]+/g) ?? []).map((one) => CompanionModel.lemma(one, this.dictionary)))))
    }
    return own
  }

  #alike(a: number, b: number): number {
    const { values, size } = this.vectors
    let sum = 0
    for (let d = 0; d < size; d++) sum += values[a * size + d]! * values[b * size + d]!
    return sum
  }

  /** How near a word's neighbours lie on the whole; taken off, so that words near to everything do not win (Conneau et al. 2018). */
  #crowdingOf(at: number): number {
    let own = this.#crowding.get(at)
    if (own === undefined) {
      const near = this.#candidates.map(([, other]) => (other === at ? -1 : this.#alike(at, other))).sort((a, b) => b - a)
      this.#crowding.set(at, (own = near.slice(0, 30).reduce((a, b) => a + b, 0) / 30))
    }
    return own
  }

  /** The senses above a sense with the steps to each. */
  #aboveOf(key: string | undefined): Map<string, number> {
    if (!key) return new Map()
    let own = this.#above.get(key)
    if (!own) {
      own = new Map()
      let level = [key]
      for (let steps = 0; steps <= 12 && level.length; steps++) {
        for (const one of level) if (!own.has(one)) own.set(one, steps)
        level = level.flatMap((one) => this.dictionary.senses.get(one)?.above ?? [])
      }
      this.#above.set(key, own)
    }
    return own
  }

  /** Steps between two nouns over what both are kinds of; Infinity where nothing is. */
  #steps(a: string, b: string): number {
    const over = this.#aboveOf(this.dictionary.noun.get(a)?.[0])
    let best = Infinity
    for (const [key, steps] of this.#aboveOf(this.dictionary.noun.get(b)?.[0])) best = Math.min(best, steps + (over.get(key) ?? Infinity))
    return best
  }

  /** Listed words that are most like a word, by sense and by use. */
  #likeOf(word: string): readonly (readonly [string, number])[] {
    let own = this.#like.get(word)
    if (!own) {
      const at = this.vectors.at.get(word)!
      const file = this.#first(word).file
      own = [...this.listed.keys()]
        .flatMap((other) => {
          const there = this.vectors.at.get(other)
          if (there === undefined || other === word) return []
          const steps = this.#steps(word, other)
          const kind = this.#aboveOf(this.dictionary.noun.get(word)?.[0]).has(this.dictionary.noun.get(other)?.[0] ?? '') ? 0.5 : steps <= 2 ? 0.3 : steps <= 4 ? 0.12 : 0
          const weight = this.#alike(at, there) * (this.#first(other).file === file ? 1 : 0.6) + kind - 0.35
          return weight > 0 ? [[other, weight] as const] : []
        })
        .sort((a, b) => b[1] - a[1])
        .slice(0, LIKE)
      this.#like.set(word, own)
    }
    return own
  }

  #candidatesOf(word: string): string[] {
    const at = this.vectors.at.get(word)!
    const found = new Set(
      this.#candidates
        .map(([other, there]) => [other, this.#alike(at, there)] as const)
        .sort((a, b) => b[1] - a[1])
        .slice(0, NEAREST)
        .map(([other]) => other),
    )
    for (const one of this.#glossOf(word)) found.add(one)
    for (const [one, times] of this.#together.get(word) ?? []) if (times > 1 && this.#alike(at, this.vectors.at.get(one)!) > 0.25) found.add(one)
    for (const [one, times] of this.prompts.of.get(word) ?? []) if (times > 2) found.add(one)
    for (const [like] of this.#likeOf(word)) for (const one of this.listed.get(like)!) found.add(one)
    return [...found].filter((one) => one !== word && this.#isCandidate.has(one) && !one.includes(word) && !word.includes(one))
  }

  /** Whether one is another name, a kind or a sister kind of the other. */
  #isLikeness(word: string, other: string): boolean {
    const [a, b] = [this.dictionary.noun.get(word)?.[0], this.dictionary.noun.get(other)?.[0]]
    if (!a || !b) return false
    return this.#aboveOf(a).has(b) || this.#aboveOf(b).has(a) || this.#steps(word, other) <= 2
  }

  #featuresOf(word: string, other: string): Features {
    const [a, b] = [this.vectors.at.get(word)!, this.vectors.at.get(other)!]
    const alike = this.#alike(a, b)
    const times = this.#together.get(word)?.get(other) ?? 0
    const inPrompts = this.prompts.of.get(word)?.get(other) ?? 0
    const steps = this.#steps(word, other)
    const [own, its] = [String(this.#first(word).file), SEEN.has(other) ? 'seen' : String(this.#first(other).file)]
    let [vote, all] = [0, 0]
    for (const [like, weight] of this.#likeOf(word)) {
      const theirs = this.listed.get(like)!
      all += weight
      if (theirs.has(other)) vote += weight
      else {
        let nearest = 0
        for (const one of theirs) {
          const there = this.vectors.at.get(one)
          if (there !== undefined && one !== word) nearest = Math.max(nearest, this.#alike(there, b))
        }
        if (nearest > 0.6) vote += weight * (nearest - 0.5)
      }
    }
    const known = (this.#prior.get(other) ?? 0) - (this.listed.get(word)?.has(other) ? 1 : 0)
    const expected = ((this.#sums.get(word) ?? 1) * (this.#usual.get(other) ?? 1)) / 2e6
    return {
      bias: 1,
      alike,
      apart: 2 * alike - this.#crowdingOf(a) - this.#crowdingOf(b),
      definesIt: this.#glossOf(word).has(other) ? 1 : 0,
      definedByIt: this.#glossOf(other).has(word) ? 1 : 0,
      together: Math.log(1 + times),
      moreThanUsual: times ? Math.max(0, Math.log(times / expected)) * Math.min(1, times / 3) * 0.3 : 0,
      inPrompts: Math.log(1 + inPrompts),
      moreInPrompts: inPrompts > 1 ? Math.max(0, Math.log((inPrompts * this.prompts.texts) / ((this.prompts.count.get(word) ?? 1) * (this.prompts.count.get(other) ?? 1)))) * 0.5 : 0,
      near: steps <= 4 ? 1 : 0,
      part: (this.dictionary.noun.get(word) ?? []).slice(0, 2).some((key) => this.dictionary.senses.get(key)?.parts.some((part) => this.dictionary.senses.get(part)?.words.includes(other))) ? 1 : 0,
      vote: all ? vote / all : 0,
      votes: vote,
      known: Math.log(1 + Math.max(0, known)),
      rare: Math.log(1 + b) / 10,
      [`is ${its}`]: 1,
      [`${own} to ${its}`]: 1,
      sameFile: own === its ? 1 : 0,
    }
  }

  #strength(features: Features): number {
    let sum = 0
    for (const name in features) sum += (this.#weights[name] ?? 0) * features[name]!
    return 1 / (1 + Math.exp(-sum))
  }

  /** Fits the weights to listed words (AdaGrad; Duchi et al. 2011); what a listed word says of itself is never looked at. */
  fit(words: Iterable<string>, random: Random): void {
    const KEEP = 0.35
    const rows: { features: Features; right: number }[] = []
    for (const word of words) {
      if (!this.vectors.at.has(word)) continue
      for (const other of this.#candidatesOf(word)) {
        const right = this.listed.get(word)!.has(other)
        if (right || random() < KEEP) rows.push({ features: this.#featuresOf(word, other), right: right ? 1 : 0 })
      }
    }
    const steps: Features = {}
    for (let epoch = 0; epoch < 12; epoch++) {
      for (let n = rows.length - 1; n > 0; n--) {
        const k = Math.floor(random() * (n + 1))
        ;[rows[n], rows[k]] = [rows[k]!, rows[n]!]
      }
      for (const { features, right } of rows) {
        const error = (this.#strength(features) - right) * (right ? 1 : 1 / KEEP)
        for (const name in features) {
          const slope = error * features[name]! + 1e-4 * (this.#weights[name] ?? 0)
          steps[name] = (steps[name] ?? 1e-6) + slope * slope
          this.#weights[name] = (this.#weights[name] ?? 0) - (0.15 * slope) / Math.sqrt(steps[name]!)
        }
      }
    }
  }

  /** What a word brings, strongest first; nothing for a word without a vector. */
  rank(word: string): Ranked[] {
    if (!this.vectors.at.has(word)) return []
    return this.#candidatesOf(word)
      .filter((other) => !this.#isLikeness(word, other))
      .map((what): Ranked => {
        const features = this.#featuresOf(word, what)
        return { what, strength: this.#strength(features), source: features['definesIt'] || features['definedByIt'] ? 'dictionary' : (features['inPrompts'] ?? 0) > 1 ? 'prompts' : 'use' }
      })
      .sort((a, b) => b.strength - a.strength)
  }

  /** Words of the same parent, nearest in use first. */
  sisters(word: string, most: number): string[] {
    const at = this.vectors.at.get(word)
    if (at === undefined) return []
    return this.vectors.words
      .slice(0, COMMONEST)
      .flatMap((other, there) => (other !== word && this.dictionary.noun.has(other) && CompanionModel.lemma(other, this.dictionary) === other && !this.#first(other).single && this.#first(other).file === this.#first(word).file && this.#steps(word, other) <= 2 ? [[other, this.#alike(at, there)] as const] : []))
      .filter(([, alike]) => alike > 0.3)
      .sort((a, b) => b[1] - a[1])
      .slice(0, most)
      .map(([other]) => other)
  }
}
