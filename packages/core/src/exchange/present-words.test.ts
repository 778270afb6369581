import fc from 'fast-check'
import { expect, it } from 'vitest'
import { inPresentWords } from './present-words.ts'

it('a draft’s marks are locked and dismissed now', () => {
  const draft = { text: 'a fox at dusk', marks: [{ from: 2, to: 5, kind: 'fixed' }, { from: 0, to: 5, kind: 'waived', check: 'crowd', reason: 'meant' }, { from: 0, to: 1, kind: 'off' }] }
  expect(inPresentWords(draft)).toEqual({ text: 'a fox at dusk', marks: [{ from: 2, to: 5, kind: 'locked' }, { from: 0, to: 5, kind: 'dismissed', check: 'crowd', reason: 'meant' }, { from: 0, to: 1, kind: 'off' }] })
})

it('units are tokens, in a limit, a price, a ceiling and what a model costs', () => {
  expect(inPresentWords([{ limit: { unit: 'pieces', max: 400 } }, [{ unit: 'piece', price: 0.1 }], { costUnit: 'piece' }, { unit: 'credit', amount: 3 }])).toEqual([
    { limit: { unit: 'tokens', max: 400 } },
    [{ unit: 'token', price: 0.1 }],
    { costUnit: 'token' },
    { unit: 'credit', amount: 3 },
  ])
})

it('a helper’s slots, inputs, cases and criteria have their present names', () => {
  const helper = { instruction: '{{#fixed}}Keep\n{{ fixed }}\n{{/fixed}} in {{ manner }}', inputs: [{ key: 'manner', label: 'The manner', kind: 'text' }] }
  expect(inPresentWords(helper)).toEqual({ instruction: '{{#locked}}Keep\n{{ locked }}\n{{/locked}} in {{ writingStyle }}', inputs: [{ key: 'writingStyle', label: 'The manner', kind: 'text' }] })
  expect(inPresentWords({ text: 'a', fixed: ['a'], criteria: [{ kind: 'fixed-kept' }] })).toEqual({ text: 'a', locked: ['a'], criteria: [{ kind: 'locked-kept' }] })
  expect(inPresentWords({ text: '/a', piecesIn: '/b', piecesOut: '/c' })).toEqual({ text: '/a', tokensIn: '/b', tokensOut: '/c' })
})

it('a proof is imported, where it was brought in', () => {
  expect(inPresentWords({ id: 'p', broughtIn: true })).toEqual({ id: 'p', imported: true })
})

it('a scene’s slips are dismissed', () => {
  expect(inPresentWords({ beat: '', waived: [{ kind: 'dress', reason: 'r', because: 'b' }] })).toEqual({ beat: '', dismissed: [{ kind: 'dress', reason: 'r', because: 'b' }] })
})

it('words of a writer’s own stay as they are: texts, and keys of slots that happen to be called so', () => {
  const own = { text: 'a waived piece, fixed in a manner', values: { fixed: 'a lamp', piece: 'x', waived: 'y' }, kind: 'fixed' }
  expect(inPresentWords(own)).toEqual(own)
})

it('what has no older name comes back as it was, and twice is as once', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      const once = inPresentWords(value)
      expect(inPresentWords(once)).toEqual(once)
    }),
  )
})
