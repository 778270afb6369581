import { expect, it } from 'vitest'
import { titleOf } from './title.ts'

it('names a prompt by its first clause', () => {
  expect(titleOf('  A rack railway climbing, at dawn')).toBe('A rack railway climbing')
  expect(titleOf('')).toBe('Untitled')
  expect(titleOf('word '.repeat(40)).length).toBeLessThanOrEqual(61)
})
