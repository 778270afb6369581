import { FACETS } from '../facets.ts'
import type { Facet } from '../facet.ts'
import { TermIndex } from '../glossary/term-index.ts'
import { TERMS_BY_FACET } from '../glossary/terms-by-facet.ts'
import { LABELS, likeliest, marginals } from './model/chain.ts'
import { FastNetwork } from './model/fast-network.ts'
import { type Item, type Sequence, sequenceOf } from './model/features.ts'
import { scoresOf } from './model/network.ts'
import { joined, passagesOf } from './passages.ts'
import type { ReadingTables } from './model/tables.ts'
import { WordEntries } from './model/word-features.ts'
import { phrasesOf, wholeQuotes } from './phrases.ts'
import { prepare, type Unit } from './prepare.ts'
import type { Phrase, Reading } from './reading.ts'
import type { Analyser } from './analyser.ts'
import { scan } from './scan.ts'
import { scenesOf, type StoryScenes } from '../series/story/scenes.ts'
import type { WordTable } from './words/word-table.ts'

/** A range whose facet the writer has set. */
export interface FixedFacet {
  from: number
  to: number
  facet: Facet
}

const terms = new TermIndex(TERMS_BY_FACET)
/** Passages whose reading is remembered; a long draft has some dozens. */
const REMEMBERED = 200

/**
 * Reads prompts. What rules are certain of (labels, settings, leave-outs, praise, lead-ins) is found in the whole text;
 * the rest is read passage by passage, so that a sentence is understood by those around it. A passage that has been
 * read before is not read again: the reading of a changed text equals a reading from scratch.
 */
export class Reader {
  readonly #passages = new Map<string, Phrase[][]>()
  readonly #fast: FastNetwork | undefined
  readonly #entries: WordEntries

  constructor(
    private readonly tables: ReadingTables,
    /** Parts of speech and dictionary forms of a text's words. */
    readonly analyse: Analyser,
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
    for (const passage of passagesOf(text, units)) {
      this.#readPassage(text, passage, fixed).forEach((own, i) => {
        const from = passage[i]!.start
        for (const phrase of own) phrases.push({ ...phrase, start: phrase.start + from, end: phrase.end + from })
      })
    }
    return { phrases, leaveOut, settings, noise }
  }

  /** A story split into scenes; see scenesOf. */
  scenes(story: string, starts?: readonly number[]): StoryScenes {
    return scenesOf(story, this.tables.words, this.analyse, starts)
  }

  /** The phrases of each unit of a passage, in the unit's own offsets. */
  #readPassage(text: string, units: readonly Unit[], fixed: readonly FixedFacet[]): Phrase[][] {
    const own = units.map((unit) => fixed.filter(({ from, to }) => from < unit.end && to > unit.start).map(({ from, to, facet }) => ({ from: from - unit.start, to: to - unit.start, facet })))
    const key = JSON.stringify(units.map(({ start, end, hint, place, masks }, i) => [hint, place, masks, own[i], text.slice(start, end)]))
    const known = this.#passages.get(key)
    if (known) {
      // Kept in the order of use, so that the oldest is the first to go.
      this.#passages.delete(key)
      this.#passages.set(key, known)
      return known
    }
    const said = units.map(({ start, end }) => scanned(text.slice(start, end)))
    // All at once, so that the words of one passage are remembered side by side.
    this.#entries.reserve(said.reduce((sum, { tokens }) => sum + tokens.length + 1, 0))
    const sequences = units.map(({ hint, masks, place }, i) => {
      const { text: own, tokens } = said[i]!
      return sequenceOf(tokens, { words: this.#entries, facts: this.analyse(own, tokens), terms: terms.find(tokens), hint, masks, place })
    })
    const p = this.#probabilities(joined(sequences), sequences.flatMap(({ items }, i) => heldIn(items, own[i]!)))
    let at = 0
    const phrases = sequences.map(({ items }, i) => {
      const share = p.subarray(at * LABELS, (at += items.length) * LABELS)
      const { text: unit, tokens } = said[i]!
      return phrasesOf(unit, items, wholeQuotes(items, tokens, likeliest(items.length, share)), share, this.tables.calibration)
    })
    this.#passages.set(key, phrases)
    if (this.#passages.size > REMEMBERED) this.#passages.delete(this.#passages.keys().next().value!)
    return phrases
  }

  /** How probable each label of each word is; `held` has the one label that a word may have, or -1. */
  #probabilities(sequence: Sequence, held: readonly number[]): Float64Array {
    const { network, words } = this.tables
    if (this.#fast) return this.#fast.probabilities(sequence, Int8Array.from(held), words)
    const unary = scoresOf(network, sequence, words)
    held.forEach((label, i) => {
      if (label >= 0) for (let y = 0; y < LABELS; y++) if (y !== label) unary[i * LABELS + y] = -1e4
    })
    return marginals({ n: held.length, unary, pairs: network.pairs, gaps: Uint8Array.from(sequence.items, ({ gap }) => gap) }).p
  }
}

const scanned = (text: string) => ({ text, tokens: scan(text) })

/** For each item the label that the writer has set, or -1. */
const heldIn = (items: readonly Item[], fixed: readonly FixedFacet[]): number[] =>
  items.map(({ token }) => {
    const last = fixed.findLast(({ from, to }) => token.start < to && token.end > from)
    return last ? FACETS.indexOf(last.facet) + 1 : -1
  })
