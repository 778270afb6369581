import { FACETS } from '../../facets.ts'

/** Labels of a word: 0 for none, then the facets in their order. */
export const LABELS = FACETS.length + 1

/** A linear chain over n words: a score for each word and label, and one for each pair of neighbours, by the gap between them. */
export interface Chain {
  n: number
  /** n x LABELS. */
  unary: Float64Array
  /** For each gap, LABELS x LABELS: from the label before to the label after; for the first gap only row 0 counts. */
  pairs: Float64Array
  /** The gap before each word. */
  gaps: Uint8Array
}

const SQUARE = LABELS * LABELS

/** The label that is most probable at each word, given all words (posterior decoding): it is right more often than the label on the likeliest path. */
export function likeliest(n: number, p: Float64Array): Uint8Array {
  const labels = new Uint8Array(n)
  for (let i = 0; i < n; i++) for (let y = 1; y < LABELS; y++) if (p[i * LABELS + y]! > p[i * LABELS + labels[i]!]!) labels[i] = y
  return labels
}

/**
 * How probable each label of each word is (the forward-backward algorithm, in logarithms; Rabiner 1989), n x LABELS,
 * and the logarithm of the sum over all paths. With `onPair`, tells the probability of each pair of neighbouring labels.
 */
export function marginals({ n, unary, pairs, gaps }: Chain, onPair?: (i: number, gap: number, x: number, y: number, p: number) => void): { p: Float64Array; logZ: number } {
  const p = new Float64Array(n * LABELS)
  if (n === 0) return { p, logZ: 0 }
  // Scaled, so that no logarithm is needed in the inner loops.
  const alpha = new Float64Array(n * LABELS)
  const beta = new Float64Array(n * LABELS)
  const emit = new Float64Array(n * LABELS)
  const expPairs = expOf(pairs)
  let logZ = 0
  for (let i = 0; i < n; i++) {
    let top = -Infinity
    for (let y = 0; y < LABELS; y++) top = Math.max(top, unary[i * LABELS + y]!)
    for (let y = 0; y < LABELS; y++) emit[i * LABELS + y] = Math.exp(unary[i * LABELS + y]! - top)
    logZ += top
  }
  for (let i = 0; i < n; i++) {
    const base = gaps[i]! * SQUARE
    let sum = 0
    for (let y = 0; y < LABELS; y++) {
      let a = i === 0 ? expPairs[base + y]! : 0
      if (i > 0) for (let x = 0; x < LABELS; x++) a += alpha[(i - 1) * LABELS + x]! * expPairs[base + x * LABELS + y]!
      sum += alpha[i * LABELS + y] = a * emit[i * LABELS + y]!
    }
    logZ += Math.log(sum)
    for (let y = 0; y < LABELS; y++) alpha[i * LABELS + y]! /= sum
  }
  beta.fill(1, (n - 1) * LABELS)
  for (let i = n - 2; i >= 0; i--) {
    const base = gaps[i + 1]! * SQUARE
    let sum = 0
    for (let x = 0; x < LABELS; x++) {
      let b = 0
      for (let y = 0; y < LABELS; y++) b += expPairs[base + x * LABELS + y]! * emit[(i + 1) * LABELS + y]! * beta[(i + 1) * LABELS + y]!
      sum += beta[i * LABELS + x] = b
    }
    for (let x = 0; x < LABELS; x++) beta[i * LABELS + x]! /= sum
  }
  for (let i = 0; i < n; i++) {
    let sum = 0
    for (let y = 0; y < LABELS; y++) sum += p[i * LABELS + y] = alpha[i * LABELS + y]! * beta[i * LABELS + y]!
    for (let y = 0; y < LABELS; y++) p[i * LABELS + y]! /= sum
    if (!onPair) continue
    const base = gaps[i]! * SQUARE
    if (i === 0) {
      for (let y = 0; y < LABELS; y++) onPair(0, gaps[0]!, 0, y, p[y]!)
      continue
    }
    const both = new Float64Array(SQUARE)
    let total = 0
    for (let x = 0; x < LABELS; x++)
      for (let y = 0; y < LABELS; y++) total += both[x * LABELS + y] = alpha[(i - 1) * LABELS + x]! * expPairs[base + x * LABELS + y]! * emit[i * LABELS + y]! * beta[i * LABELS + y]!
    for (let x = 0; x < LABELS; x++) for (let y = 0; y < LABELS; y++) onPair(i, gaps[i]!, x, y, both[x * LABELS + y]! / total)
  }
  return { p, logZ }
}

const exps = new WeakMap<Float64Array, Float64Array>()
/** The pair scores do not change between texts; in training they do, and a new array is given each time. */
function expOf(pairs: Float64Array): Float64Array {
  let known = exps.get(pairs)
  if (!known) exps.set(pairs, (known = pairs.map(Math.exp)))
  return known
}
