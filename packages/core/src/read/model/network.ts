import type { WordTable } from '../words/word-table.ts'
import { LABELS } from './chain.ts'
import type { FeatureIndex } from './feature-index.ts'
import { featuresOf, type Sequence } from './features.ts'

/** Sizes of the network's layers; input and hidden are multiples of four. */
export interface Shape {
  /** Numbers a word's vector has. */
  vector: number
  /** Numbers each word has after the first layer. */
  input: number
  /** Numbers each direction of the recurrent layer carries. */
  hidden: number
}

/**
 * Weights of a reader of whole sentences: what is known of a word is summed into one vector, two gated recurrent
 * layers (Cho et al. 2014) read them from both ends, and a linear layer scores each label.
 */
export interface Network extends Shape {
  /** Feature to row of `rows`. */
  index: FeatureIndex
  /** Features x input. */
  rows: Float64Array
  /** input x vector. */
  project: Float64Array
  /** input. */
  bias: Float64Array
  /** Forwards and backwards: 3 gates (reset, update, candidate) x hidden x (input + hidden + 1). */
  gates: [Float64Array, Float64Array]
  /** ROWS_OUT x (2 hidden + input + 1); the rows past LABELS are not used. */
  output: Float64Array
  /** Gaps x LABELS x LABELS. */
  pairs: Float64Array
}

/** Labels, rounded up to a multiple of four. */
export const ROWS_OUT = Math.ceil(LABELS / 4) * 4

export const gateWidth = ({ input, hidden }: Shape): number => input + hidden + 1
export const outputWidth = ({ input, hidden }: Shape): number => 2 * hidden + input + 1

const sigmoid = (x: number) => 1 / (1 + Math.exp(-x))

/**
 * Adds the products of rows of a matrix with a vector to `out`: four rows at a time, since they share what they read of
 * the vector and do not wait for one another. `rows` is a multiple of four; a row is `width` long and counts from `skip` for `columns`.
 */
function addProducts(out: Float64Array, outAt: number, matrix: Float64Array, from: number, rows: number, width: number, skip: number, columns: number, x: Float64Array, xAt: number): void {
  for (let r = 0; r < rows; r += 4) {
    const a = (from + r) * width + skip
    const b = a + width
    const c = b + width
    const d = c + width
    let s0 = 0
    let s1 = 0
    let s2 = 0
    let s3 = 0
    for (let k = 0; k < columns; k++) {
      const v = x[xAt + k]!
      s0 += matrix[a + k]! * v
      s1 += matrix[b + k]! * v
      s2 += matrix[c + k]! * v
      s3 += matrix[d + k]! * v
    }
    out[outAt + r]! += s0
    out[outAt + r + 1]! += s1
    out[outAt + r + 2]! += s2
    out[outAt + r + 3]! += s3
  }
}

/** One direction over n inputs; n x hidden. */
export function recur(shape: Shape, weights: Float64Array, x: Float64Array, n: number, backwards: boolean): Float64Array {
  const { input, hidden } = shape
  const width = gateWidth(shape)
  const all = 3 * hidden
  // What the inputs add to every gate, for all words at once.
  const sums = new Float64Array(n * all)
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < all; k++) sums[i * all + k] = weights[k * width + width - 1]!
    addProducts(sums, i * all, weights, 0, all, width, 0, input, x, i * input)
  }
  const h = new Float64Array(n * hidden)
  const recurrent = new Float64Array(hidden)
  for (let step = 0; step < n; step++) {
    const i = backwards ? n - 1 - step : step
    const before = (backwards ? i + 1 : i - 1) * hidden
    recurrent.fill(0)
    if (step > 0) {
      addProducts(sums, i * all, weights, 0, 2 * hidden, width, input, hidden, h, before)
      addProducts(recurrent, 0, weights, 2 * hidden, hidden, width, input, hidden, h, before)
    }
    for (let k = 0; k < hidden; k++) {
      const reset = sigmoid(sums[i * all + k]!)
      const keep = sigmoid(sums[i * all + hidden + k]!)
      const candidate = Math.tanh(sums[i * all + 2 * hidden + k]! + reset * recurrent[k]!)
      h[i * hidden + k] = keep * (step > 0 ? h[before + k]! : 0) + (1 - keep) * candidate
    }
  }
  return h
}

/** The first layer: features of each word and its vector, summed; negative parts cut off; n x input. */
export function firstLayer(net: Network, n: number, rowsOf: (i: number) => Iterable<number>, vectorOf: (i: number) => Float64Array | undefined): Float64Array {
  const { input, vector, rows, project, bias } = net
  const x = new Float64Array(n * input)
  for (let i = 0; i < n; i++) {
    const at = i * input
    x.set(bias, at)
    for (const row of rowsOf(i)) {
      const from = row * input
      for (let d = 0; d < input; d++) x[at + d]! += rows[from + d]!
    }
    const v = vectorOf(i)
    if (v) addProducts(x, at, project, 0, input, vector, 0, vector, v, 0)
    for (let d = at; d < at + input; d++) if (x[d]! < 0) x[d] = 0
  }
  return x
}

/** The last layer: scores of the words at some places of the sequence, places x LABELS. Words below 0 of the first layer are 0 in `x` already. */
export function lastLayer(net: Network, places: readonly number[], x: Float64Array, forwards: Float64Array, backwards: Float64Array): Float64Array {
  const { input, hidden, output } = net
  const width = outputWidth(net)
  const scores = new Float64Array(places.length * LABELS)
  const sums = new Float64Array(ROWS_OUT)
  places.forEach((i, item) => {
    for (let y = 0; y < ROWS_OUT; y++) sums[y] = output[y * width + width - 1]!
    addProducts(sums, 0, output, 0, ROWS_OUT, width, 0, hidden, forwards, i * hidden)
    addProducts(sums, 0, output, 0, ROWS_OUT, width, hidden, hidden, backwards, i * hidden)
    addProducts(sums, 0, output, 0, ROWS_OUT, width, 2 * hidden, input, x, i * input)
    for (let y = 0; y < LABELS; y++) scores[item * LABELS + y] = sums[y]!
  })
  return scores
}

/** Scores of the items of a sequence, items x LABELS, by the plain code; fast-network.ts gives the same. */
export function scoresOf(net: Network, { steps, items }: Sequence, words: WordTable): Float64Array {
  const n = steps.length
  const x = firstLayer(
    net,
    n,
    (i) => net.index.rowsOf(featuresOf(steps[i]!)),
    (i) => words.vectorAt(steps[i]!.entry.index),
  )
  const places = items.map(({ step }) => step)
  return lastLayer(net, places, x, recur(net, net.gates[0], x, n, false), recur(net, net.gates[1], x, n, true))
}
