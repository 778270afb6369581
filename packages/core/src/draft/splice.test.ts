import fc from 'fast-check'
import { expect, it } from 'vitest'
import { applySplice, spliceBetween } from './splice.ts'

const same = (a: string, b: string) => a === b
const list = fc.array(fc.constantFrom('people', 'text', 'blur', 'frames'), { maxLength: 6 })

it('is the one change that leads from a list to another', () => {
  expect(spliceBetween(['a', 'b', 'c'], ['a', 'x', 'c'], same)).toEqual({ at: 1, remove: 1, insert: ['x'] })
  expect(spliceBetween(['a'], ['a'], same)).toBeUndefined()
  fc.assert(
    fc.property(list, list, (before, after) => {
      const splice = spliceBetween(before, after, same)
      expect(splice ? applySplice(before, splice) : before).toEqual(after)
    }),
    { seed: 2, numRuns: 200 },
  )
})
