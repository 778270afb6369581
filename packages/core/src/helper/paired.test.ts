import { expect, it } from 'vitest'
import { paired, pairedSaid } from './paired.ts'

it('gives the published interval and exact probability of a paired comparison', () => {
  // Newcombe 1998, table II, row with cells 12, 9, 2, 21: method 10 gives 0.0562 to 0.2955 for the first less the second.
  const { difference, low, high } = paired({ both: 12, onlyFirst: 9, onlySecond: 2, neither: 21 })
  expect(difference).toBeCloseTo(-0.1591, 3)
  expect([-high, -low].map((value) => Math.round(value * 100) / 100)).toEqual([0.01, 0.3])
  expect(paired({ both: 10, onlyFirst: 1, onlySecond: 9, neither: 0 }).p).toBeCloseTo(22 / 1024, 6)
})

it('says which is better only where it can tell', () => {
  expect(pairedSaid({ both: 10, onlyFirst: 0, onlySecond: 8, neither: 2 }, 'Version 1', 'version 2')).toContain('version 2 is better')
  expect(pairedSaid({ both: 18, onlyFirst: 1, onlySecond: 2, neither: 1 }, 'Version 1', 'version 2')).toContain('may be chance')
  expect(pairedSaid({ both: 3, onlyFirst: 0, onlySecond: 0, neither: 1 }, 'Version 1', 'version 2')).toContain('the same cases')
})
