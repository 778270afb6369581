import { hashText } from '../../random/seeded.ts'
import type { Token } from '../scan.ts'
import type { FeatureIndex } from './feature-index.ts'
import type { WordFacts, WordTable } from '../words/word-table.ts'

/** One number for a template and up to two values (after MurmurHash3's mixing, by Austin Appleby; public domain). */
export function mix(template: number, a: number, b = 0): number {
  let h = Math.imul(template + 1, 0x9e3779b1)
  h = Math.imul(h ^ a, 0x85ebca6b)
  h ^= h >>> 13
  h = Math.imul(h ^ b, 0xc2b2ae35)
  h ^= h >>> 16
  h = Math.imul(h, 0x27d4eb2f)
  return (h ^ (h >>> 15)) >>> 0
}

function shapeOf({ text, kind }: Token): number {
  if (kind === 'number') return /^\d{4}s?$/.test(text) ? 1 : /^[fƒ]\//.test(text) ? 2 : /mm$/i.test(text) ? 3 : /[:x×]/.test(text) ? 4 : /\//.test(text) ? 5 : /\p{L}/u.test(text) ? 6 : 7
  if (/^\p{Lu}+$/u.test(text) && text.length > 1) return 8
  if (/^\p{Lu}/u.test(text)) return 9
  return text.includes('-') ? 10 : 11
}

/** Templates of a word's own features; those of its surroundings are numbered from here on. */
export const OWN_TEMPLATES = 15
const JOINING_TEMPLATE = 99

/** A word as a reading sees it, by itself. */
export interface WordEntry {
  /** Its place in the table of words; -1 for none. */
  index: number
  facts: WordFacts
  /** The hash of the word in lower case. */
  id: number
  /** What is known of it wherever it stands, each fact as one number: its letters, shape, senses and clusters. */
  features: Uint32Array
  /** The rows of the network that those features have. */
  rows: Uint32Array
  /** Its place among the words remembered, below REMEMBERED; another word may have it later. */
  slot: number
}

/** What stands for a stretch that is no part of the picture. */
const NOISE: Token = { start: 0, end: 0, text: '\u0000', lower: '\u0000', kind: 'mark' }

/** Words whose entries are remembered; a writer's are far fewer. */
export const REMEMBERED = 8_192

/** What is known of words, worked out once for each. */
export class WordEntries {
  readonly #known = new Map<string, WordEntry>()
  readonly #joining = new Map<string, WordEntry>()
  #next = 0

  /** With the index of a network, entries know their rows of it. */
  constructor(
    readonly words: WordTable,
    private readonly network?: FeatureIndex,
  ) {}

  /** Makes room for the words of one sequence, so that no two of them ever have one slot. `count` is at most REMEMBERED. */
  reserve(count: number): void {
    if (this.#next + count <= REMEMBERED) return
    this.#known.clear()
    this.#joining.clear()
    this.#next = 0
  }

  of(token: Token): WordEntry {
    const known = this.#known.get(token.text)
    if (known) return known
    const { lower } = token
    const index = this.words.indexOf(lower)
    const facts = this.words.factsAt(index)
    const id = hashText(lower)
    const values: [number, number?][] = [
      [id],
      [hashText(lower.slice(-3))],
      [hashText(lower.slice(-2))],
      [hashText(lower.slice(0, 4))],
      [shapeOf(token)],
      [facts.classes, facts.main],
      [facts.noun1],
      [facts.noun2],
      [facts.kind1],
      [facts.kind2],
      [facts.kind3],
      [facts.coarse],
      [facts.middle],
      [facts.fine],
      [hashText(lower.slice(-4))],
    ]
    const entry = this.#entry(index, facts, id, Uint32Array.from(values, ([a, b], template) => mix(template, a, b)))
    this.#known.set(token.text, entry)
    return entry
  }

  /** A word or mark that only joins others: of it no more counts than which it is. */
  joining({ lower }: Token): WordEntry {
    const known = this.#joining.get(lower)
    if (known) return known
    const index = this.words.indexOf(lower)
    const id = hashText(lower)
    const entry = this.#entry(index, this.words.factsAt(index), id, Uint32Array.of(mix(JOINING_TEMPLATE, id)))
    this.#joining.set(lower, entry)
    return entry
  }

  /** What stands for a stretch that is no part of the picture. */
  get noise(): WordEntry {
    return this.joining(NOISE)
  }

  #entry(index: number, facts: WordFacts, id: number, features: Uint32Array): WordEntry {
    return { index, facts, id, features, rows: Uint32Array.from(this.network?.rowsOf(features) ?? []), slot: this.#next++ % REMEMBERED }
  }
}
