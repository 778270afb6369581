import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { changesFit, changeText, invertChanges, mapMarks, mapPlace } from './text-change.ts'

const replace = (from: number, to: number, insert: string) => [{ from, to, insert }]

describe('mapPlace', () => {
  it('goes behind or before text inserted exactly there, by side', () => {
    expect([mapPlace(3, replace(3, 3, 'abc'), -1), mapPlace(3, replace(3, 3, 'abc'), 1)]).toEqual([3, 6])
  })

  it('goes to an edge of what replaced the text it lay in', () => {
    expect([mapPlace(4, replace(2, 6, 'xyz'), -1), mapPlace(4, replace(2, 6, 'xyz'), 1)]).toEqual([2, 5])
  })

  it('keeps its distance to the end of the text after everything before it', () => {
    const text = 'a red fox at dusk'
    const changes = [...replace(0, 1, 'one'), ...replace(6, 9, 'hare')]
    const after = changeText(text, changes)
    expect(after.slice(mapPlace(10, changes, 1))).toBe(text.slice(10))
  })
})

describe('mapMarks', () => {
  const fox = { from: 6, to: 9, kind: 'locked' as const }
  it('shrinks a mark to what is left of it, and drops it when nothing is', () => {
    expect(mapMarks([fox], replace(4, 7, ''))).toEqual([{ ...fox, from: 4, to: 6 }])
    expect(mapMarks([fox], replace(6, 9, 'hare'))).toEqual([])
  })
  it('grows with text typed inside it', () => {
    expect(mapMarks([fox], replace(7, 7, 'xx'))).toEqual([{ ...fox, to: 11 }])
  })
})

describe('invertChanges', () => {
  it('takes any changes of any text back', () => {
    const textAndChanges = fc.string({ maxLength: 30 }).chain((text) =>
      fc.tuple(fc.constant(text), fc.array(fc.tuple(fc.nat(text.length), fc.nat(4), fc.string({ maxLength: 4 })), { maxLength: 4 })),
    )
    fc.assert(
      fc.property(textAndChanges, ([text, parts]) => {
        const changes = parts.map(([from, length, insert]) => ({ from, to: Math.min(text.length, from + length), insert })).sort((a, b) => a.from - b.from || a.to - b.to)
        fc.pre(changesFit(changes, text.length))
        expect(changeText(changeText(text, changes), invertChanges(text, changes))).toBe(text)
      }),
      { seed: 21, numRuns: 300 },
    )
  })
})
