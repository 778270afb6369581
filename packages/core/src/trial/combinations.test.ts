import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { allowedBy, combinationsOf } from './combinations.ts'
import type { Factor, SkipRule, Way } from './plan.ts'
import { fieldFor } from './ways/field.ts'
import { countOf, type Row, rowAt } from './ways/row.ts'

const plan = (sizes: number[], way: Way, skip: SkipRule[] = []) => ({ factors: sizes.map((size, i): Factor => ({ kind: 'words', slot: `slot ${i}`, options: Array.from({ length: size }, (_, k) => `option ${k}`) })), way, skip })
const rule = (...pairs: [factor: number, option: number][]): SkipRule => pairs.map(([factor, option]) => ({ factor, option }))

/** Pairs of options that stand together in some of the rows. */
const pairsIn = (rows: readonly Row[]) => new Set(rows.flatMap((row) => row.flatMap((a, i) => row.slice(i + 1).map((b, k) => `${i}:${a} ${i + 1 + k}:${b}`))))

describe('the combinations of a plan', () => {
  it('are all there are, less what a rule skips', () => {
    expect(combinationsOf(plan([2, 3], { kind: 'all' }, [rule([0, 1], [1, 2])])).rows).toEqual([[0, 0], [0, 1], [0, 2], [1, 0], [1, 1]])
    expect(combinationsOf(plan([40, 40], { kind: 'all' })).problem).toMatch(/1,600 combinations/)
    expect(combinationsOf(plan([2, 2], { kind: 'all' }, [rule([0, 0]), rule([0, 1])])).problem).toMatch(/skip everything/)
    expect(combinationsOf(plan([2, 2], { kind: 'all' }, [rule([0, 5])])).problem).toMatch(/names an option/)
  })

  it('change one thing at a time from a base', () => {
    expect(combinationsOf(plan([2, 3], { kind: 'one-at-a-time' })).rows).toEqual([[0, 0], [1, 0], [0, 1], [0, 2]])
  })

  it('are a sample that a seed draws, evenly and without doubles', () => {
    const of = (seed: number, sizes = [3, 3, 3]) => combinationsOf(plan(sizes, { kind: 'sample', count: 9, seed })).rows
    expect(of(4)).toEqual(of(4))
    expect(of(4)).not.toEqual(of(5))
    expect(new Set(of(4).map(String)).size).toBe(9)
    expect(combinationsOf(plan([2, 2], { kind: 'sample', count: 9, seed: 1 })).rows).toHaveLength(4)
    expect(new Set(of(2, [50, 50, 50, 50]).map(String)).size).toBe(9)
    const firsts = Array.from({ length: 300 }, (_, seed) => of(seed)[0]![0])
    for (const option of [0, 1, 2]) expect(firsts.filter((one) => one === option).length).toBeGreaterThan(70)
  })

  it('have every pair that the rules let be, and nothing that they do not', () => {
    const sizes = fc.array(fc.integer({ min: 2, max: 5 }), { minLength: 2, maxLength: 5 })
    const rules = fc.array(fc.uniqueArray(fc.tuple(fc.nat(4), fc.nat(4)), { minLength: 1, maxLength: 3, selector: ([factor]) => factor }), { maxLength: 4 })
    fc.assert(
      fc.property(sizes, rules, (own, given) => {
        const skip = given.filter((one) => one.every(([factor, option]) => option < (own[factor] ?? 0))).map((one) => rule(...one))
        const allowed = allowedBy(skip)
        const possible = Array.from({ length: countOf(own) }, (_, i) => rowAt(own, i)).filter(allowed)
        const { rows, problem } = combinationsOf(plan(own, { kind: 'pairs' }, skip))
        if (!possible.length) {
          expect(problem).toBeDefined()
          return
        }
        expect(rows.every(allowed)).toBe(true)
        expect(pairsIn(rows)).toEqual(pairsIn(possible))
      }),
      { numRuns: 150 },
    )
  })

  it.each([[[10, 10, 10, 10, 10, 10, 10, 10, 10, 10], 125], [[4, 4, 4, 4, 4], 16], [[3, 3, 3, 3], 9], [[10, 2, 2, 2], 20], [[9, 9, 9, 9, 9], 81], [[2, 2, 2, 2, 2, 2, 2, 2, 2, 2], 10]])('have every pair of %j in few combinations', (sizes, most) => {
    const { rows, least } = combinationsOf(plan(sizes, { kind: 'pairs' }))
    const [x, y] = sizes.toSorted((a, b) => b - a)
    expect(least).toBe(x! * y!)
    expect(rows.length).toBeGreaterThanOrEqual(least!)
    expect(rows.length).toBeLessThanOrEqual(most)
  })
})

it.each([2, 3, 4, 5, 7, 8, 9, 11, 16, 25, 27])('a field of %i elements has an inverse for each but nought', (size) => {
  const { q, add, multiply } = fieldFor(size)
  expect(q).toBe(size)
  const all = Array.from({ length: q }, (_, i) => i)
  for (const a of all) {
    expect(new Set(all.map((b) => add(a, b))).size).toBe(q)
    if (a) expect(new Set(all.map((b) => multiply(a, b))).size).toBe(q)
    for (const b of all.slice(0, 6)) for (const c of all.slice(0, 6)) expect(multiply(a, add(b, c))).toBe(add(multiply(a, b), multiply(a, c)))
  }
})
