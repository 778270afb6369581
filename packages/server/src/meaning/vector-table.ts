/** Named beside each vector, so that an older maker's is made anew. */
export const VECTOR_MAKER = 'sentences-1'
/** Numbers in a vector of a sentence. */
export const DIMENSIONS = 512
const WORDS = DIMENSIONS / 32
/** Vectors in one piece of memory, so that a table grows without being copied. */
const PIECE = 4_096
/** By the signs alone the best so many are chosen, and these compared in full. */
const COMPARED = 2_000

/** A vector in 512 bytes: each number by the largest of them. Only directions are compared, so what it was divided by is not needed again. */
export function inBytes(vector: readonly number[]): Int8Array {
  const most = vector.reduce((max, value) => Math.max(max, Math.abs(value)), 0)
  return Int8Array.from(vector, (value) => (most === 0 ? 0 : Math.round((127 * value) / most)))
}

function bitsOf(vector: Int8Array, into: Int32Array): void {
  for (let word = 0; word < WORDS; word++) {
    let bits = 0
    for (let bit = 0; bit < 32; bit++) if (vector[word * 32 + bit]! > 0) bits |= 1 << bit
    into[word] = bits
  }
}

/** How many bits of a number are set. */
function ones(bits: number): number {
  let x = bits - ((bits >>> 1) & 0x55555555)
  x = (x & 0x33333333) + ((x >>> 2) & 0x33333333)
  return Math.imul((x + (x >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24
}

function dot(a: Int8Array, b: Int8Array): number {
  let sum = 0
  for (let i = 0; i < DIMENSIONS; i++) sum += a[i]! * b[i]!
  return sum
}

interface Piece {
  vectors: Int8Array
  bits: Int32Array
  lengths: Float32Array
}

export interface Close {
  id: string
  /** Cosine of the angle between the two, -1 to 1. */
  score: number
}

/** Vectors by id, and which are closest to one: first by how many signs differ, which tells the angle (Charikar 2002), then by the cosine of the best of these. */
export class VectorTable {
  readonly #places = new Map<string, number>()
  readonly #ids: string[] = []
  readonly #pieces: Piece[] = []

  get size(): number {
    return this.#ids.length
  }

  put(id: string, vector: Int8Array): void {
    let place = this.#places.get(id)
    if (place === undefined) {
      place = this.#ids.length
      this.#ids.push(id)
      this.#places.set(id, place)
      if (place % PIECE === 0) this.#pieces.push({ vectors: new Int8Array(PIECE * DIMENSIONS), bits: new Int32Array(PIECE * WORDS), lengths: new Float32Array(PIECE) })
    }
    const piece = this.#pieces[Math.floor(place / PIECE)]!
    const n = place % PIECE
    piece.vectors.set(vector, n * DIMENSIONS)
    bitsOf(vector, piece.bits.subarray(n * WORDS, (n + 1) * WORDS))
    piece.lengths[n] = Math.sqrt(dot(vector, vector))
  }

  of(id: string): Int8Array | undefined {
    const place = this.#places.get(id)
    return place === undefined ? undefined : this.#vector(place)
  }

  #vector(place: number): Int8Array {
    const n = place % PIECE
    return this.#pieces[Math.floor(place / PIECE)]!.vectors.subarray(n * DIMENSIONS, (n + 1) * DIMENSIONS)
  }

  /** The closest `most`, the closest first; only of those `among`, where given. An empty vector is close to nothing. */
  closest(vector: Int8Array, most: number, among?: readonly string[]): Close[] {
    const length = Math.sqrt(dot(vector, vector))
    if (length === 0) return []
    const places = among ? among.flatMap((id) => this.#places.get(id) ?? []) : this.#bySigns(vector, Math.max(COMPARED, most))
    const scored: { place: number; score: number }[] = []
    for (const place of places) {
      const own = this.#pieces[Math.floor(place / PIECE)]!.lengths[place % PIECE]!
      if (own > 0) scored.push({ place, score: dot(vector, this.#vector(place)) / (length * own) })
    }
    scored.sort((a, b) => b.score - a.score || a.place - b.place)
    return scored.slice(0, most).map(({ place, score }) => ({ id: this.#ids[place]!, score }))
  }

  /** The places whose signs differ least from a vector's: `most` or a few more. */
  #bySigns(vector: Int8Array, most: number): number[] {
    if (this.size <= most) return this.#ids.map((_, place) => place)
    const wanted = new Int32Array(WORDS)
    bitsOf(vector, wanted)
    const apart = new Uint16Array(this.size)
    const counts = new Uint32Array(DIMENSIONS + 1)
    this.#pieces.forEach(({ bits }, p) => {
      const until = Math.min(PIECE, this.size - p * PIECE)
      for (let n = 0, at = 0; n < until; n++) {
        let differing = 0
        for (let word = 0; word < WORDS; word++) differing += ones(bits[at++]! ^ wanted[word]!)
        apart[p * PIECE + n] = differing
        counts[differing]!++
      }
    })
    let limit = 0
    for (let sum = counts[0]!; sum < most && limit < DIMENSIONS; sum += counts[limit]!) limit++
    const places: number[] = []
    for (let place = 0; place < this.size; place++) if (apart[place]! <= limit) places.push(place)
    return places
  }
}
