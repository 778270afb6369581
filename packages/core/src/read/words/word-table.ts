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

/** Numbers in a word's vector, and what its whole numbers are divided by. */
export const VECTOR = 24
const VECTOR_SCALE = 64

/**
 * A table of words packed as: count, length of the words' text (both 32-bit, little-endian), the words joined by
 * line ends, one byte a word for each of COLUMNS, two bytes a word for the fine clusters, VECTOR signed bytes a word.
 */
export function packWords(words: readonly string[], facts: readonly WordFacts[], vectors: ArrayLike<number>): Uint8Array {
  const text = asciiBytes(words.join('\n'))
  const count = words.length
  const bytes = new Uint8Array(8 + text.length + count * (COLUMNS.length + 2 + VECTOR))
  const view = new DataView(bytes.buffer)
  view.setUint32(0, count, true)
  view.setUint32(4, text.length, true)
  bytes.set(text, 8)
  let at = 8 + text.length
  for (const column of COLUMNS) for (const fact of facts) bytes[at++] = fact[column]
  for (const shift of [0, 8]) for (const fact of facts) bytes[at++] = (fact.fine >> shift) & 255
  for (let i = 0; i < vectors.length; i++) view.setInt8(at++, Math.max(-127, Math.min(127, Math.round(vectors[i]! * VECTOR_SCALE))))
  return bytes
}

/** What is known of a word that is not in the table. */
const NO_FACTS: WordFacts = { noun1: 255, noun2: 255, verb: 255, kind1: 255, kind2: 255, kind3: 255, classes: 0, main: 255, coarse: 255, middle: 255, fine: 65_535 }
export class WordTable {
  /** The words in their order; a word's place is its index here. */
  readonly list: readonly string[]
  readonly #index: Map<string, number>
  readonly #facts: WordFacts[]
  readonly #vectors: Int8Array

  /** @throws when the bytes are no table of words. */
  constructor(bytes: Uint8Array) {
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
    const count = view.getUint32(0, true)
    const length = view.getUint32(4, true)
    const start = 8 + length
    const vectors = start + count * (COLUMNS.length + 2)
    if (bytes.length !== vectors + count * VECTOR) throw new Error('The table of words is damaged.')
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
    this.#vectors = new Int8Array(bytes.buffer, bytes.byteOffset + vectors, count * VECTOR)
  }

  /** The vector of a lower-case word; undefined for one that is not in the table. */
  vector(word: string): Float64Array | undefined {
    const at = this.indexOf(word)
    return at < 0 ? undefined : Float64Array.from(this.#vectors.subarray(at * VECTOR, (at + 1) * VECTOR), (whole) => whole / VECTOR_SCALE)
  }

  /** Writes the vector of the word at a place of the table to `out` from `into` on; nothing for no place. */
  vectorInto(index: number, out: Float32Array, into: number): void {
    if (index < 0) return
    for (let k = 0; k < VECTOR; k++) out[into + k] = this.#vectors[index * VECTOR + k]! / VECTOR_SCALE
  }

  /** The place of a lower-case word in the table, or of what it most likely is a form or the last part of; -1 for none. */
  indexOf(word: string): number {
    const own = this.#index.get(word)
    if (own !== undefined) return own
    for (const base of plainer(word)) {
      const at = this.#index.get(base)
      if (at !== undefined) return at
    }
    return -1
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
