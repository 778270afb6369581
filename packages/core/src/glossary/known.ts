import { hashText } from '../random/seeded.ts'

/** Hashes a word has; with fourteen bits a word about one unknown word in a thousand is taken for a known one. */
const HASHES = 10
const BITS_A_WORD = 14

function* placesOf(word: string, size: number): Generator<number> {
  // Two hashes stand for any number of them (Kirsch & Mitzenmacher 2006).
  const [a, b] = [hashText(word), hashText(`${word}·`) | 1]
  for (let i = 0; i < HASHES; i++) yield ((a + Math.imul(i, b)) >>> 0) % size
}

/** Packs words as a filter (Bloom 1970). */
export function packKnown(words: readonly string[]): Uint8Array {
  const bytes = new Uint8Array(Math.ceil((words.length * BITS_A_WORD) / 8))
  for (const word of words) for (const place of placesOf(word, bytes.length * 8)) bytes[place >> 3]! |= 1 << (place & 7)
  return bytes
}

/** Which lower-case words there are; now and then one that is none is taken for one, never the other way round. */
export class Known {
  constructor(private readonly bytes: Uint8Array) {}

  has(word: string): boolean {
    const size = this.bytes.length * 8
    for (const place of placesOf(word, size)) if (!(this.bytes[place >> 3]! & (1 << (place & 7)))) return false
    return true
  }
}
