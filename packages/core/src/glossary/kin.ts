import { headOf } from '../english/noun.ts'
import type { WordTable } from '../read/words/word-table.ts'

const NONE = 0xffff
/** Senses of a word, and senses above a sense, that are kept. */
const SENSES = 2
const ABOVE = 2

/**
 * Which nouns are kinds of which, packed: the number of senses and of words (32-bit, little-endian), ABOVE senses above
 * each sense, then SENSES senses a word in the order of the table of words; 16 bits each, NONE where there are fewer.
 */
export function packKin(senses: readonly (readonly number[])[], parents: readonly (readonly number[])[]): Uint8Array {
  if (parents.length >= NONE) throw new Error('There are more senses than 16 bits tell apart.')
  const bytes = new Uint8Array(8 + 2 * (ABOVE * parents.length + SENSES * senses.length))
  const view = new DataView(bytes.buffer)
  view.setUint32(0, parents.length, true)
  view.setUint32(4, senses.length, true)
  let at = 8
  const put = (value: number) => {
    view.setUint16(at, value, true)
    at += 2
  }
  for (const over of parents) for (let k = 0; k < ABOVE; k++) put(over[k] ?? NONE)
  for (const own of senses) for (let k = 0; k < SENSES; k++) put(own[k] ?? NONE)
  return bytes
}

/** Kinds of things: whether a sparrow is a bird, by the two commonest senses of either word (WordNet's tree; Miller 1995). */
export class Kin {
  readonly #parents: Uint16Array
  readonly #senses: Uint16Array
  /** What lies above words, since a draft asks it of each word again after every key. */
  readonly #ofFirstSense = new Map<string, Map<number, number>>()
  readonly #own = new Map<string, number[]>()
  readonly #ofAnySense = new Map<string, Map<number, number>>()

  /** @throws when the bytes do not go with the table of words. */
  constructor(
    bytes: Uint8Array,
    private readonly words: WordTable,
  ) {
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
    const [senses, count] = [view.getUint32(0, true), view.getUint32(4, true)]
    if (count !== words.list.length || bytes.length !== 8 + 2 * (ABOVE * senses + SENSES * count)) throw new Error('The table of kinds does not go with the table of words.')
    this.#parents = Uint16Array.from({ length: ABOVE * senses }, (_, i) => view.getUint16(8 + 2 * i, true))
    this.#senses = Uint16Array.from({ length: SENSES * count }, (_, i) => view.getUint16(8 + 2 * (ABOVE * senses + i), true))
  }

  /** The senses of a lower-case word, commonest first. */
  #sensesOf(word: string): readonly number[] {
    let own = this.#own.get(word)
    if (!own) {
      const at = this.words.indexOf(word)
      own = at < 0 ? [] : [...this.#senses.subarray(at * SENSES, (at + 1) * SENSES)].filter((sense) => sense !== NONE)
      if (this.#own.size >= REMEMBERED) this.#own.clear()
      this.#own.set(word, own)
    }
    return own
  }

  /**
   * How many steps a noun lies below a kind: 0 for the same thing, -1 when it is none of that kind. The noun counts by
   * its commonest sense alone unless `anySense`; phrases count by their head.
   */
  below(noun: string, kind: string, anySense = false): number {
    const above = this.#stepsAbove(headOf(noun), anySense)
    let nearest = -1
    for (const sense of this.#sensesOf(headOf(kind))) {
      const steps = above.get(sense)
      if (steps !== undefined && (nearest < 0 || steps < nearest)) nearest = steps
    }
    return nearest
  }

  /** The senses above a word with the steps to each, its own at 0. */
  #stepsAbove(word: string, anySense: boolean): ReadonlyMap<number, number> {
    const known = anySense ? this.#ofAnySense : this.#ofFirstSense
    let above = known.get(word)
    if (!above) {
      above = new Map()
      const own = this.#sensesOf(word)
      // Level by level, so that the nearest way up counts.
      let level: readonly number[] = anySense ? own : own.slice(0, 1)
      for (let steps = 0; steps < MOST_STEPS && level.length; steps++) {
        const next: number[] = []
        for (const sense of level) {
          if (above.has(sense)) continue
          above.set(sense, steps)
          for (let k = 0; k < ABOVE; k++) {
            const parent = this.#parents[sense * ABOVE + k]!
            if (parent !== NONE) next.push(parent)
          }
        }
        level = next
      }
      if (known.size >= REMEMBERED) known.clear()
      known.set(word, above)
    }
    return above
  }
}
const MOST_STEPS = 24
const REMEMBERED = 10_000
