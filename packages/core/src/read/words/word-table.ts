import { asciiBytes, asciiText } from '../model/ascii.ts'

/** What is known of a word beforehand. Files and kinds are numbered as in WordNet and in the table's own list of kinds; 255 is none. */
export interface WordFacts {
  /** Lexicographer files of its first two noun senses and its first verb sense. */
  noun1: number
  noun2: number
  verb: number
  /** Nearest kind of thing above its first three noun senses. */
  kind1: number
  kind2: number
  kind3: number
  /** Bits: 1 noun, 2 verb, 4 adjective, 8 adverb. */
  classes: number
  /** The class it was seen as most often: 0 noun, 1 verb, 2 adjective, 3 adverb; 255 unseen. */
  main: number
  /** Clusters of its vector, of a coarse, a middle and a fine division. */
  coarse: number
  middle: number
  fine: number
}

export const COLUMNS = ['noun1', 'noun2', 'verb', 'kind1', 'kind2', 'kind3', 'classes', 'main', 'coarse', 'middle'] as const

/** Numbers in a word's vector; the first half tell most, and each is packed finer: as one of sixteen steps, the others of four. */
export const VECTOR = 64
const HALF = VECTOR / 2
const FINE = { bits: 4, reach: 2.4 } as const
/** Four steps of equal width lose least where they reach so far (Max 1960, for normally spread numbers). */
const COARSE = { bits: 2, reach: 1.992 } as const
const packing = (k: number) => (k < HALF ? FINE : COARSE)
const VECTOR_BYTES = (HALF * (FINE.bits + COARSE.bits)) / 8
/** A vector's numbers are small; the reader's first layer likes them of about one. */
const SPREAD = 4

/**
 * A table of words packed as: count, length of the words' text (both 32-bit, little-endian), the words joined by
 * line ends, one byte a word for each of COLUMNS, two bytes a word for the fine clusters, the size of a step of each
 * place of the vectors (32-bit), then the vectors, two fine steps a byte and then four coarse ones.
 */
export function packWords(words: readonly string[], facts: readonly WordFacts[], vectors: ArrayLike<number>): Uint8Array {
  const text = asciiBytes(words.join('\n'))
  const count = words.length
  const bytes = new Uint8Array(8 + text.length + count * (COLUMNS.length + 2 + VECTOR_BYTES) + 4 * VECTOR)
  const view = new DataView(bytes.buffer)
  view.setUint32(0, count, true)
  view.setUint32(4, text.length, true)
  bytes.set(text, 8)
  let at = 8 + text.length
  for (const column of COLUMNS) for (const fact of facts) bytes[at++] = fact[column]
  for (const shift of [0, 8]) for (const fact of facts) bytes[at++] = (fact.fine >> shift) & 255
  const sizes = Float32Array.from({ length: VECTOR }, (_, k) => {
    let sum = 0
    for (let i = k; i < vectors.length; i += VECTOR) sum += vectors[i]! ** 2
    const { bits, reach } = packing(k)
    return (2 * reach * Math.sqrt(sum / Math.max(1, count))) / 2 ** bits || 1
  })
  for (const size of sizes) {
    view.setFloat32(at, size * SPREAD, true)
    at += 4
  }
  for (let i = 0; i < count; i++) {
    for (let k = 0; k < VECTOR; ) {
      const { bits } = packing(k)
      for (let shift = 0; shift < 8; shift += bits, k++) {
        const step = Math.floor(vectors[i * VECTOR + k]! / sizes[k]! + 2 ** (bits - 1))
        bytes[at]! |= Math.max(0, Math.min(2 ** bits - 1, step)) << shift
      }
      at++
    }
  }
  return bytes
}

/** Words whose plainer spellings are remembered. */
const REMEMBERED = 20_000

/** What is known of a word that is not in the table. */
const NO_FACTS: WordFacts = { noun1: 255, noun2: 255, verb: 255, kind1: 255, kind2: 255, kind3: 255, classes: 0, main: 255, coarse: 255, middle: 255, fine: 65_535 }
export class WordTable {
  /** The words in their order; a word's place is its index here. */
  readonly list: readonly string[]
  readonly #index: Map<string, number>
  /** Places of words that are in the table only by a plainer spelling, or not at all. */
  readonly #others = new Map<string, number>()
  readonly #facts: WordFacts[]
  readonly #vectors: Uint8Array
  readonly #sizes: Float32Array

