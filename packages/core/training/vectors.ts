import { seededRandom } from '../src/random/seeded.ts'

/** Principal components of word vectors (power iteration with deflation), so that a few numbers a word carry most of what many did. */
export function reduce(vectors: Float32Array, from: number, to: number, seed: number): Float32Array {
  const n = vectors.length / from
  const mean = new Float64Array(from)
  for (let i = 0; i < n; i++) for (let d = 0; d < from; d++) mean[d]! += vectors[i * from + d]! / n
  const covariance = new Float64Array(from * from)
  for (let i = 0; i < n; i++) {
    for (let a = 0; a < from; a++) {
      const x = vectors[i * from + a]! - mean[a]!
      for (let b = a; b < from; b++) covariance[a * from + b]! += x * (vectors[i * from + b]! - mean[b]!)
    }
  }
  for (let a = 0; a < from; a++) for (let b = a; b < from; b++) covariance[b * from + a] = covariance[a * from + b]! /= n
  const random = seededRandom(seed)
  const out = new Float32Array(n * to)
  for (let k = 0; k < to; k++) {
    let axis = Float64Array.from({ length: from }, () => random() - 0.5)
    let value = 0
    for (let round = 0; round < 300; round++) {
      const next = new Float64Array(from)
      for (let a = 0; a < from; a++) for (let b = 0; b < from; b++) next[a]! += covariance[a * from + b]! * axis[b]!
      value = Math.hypot(...next)
      axis = next.map((x) => x / value)
    }
    for (let a = 0; a < from; a++) for (let b = 0; b < from; b++) covariance[a * from + b]! -= value * axis[a]! * axis[b]!
    for (let i = 0; i < n; i++) {
      let dot = 0
      for (let d = 0; d < from; d++) dot += (vectors[i * from + d]! - mean[d]!) * axis[d]!
      out[i * to + k] = dot
    }
  }
  return out
}
