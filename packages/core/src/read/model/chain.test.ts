import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../random/seeded.ts'
import { type Chain, LABELS, likeliest, marginals } from './chain.ts'

const random = seededRandom(9)
/** A chain of three words of which only the first `labels` labels have a chance. */
function smallChain(labels: number): Chain {
  const unary = new Float64Array(3 * LABELS).fill(-50)
  for (let i = 0; i < 3; i++) for (let y = 0; y < labels; y++) unary[i * LABELS + y] = random() * 4
  return { n: 3, unary, pairs: Float64Array.from({ length: 2 * LABELS * LABELS }, () => random() * 2), gaps: Uint8Array.of(0, 1, 1) }
}
function* paths(labels: number): Generator<[number, number, number]> {
  for (let a = 0; a < labels; a++) for (let b = 0; b < labels; b++) for (let c = 0; c < labels; c++) yield [a, b, c]
}
function scoreOf({ unary, pairs, gaps }: Chain, path: number[]): number {
  return path.reduce((sum, y, i) => sum + unary[i * LABELS + y]! + pairs[gaps[i]! * LABELS * LABELS + (i ? path[i - 1]! * LABELS : 0) + y]!, 0)
}

describe('a chain', () => {
  it('gives each label the share of all labellings that have it', () => {
    const chain = smallChain(3)
    const all = [...paths(3)].map((path) => ({ path, weight: Math.exp(scoreOf(chain, path)) }))
    const total = all.reduce((sum, { weight }) => sum + weight, 0)
    const { p, logZ } = marginals(chain)
    expect(logZ).toBeCloseTo(Math.log(total), 6)
    for (let i = 0; i < 3; i++) {
      for (let y = 0; y < 3; y++) {
        const share = all.filter(({ path }) => path[i] === y).reduce((sum, { weight }) => sum + weight, 0) / total
        expect(p[i * LABELS + y]).toBeCloseTo(share, 6)
      }
      const shares = [0, 1, 2].map((y) => p[i * LABELS + y]!)
      expect(likeliest(3, p)[i]).toBe(shares.indexOf(Math.max(...shares)))
    }
  })

  it('of no words has no labels', () => {
    expect(marginals({ ...smallChain(2), n: 0 }).p).toHaveLength(0)
  })
})
