import { seededRandom } from '../src/random/seeded.ts'

/** Spherical k-means (Dhillon & Modha 2001) over unit vectors of equal length, in one array. Returns the cluster of each. */
export function cluster(vectors: Float32Array, dimensions: number, k: number, rounds: number, seed: number): Uint16Array {
  const n = vectors.length / dimensions
  const random = seededRandom(seed)
  const centres = new Float32Array(k * dimensions)
  for (let c = 0; c < k; c++) {
    const pick = Math.floor(random() * n)
    centres.set(vectors.subarray(pick * dimensions, (pick + 1) * dimensions), c * dimensions)
  }
  const own = new Uint16Array(n)
  for (let round = 0; round < rounds; round++) {
    for (let i = 0; i < n; i++) {
      let best = -Infinity
      for (let c = 0; c < k; c++) {
        let dot = 0
        for (let d = 0; d < dimensions; d++) dot += vectors[i * dimensions + d]! * centres[c * dimensions + d]!
        if (dot > best) {
          best = dot
          own[i] = c
        }
      }
    }
    centres.fill(0)
    for (let i = 0; i < n; i++) for (let d = 0; d < dimensions; d++) centres[own[i]! * dimensions + d]! += vectors[i * dimensions + d]!
    for (let c = 0; c < k; c++) {
      let norm = 0
      for (let d = 0; d < dimensions; d++) norm += centres[c * dimensions + d]! ** 2
      norm = Math.sqrt(norm)
      const pick = norm > 0 ? -1 : Math.floor(random() * n)
      for (let d = 0; d < dimensions; d++) centres[c * dimensions + d] = pick < 0 ? centres[c * dimensions + d]! / norm : vectors[pick * dimensions + d]!
    }
  }
  return own
}
