import { hashText, normal, seededRandom } from '@idolon/core'
import { KeptVectors } from '../meaning/kept-vectors.ts'
import type { Meaning, Nearest, Wanted } from '../meaning/meaning.ts'
import { type Close, DIMENSIONS, inBytes } from '../meaning/vector-table.ts'

/** Each word a direction of its own. */
const direction = (word: string): number[] => {
  const random = seededRandom(hashText(word))
  return Array.from({ length: DIMENSIONS }, () => normal(random))
}
const vectorsOf = (texts: readonly string[]): Promise<Int8Array[]> =>
  Promise.resolve(
    texts.map((text) => {
      const words = (text.toLowerCase().match(/\p{L}+/gu) ?? []).map(direction)
      return inBytes(Array.from({ length: DIMENSIONS }, (_, i) => words.reduce((sum, word) => sum + word[i]!, 0)))
    }),
  )

/** Texts are close when they share words: what a server is tested with, whose test has nothing to do with what texts mean. */
export class MeaningByWords implements Meaning {
  readonly #kept: KeptVectors
  readonly vectors = vectorsOf

  constructor(databaseUrl: string) {
    this.#kept = new KeptVectors(databaseUrl, vectorsOf)
  }

  closest(wanted: Wanted, nearest: Nearest): Promise<Close[]> {
    return this.#kept.closest(wanted, nearest)
  }

  close(): Promise<void> {
    return this.#kept.close()
  }
}
