import { seededRandom } from '../../random/seeded.ts'
import { fieldFor } from './field.ts'
import type { Allowed, Row } from './row.ts'

/** Rows tried before the best is taken, and the seed that orders them: the same plan always has the same rows. */
const CANDIDATES = 24
const SEED = 20_261
/** Steps of a search for a row that the rules allow, before a pair is taken for impossible. */
const MOST_STEPS = 20_000

/** Pairs of options of two different things that are still to be tried together. */
class OpenPairs {
  readonly #open = new Set<number>()
  readonly #offset: number[]
  readonly #all: number

  constructor(private readonly sizes: readonly number[]) {
    this.#offset = sizes.map((_, i) => sizes.slice(0, i).reduce((sum, size) => sum + size, 0))
    this.#all = sizes.reduce((sum, size) => sum + size, 0)
    for (const [i, j] of this.#things()) for (let a = 0; a < sizes[i]!; a++) for (let b = 0; b < sizes[j]!; b++) this.#open.add(this.#key(i, a, j, b))
  }

  *#things(): Generator<[number, number]> {
    for (let i = 0; i < this.sizes.length; i++) for (let j = i + 1; j < this.sizes.length; j++) yield [i, j]
  }

  #key(i: number, a: number, j: number, b: number): number {
    return i < j ? (this.#offset[i]! + a) * this.#all + this.#offset[j]! + b : this.#key(j, b, i, a)
  }

  get size(): number {
    return this.#open.size
  }

  has(i: number, a: number, j: number, b: number): boolean {
    return this.#open.has(this.#key(i, a, j, b))
  }

  /** Closes the pairs of a row; how many were open. */
  close(row: Row): number {
    let closed = 0
    for (const [i, j] of this.#things()) if (row[i]! >= 0 && row[j]! >= 0 && this.#open.delete(this.#key(i, row[i]!, j, row[j]!))) closed++
    return closed
  }

  drop(i: number, a: number, j: number, b: number): void {
    this.#open.delete(this.#key(i, a, j, b))
  }

  first(): [i: number, a: number, j: number, b: number] | undefined {
    for (const key of this.#open) {
      const [x, y] = [Math.floor(key / this.#all), key % this.#all]
      const thing = (at: number) => this.#offset.findLastIndex((offset) => offset <= at)
      const [i, j] = [thing(x), thing(y)]
      return [i, x - this.#offset[i]!, j, y - this.#offset[j]!]
    }
    return undefined
  }
}

/** Fills the undecided places of a row in an order, each with the option that closes most pairs and that leads to an allowed row; undefined where none does. */
function completed(sizes: readonly number[], begun: Row, order: readonly number[], open: OpenPairs, allowed: Allowed, steps: { left: number }): number[] | undefined {
  const at = order.find((i) => begun[i]! < 0)
  if (at === undefined) return allowed(begun) ? [...begun] : undefined
  const gain = (option: number) => begun.reduce((sum, other, i) => (other >= 0 && open.has(at, option, i, other) ? sum + 1 : sum), 0)
  // The sort is stable, and begins at another option each time, so that ties do not pile up on the first.
  const shift = order[0]!
  const options = Array.from({ length: sizes[at]! }, (_, k) => (k + shift) % sizes[at]!).map((option) => ({ option, gain: gain(option) })).sort((x, y) => y.gain - x.gain)
  for (const { option } of options) {
    if (steps.left-- <= 0) return undefined
    const row = begun.with(at, option)
    if (!allowed(row)) continue
    const whole = completed(sizes, row, order, open, allowed, steps)
    if (whole) return whole
  }
  return undefined
}

/** Rows until no pair is open that can be tried at all: each begins with an open pair and is the best of some candidates (after the greedy method of Cohen et al. 1997). */
function greedily(sizes: readonly number[], allowed: Allowed, open: OpenPairs): number[][] {
  const random = seededRandom(SEED)
  const rows: number[][] = []
  for (let pair = open.first(); pair; pair = open.first()) {
    const [i, a, j, b] = pair
    const begun = sizes.map((_, k) => (k === i ? a : k === j ? b : -1))
    let best: { row: number[]; gain: number } | undefined
    for (let n = 0; n < CANDIDATES; n++) {
      const order = sizes.map((_, k) => ({ k, key: random() })).sort((x, y) => x.key - y.key).map(({ k }) => k)
      const row = completed(sizes, begun, order, open, allowed, { left: MOST_STEPS })
      if (!row) break
      let gain = 0
      for (let x = 0; x < row.length; x++) for (let y = x + 1; y < row.length; y++) if (open.has(x, row[x]!, y, row[y]!)) gain++
      if (!best || gain > best.gain) best = { row, gain }
    }
    if (!best) open.drop(i, a, j, b)
    else {
      open.close(best.row)
      rows.push(best.row)
    }
  }
  return rows
}

/**
 * Rows of an orthogonal array over a finite field (Bush 1952): q² rows for up to q + 1 things of q options. Options that a thing has not are
 * undecided. Undefined where there are more things.
 */
function orthogonal(sizes: readonly number[]): number[][] | undefined {
  const { q, add, multiply } = fieldFor(Math.max(...sizes))
  if (sizes.length > q + 1) return undefined
  return Array.from({ length: q * q }, (_, n) => {
    const [x, y] = [Math.floor(n / q), n % q]
    return sizes.map((size, k) => {
      const option = k === 0 ? x : k === 1 ? y : add(x, multiply(k - 1, y))
      return option < size ? option : -1
    })
  })
}

/** Rows without those whose every pair another row has. */
function needed(rows: readonly number[][]): number[][] {
  const pairsOf = (row: Row) => row.flatMap((a, i) => row.slice(i + 1).map((b, k) => `${i} ${a} ${i + 1 + k} ${b}`))
  const counts = new Map<string, number>()
  const pairs = rows.map(pairsOf)
  for (const pair of pairs.flat()) counts.set(pair, (counts.get(pair) ?? 0) + 1)
  return rows
    .toReversed()
    .filter((_, r) => {
      const own = pairs[rows.length - 1 - r]!
      if (own.some((pair) => counts.get(pair) === 1)) return true
      for (const pair of own) counts.set(pair, counts.get(pair)! - 1)
      return false
    })
    .reverse()
}

/**
 * A covering array of strength two: rows in which every two options of different things stand together at least once, where `allowed` lets
 * them at all. The smaller of an orthogonal array, completed, and rows found greedily. The same for the same sizes and rules.
 */
export function everyPair(sizes: readonly number[], allowed: Allowed): Row[] {
  if (sizes.length === 1) return Array.from({ length: sizes[0]! }, (_, a) => [a]).filter(allowed)
  const greedy = greedily(sizes, allowed, new OpenPairs(sizes))
  const array = orthogonal(sizes)
  if (!array || array.length > 4 * greedy.length) return needed(greedy)
  const open = new OpenPairs(sizes)
  const rows: number[][] = []
  const order = sizes.map((_, k) => k)
  for (const begun of array) {
    const row = completed(sizes, begun, order, open, allowed, { left: MOST_STEPS })
    if (row && open.close(row)) rows.push(row)
  }
  const whole = needed([...rows, ...greedily(sizes, allowed, open)])
  const least = needed(greedy)
  return whole.length < least.length ? whole : least
}
