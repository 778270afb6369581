import { FACETS } from '../../facet.ts'

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

/** The likeliest labels (Viterbi 1967). */
export function bestPath({ n, unary, pairs, gaps }: Chain): Uint8Array {
  const path = new Uint8Array(n)
  if (n === 0) return path
  const score = new Float64Array(n * LABELS)
  const back = new Uint8Array(n * LABELS)
  for (let i = 0; i < n; i++) {
    const base = gaps[i]! * SQUARE
    for (let y = 0; y < LABELS; y++) {
      let best = i === 0 ? pairs[base + y]! : -Infinity
      if (i > 0) {
        for (let x = 0; x < LABELS; x++) {
          const here = score[(i - 1) * LABELS + x]! + pairs[base + x * LABELS + y]!
          if (here > best) {
            best = here
            back[i * LABELS + y] = x
          }
        }
      }
      score[i * LABELS + y] = best + unary[i * LABELS + y]!
    }
  }
  let y = 0
  for (let x = 1; x < LABELS; x++) if (score[(n - 1) * LABELS + x]! > score[(n - 1) * LABELS + y]!) y = x
  for (let i = n - 1; i >= 0; i--) {
    path[i] = y
    y = back[i * LABELS + y]!
  }
  return path
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
