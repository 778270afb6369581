import { expect, it } from 'vitest'
import { hashText, seededRandom } from './seeded.ts'

const some = (seed: number) => Array.from({ length: 1_000 }, seededRandom(seed))

it('gives the same numbers for the same seed, others for another, spread over [0, 1)', () => {
  expect(some(7)).toEqual(some(7))
  expect(some(7)).not.toEqual(some(8))
  const numbers = some(hashText('mountains'))
  expect(numbers.every((n) => n >= 0 && n < 1)).toBe(true)
  expect(numbers.reduce((sum, n) => sum + n, 0) / numbers.length).toBeCloseTo(0.5, 1)
})
