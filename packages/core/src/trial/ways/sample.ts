import { seededRandom } from '../../random/seeded.ts'
import { type Allowed, countOf, type Row, rowAt } from './row.ts'

/** Below so many combinations all are looked at; above, rows are drawn until there are enough. */
const LISTED = 100_000

/** `count` different combinations, drawn evenly by a seed; fewer where fewer are allowed. In the order in which they are drawn. */
export function sampleOf(sizes: readonly number[], allowed: Allowed, count: number, seed: number): Row[] {
  const random = seededRandom(seed)
  const all = countOf(sizes)
  if (all <= LISTED) {
    // Fisher and Yates's shuffle, as far as it is needed.
    const rows = Array.from({ length: all }, (_, i) => rowAt(sizes, i)).filter(allowed)
    const wanted = Math.min(count, rows.length)
    for (let i = 0; i < wanted; i++) {
      const j = i + Math.floor(random() * (rows.length - i))
      ;[rows[i], rows[j]] = [rows[j]!, rows[i]!]
    }
    return rows.slice(0, wanted)
  }
  const rows = new Map<string, Row>()
  for (let tries = 0; rows.size < count && tries < count * 200; tries++) {
    const row = sizes.map((size) => Math.floor(random() * size))
    if (allowed(row)) rows.set(row.join(), row)
  }
  return [...rows.values()]
}