  /** @throws when the bytes are no table of words. */
  constructor(bytes: Uint8Array) {
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
    const count = view.getUint32(0, true)
    const length = view.getUint32(4, true)
    const start = 8 + length
    const sizes = start + count * (COLUMNS.length + 2)
    const vectors = sizes + 4 * VECTOR
    if (bytes.length !== vectors + count * VECTOR_BYTES) throw new Error('The table of words is damaged.')
    const words = asciiText(bytes.subarray(8, start)).split('\n')
    this.list = words
    this.#index = new Map(words.map((word, i) => [word, i]))
    this.#facts = words.map((_, i) => {
      const column = (n: number) => bytes[start + n * count + i] ?? 255
      const fact = {} as WordFacts
      COLUMNS.forEach((name, n) => (fact[name] = column(n)))
      fact.fine = column(COLUMNS.length) | (column(COLUMNS.length + 1) << 8)
      return fact
    })
    this.#sizes = Float32Array.from({ length: VECTOR }, (_, k) => view.getFloat32(sizes + 4 * k, true))
    this.#vectors = bytes.subarray(vectors)
  }

  /** The vector of a lower-case word; undefined for one that is not in the table. */
  vector(word: string): Float64Array | undefined {
    return this.vectorAt(this.indexOf(word))
  }

  /** The vector at a place of the table; undefined for no place. */
  vectorAt(index: number): Float64Array | undefined {
    return index < 0 ? undefined : Float64Array.from({ length: VECTOR }, (_, k) => this.#number(index, k))
  }

  /** Writes the vector of the word at a place of the table to `out` from `into` on; nothing for no place. */
  vectorInto(index: number, out: Float32Array, into: number): void {
    if (index < 0) return
    for (let k = 0; k < VECTOR; k++) out[into + k] = this.#number(index, k)
  }

  /** The middle of the step that a number of a vector was packed as. */
  #number(index: number, k: number): number {
    const { bits } = packing(k)
    const bit = k < HALF ? k * FINE.bits : HALF * FINE.bits + (k - HALF) * COARSE.bits
    const step = (this.#vectors[index * VECTOR_BYTES + (bit >> 3)]! >> (bit & 7)) & (2 ** bits - 1)
    return (step - 2 ** (bits - 1) + 0.5) * this.#sizes[k]!
  }

  /** The place of a lower-case word in the table, or of what it most likely is a form or the last part of; -1 for none. */
  indexOf(word: string): number {
    const own = this.#index.get(word) ?? this.#others.get(word)
    if (own !== undefined) return own
    const base = plainer(word).find((one) => this.#index.has(one))
    const at = base === undefined ? -1 : this.#index.get(base)!
    if (this.#others.size >= REMEMBERED) this.#others.clear()
    this.#others.set(word, at)
    return at
  }

  /** The facts at a place of the table. */
  factsAt(index: number): WordFacts {
    return this.#facts[index] ?? NO_FACTS
  }

  find(word: string): WordFacts | undefined {
    return this.#facts[this.indexOf(word)]
  }
}

/** Simpler spellings of a word that a table may have: without its ending, its accents, or what stands before its last hyphen. */
function plainer(word: string): string[] {
  const list: string[] = []
  const bare = word.normalize('NFD').replace(/\p{M}/gu, '')
  if (bare !== word) list.push(bare)
  const parts = bare.split(/[-’'/]/)
  const last = parts[parts.length - 1] ?? ''
  if (parts.length > 1 && last.length > 2) list.push(last)
  if (parts.length > 1 && (parts[0]?.length ?? 0) > 2) list.push(parts[0] ?? '')
  if (last.endsWith('s')) list.push(last.slice(0, -1))
  if (last.endsWith('ed')) list.push(last.slice(0, -2), last.slice(0, -1))
  if (last.endsWith('ing')) list.push(last.slice(0, -3), `${last.slice(0, -3)}e`)
  if (last.endsWith('ly') || last.endsWith('er')) list.push(last.slice(0, -2))
  if (last.endsWith('y')) list.push(last.slice(0, -1))
  return list
}
