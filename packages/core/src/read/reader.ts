import { FACETS } from '../facets.ts'
import type { Facet } from '../facet.ts'
import { TermIndex } from '../glossary/term-index.ts'
import { TERMS_BY_FACET } from '../glossary/lexicon.ts'
import { LABELS, likeliest, marginals } from './model/chain.ts'
import { FastNetwork } from './model/fast-network.ts'
import { featuresOf, type Item, itemsOf } from './model/features.ts'
import { firstLayer, lastLayer, recur } from './model/network.ts'
import type { ReadingTables } from './model/tables.ts'
import { WordEntries } from './model/word-features.ts'
import { phrasesOf, wholeQuotes } from './phrases.ts'
import { prepare, type Unit } from './prepare.ts'
import type { Phrase, Reading } from './reading.ts'
import { scan, type Token } from './scan.ts'
import { scenesOf, type StoryScenes } from '../series/story/scenes.ts'
import type { WordTable } from './words/word-table.ts'

/** Gives each token of a text its part of speech as a small whole number (see tagger.ts). */
export type Tagger = (text: string, tokens: readonly Token[]) => number[]

/** A range whose facet the writer has set. */
export interface FixedFacet {
  from: number
  to: number
  facet: Facet
}

const terms = new TermIndex(TERMS_BY_FACET)
/** Units whose reading is remembered; a long draft has some dozens. */
const REMEMBERED = 400

/**
 * Reads prompts. What rules are certain of (labels, settings, leave-outs, praise, lead-ins) is found in the whole text;
 * the rest is read unit by unit (a sentence, a field), and a unit that has been read before, the same and in the
 * same place, is not read again: the reading of a changed text equals a reading from scratch.
 */
export class Reader {
  readonly #units = new Map<string, Phrase[]>()
  readonly #fast: FastNetwork | undefined
  readonly #entries: WordEntries

  constructor(
    private readonly tables: ReadingTables,
    private readonly tag: Tagger,
  ) {
    this.#fast = FastNetwork.of(tables.network)
    this.#entries = new WordEntries(tables.words, tables.network.index)
  }

  /** What is known of words by themselves. */
  get words(): WordTable {
    return this.tables.words
  }

  /** What the text says. Ranges are UTF-16 code units, exact, ordered, and never overlap. Never throws. */
  read(text: string, fixed: readonly FixedFacet[] = []): Reading {
    const { units, noise, leaveOut, settings } = prepare(text)
    const phrases: Phrase[] = []
    for (const unit of units) {
      for (const phrase of this.#readUnit(text.slice(unit.start, unit.end), unit, fixed)) {
        const [start, end] = [phrase.start + unit.start, phrase.end + unit.start]
        phrases.push({ ...phrase, start, end })
      }
    }
    return { phrases, leaveOut, settings, noise }
  }

  /** A story split into scenes; see scenesOf. */
  scenes(story: string, starts?: readonly number[]): StoryScenes {
    return scenesOf(story, this.tables.words, this.tag, starts)
  }

  #readUnit(said: string, unit: Unit, fixed: readonly FixedFacet[]): Phrase[] {
    const own = fixed.filter(({ from, to }) => from < unit.end && to > unit.start).map(({ from, to, facet }) => ({ from: from - unit.start, to: to - unit.start, facet }))
    const key = `${unit.hint} ${unit.place} ${unit.masks.length ? JSON.stringify(unit.masks) : ''} ${own.length ? JSON.stringify(own) : ''} ${said}`
    const known = this.#units.get(key)
    if (known) {
      // Kept in the order of use, so that the oldest is the first to go.
      this.#units.delete(key)
      this.#units.set(key, known)
      return known
    }
    const tokens = scan(said)
    const items = itemsOf(tokens, { words: this.#entries, tags: this.tag(said, tokens), terms: terms.find(tokens), hint: unit.hint, masks: unit.masks, place: unit.place })
    const p = this.#probabilities(items, own)
    const phrases = phrasesOf(said, items, wholeQuotes(items, tokens, likeliest(items.length, p)), p, this.tables.calibration)
    this.#units.set(key, phrases)
    if (this.#units.size > REMEMBERED) this.#units.delete(this.#units.keys().next().value!)
    return phrases
  }

  /** How probable each label of each word is, given what the writer has fixed. */
  #probabilities(items: readonly Item[], fixed: readonly FixedFacet[]): Float64Array {
    const { network, words } = this.tables
    const n = items.length
    const held = new Int8Array(n).fill(-1)
    for (const { from, to, facet } of fixed) {
      items.forEach(({ token }, i) => {
        if (token.start < to && token.end > from) held[i] = FACETS.indexOf(facet) + 1
      })
    }
    if (this.#fast) return this.#fast.probabilities(items, held, words)
    const x = firstLayer(
      network,
      n,
      (i) => network.index.rowsOf(featuresOf(items[i]!)),
      (i) => words.vector(items[i]!.token.lower),
    )
    const unary = lastLayer(network, n, x, recur(network, network.gates[0], x, n, false), recur(network, network.gates[1], x, n, true))
    held.forEach((label, i) => {
      if (label >= 0) for (let y = 0; y < LABELS; y++) if (y !== label) unary[i * LABELS + y] = -1e4
    })
    return marginals({ n, unary, pairs: network.pairs, gaps: Uint8Array.from(items, ({ gap }) => gap) }).p
  }
}
