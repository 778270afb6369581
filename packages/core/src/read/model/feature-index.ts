/** From features to rows of the network: a table with open addresses, since a Map of large numbers is several times as slow. */
export class FeatureIndex {
  /** For each place the feature and its row plus one; 0 where nothing is kept. */
  readonly #places: Uint32Array
  readonly #mask: number

  /** Feature i has row i. */
  constructor(readonly features: Uint32Array) {
    const size = 2 ** Math.ceil(Math.log2(Math.max(features.length, 4) * 2))
    this.#mask = size - 1
    this.#places = new Uint32Array(2 * size)
    features.forEach((feature, row) => {
      let at = feature & this.#mask
      while (this.#places[2 * at + 1]! > 0) at = (at + 1) & this.#mask
      this.#places[2 * at] = feature
      this.#places[2 * at + 1] = row + 1
    })
  }

  get size(): number {
    return this.features.length
  }

  /** The row of a feature; -1 for one that was not learned. */
  rowOf(feature: number): number {
    const places = this.#places
    for (let at = feature & this.#mask; ; at = (at + 1) & this.#mask) {
      const row = places[2 * at + 1]!
      if (row === 0 || places[2 * at] === feature) return row - 1
    }
  }

  /** The rows of those features that were learned. */
  rowsOf(features: Iterable<number>): number[] {
    return Array.from(features, (feature) => this.rowOf(feature)).filter((row) => row >= 0)
  }
}
