import { normal, seededRandom } from '@idolon/core'
import { describe, expect, it } from 'vitest'
import { DIMENSIONS, inBytes, VectorTable } from './vector-table.ts'

const random = seededRandom(7)
const direction = () => Array.from({ length: DIMENSIONS }, () => normal(random))
const cosine = (a: number[], b: number[]) => a.reduce((sum, x, i) => sum + x * b[i]!, 0) / Math.hypot(...a) / Math.hypot(...b)

describe('a table of vectors', () => {
  // About one centre, as texts of one kind are, and more of them than are compared in full.
  const centre = direction()
  const vectors = Array.from({ length: 6_000 }, () => direction().map((x, i) => x + centre[i]!))
  const table = new VectorTable()
  vectors.forEach((vector, i) => { table.put(String(i), inBytes(vector)) })

  it('finds what is closest, as comparing all of it would', () => {
    for (let k = 0; k < 20; k++) {
      const asked = vectors[k]!.map((x) => x + 0.8 * normal(random))
      const best = vectors.map((vector, i) => ({ i, score: cosine(asked, vector) })).sort((a, b) => b.score - a.score)
      const found = table.closest(inBytes(asked), 10)
      expect(found[0]!.id).toBe(String(best[0]!.i))
      expect(found[0]!.score).toBeCloseTo(best[0]!.score, 1)
      const ids = new Set(found.map(({ id }) => id))
      expect(best.slice(0, 10).filter(({ i }) => ids.has(String(i))).length).toBeGreaterThanOrEqual(8)
    }
  })

  it('looks only among those it is given, and knows no others', () => {
    expect(table.closest(inBytes(vectors[3]!), 5, ['9', '4', 'none']).map(({ id }) => id).sort()).toEqual(['4', '9'])
  })

  it('takes a newer vector in place of an older one', () => {
    const own = new VectorTable()
    own.put('a', inBytes(vectors[0]!))
    own.put('a', inBytes(vectors[1]!))
    expect(own.size).toBe(1)
    expect(own.closest(inBytes(vectors[1]!), 1)[0]!.score).toBeCloseTo(1, 5)
    expect(own.of('a')).toEqual(inBytes(vectors[1]!))
  })

  it('is close to nothing without a direction', () => {
    const own = new VectorTable()
    own.put('empty', new Int8Array(DIMENSIONS))
    expect(own.closest(inBytes(vectors[0]!), 3)).toEqual([])
    expect(table.closest(new Int8Array(DIMENSIONS), 3)).toEqual([])
  })
})
