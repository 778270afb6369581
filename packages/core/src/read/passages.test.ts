import { describe, expect, it } from 'vitest'
import { GAP, type Sequence } from './model/features.ts'
import { joined, passagesOf } from './passages.ts'

/** Units of a text, one a line, with the blank lines after it. */
function unitsOf(text: string) {
  let at = 0
  return text.split(/(?<=\n)(?!\n)/).map((line) => ({ start: at, end: (at += line.length) }))
}
const said = (text: string) => passagesOf(text, unitsOf(text)).map((units) => text.slice(units[0]!.start, units.at(-1)!.end))

describe('passages', () => {
  it('take a short text whole, blank lines and all', () => {
    const text = 'a fox\n\nin the snow\n\ngouache'
    expect(said(text)).toEqual([text])
    expect(passagesOf('', [])).toEqual([])
  })

  it('are never longer than 1,500 characters unless one unit is, and cut no unit', () => {
    const text = `${'a red lantern on a grey wall, '.repeat(20)}\n`.repeat(9)
    const passages = said(text)
    expect(passages.join('')).toBe(text)
    expect(passages.length).toBeGreaterThan(3)
    for (const passage of passages) expect(passage.length).toBeLessThanOrEqual(1_500)
    const endless = 'x'.repeat(4_000)
    expect(said(`one\n${endless}\ntwo`)).toEqual(['one\n', `${endless}\n`, 'two'])
  })

  it('end at a blank line once they are long enough, so that a change before it moves nothing after it', () => {
    const [first, second] = [`${'rain on tin roofs, '.repeat(40)}\n\n`, 'an owl, linocut\n']
    expect(said(first + second)).toEqual([first, second])
    expect(said(`new words, ${first}${second}`).at(-1)).toBe(second)
  })
})

describe('the sequences of a passage', () => {
  const step = (id: number): Sequence['steps'][number] => ({ entry: { id } as never, context: [] })
  const item = (at: number): Sequence['items'][number] => ({ token: { start: 0, end: 1, text: 'a', lower: 'a', kind: 'word' }, at: 0, step: at, gap: GAP.start })

  it('become one, each item at its own step', () => {
    const one = joined([
      { steps: [step(1), step(2)], items: [item(1)] },
      { steps: [], items: [] },
      { steps: [step(3)], items: [item(0)] },
    ])
    expect(one.steps.map(({ entry }) => entry.id)).toEqual([1, 2, 3])
    expect(one.items.map(({ step: at }) => at)).toEqual([1, 2])
  })

  it('are the sequence itself where there is one', () => {
    const only = { steps: [step(1)], items: [item(0)] }
    expect(joined([only])).toBe(only)
  })
})
