import { burin2Guidance } from '../testing.test-support.ts'
import { expect, it } from 'vitest'
import { stepsBetween } from './sweep.ts'

it('goes evenly from one value to another, by steps the setting has', () => {
  expect(stepsBetween(burin2Guidance, 3, 9, 4)).toEqual([3, 5, 7, 9])
  expect(stepsBetween(burin2Guidance, 9, 3, 3)).toEqual([9, 6, 3])
  expect(stepsBetween(burin2Guidance, -50, 900, 2)).toEqual([burin2Guidance.min, burin2Guidance.max])
  expect(stepsBetween(burin2Guidance, 4, 4, 5)).toEqual([4])
  expect(stepsBetween(burin2Guidance, Number.NaN, 4, 5)).toEqual([])
})
