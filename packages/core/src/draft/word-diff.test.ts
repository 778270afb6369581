import fc from 'fast-check'
import { expect, it } from 'vitest'
import { wordDiff } from './word-diff.ts'

it('names what was taken out and what came in, by whole words', () => {
  expect(wordDiff('a red fox', 'a grey fox').filter(({ change }) => change !== 'same')).toEqual([
    { change: 'removed', text: 'red' },
    { change: 'added', text: 'grey' },
  ])
})

it('holds both texts whole: one without what was added, the other without what was removed', () => {
  const words = fc.array(fc.constantFrom('fox', 'at', 'dusk', ',', '\n', '🐝', 'wide shot', ''), { maxLength: 12 }).map((list) => list.join(' '))
  fc.assert(
    fc.property(words, words, (before, after) => {
      const pieces = wordDiff(before, after)
      const without = (change: string) => pieces.filter((piece) => piece.change !== change).map(({ text }) => text).join('')
      expect([without('added'), without('removed')]).toEqual([before, after])
    }),
    { seed: 11, numRuns: 300 },
  )
})
