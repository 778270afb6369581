import { SHIPPED_ENGINES } from '@idolon/core'
import { describe, expect, it } from 'vitest'
import { freeNameFor, planOf, priceOf, type TrialSetup, withOptions, withoutVaried } from './trial-setup.ts'

const TEXT = 'a wren in a barn, rim light, gouache {{ x }}'
const setup: TrialSetup = {
  varied: [
    { kind: 'words', start: 2, end: 6, facet: 'subject', name: 'subject', options: ['wren', 'owl', 'crow'] },
    { kind: 'words', start: 18, end: 27, facet: 'light', name: 'light', options: ['rim light', 'noon'] },
    { kind: 'engine', options: [{ engine: 'burin' }, { engine: 'brayer' }] },
  ],
  way: { kind: 'all' },
  never: [{ a: [0, 2], b: [1, 1] }, { a: [0, 1], b: [2, 0] }],
  count: 2,
}

describe('a trial plan that is being set up', () => {
  it('is sent as a frame with slots, and what looks like a slot stands for itself', () => {
    const body = planOf('Wren', TEXT, setup, 7)
    expect(body.frame).toBe('a {{ subject }} in a barn, {{ light }}, gouache {{ braces }} x {{ braces 2 }}')
    expect(body.values).toEqual({ braces: '{{', 'braces 2': '}}' })
    expect(body.factors[0]).toEqual({ kind: 'words', slot: 'subject', options: ['wren', 'owl', 'crow'] })
    expect(body.skip[0]).toEqual([{ factor: 0, option: 2 }, { factor: 1, option: 1 }])
    expect(freeNameFor('light', setup.varied)).toBe('light 2')
  })

  it('keeps to its rules when options or things go', () => {
    expect(withOptions(setup, 0, ['crow', 'wren']).never).toEqual([{ a: [0, 0], b: [1, 1] }])
    expect(withoutVaried(setup, 1).never).toEqual([{ a: [0, 1], b: [1, 0] }])
  })

  it('costs what its combinations do, and takes as long as the slowest engine', () => {
    const find = ({ engine }: { engine: string }) => SHIPPED_ENGINES.find(({ id }) => id === engine)
    const body = planOf('Wren', TEXT, setup, undefined)
    const price = priceOf([[0, 0, 0], [0, 0, 1], [1, 0, 1]], body, { engines: [], settings: {} }, find, ({ id }) => ({ ms: id === 'burin' ? 1_000 : 3_000, atOnce: 2 }))
    expect(price.pictures).toBe(6)
    expect(price.ms).toBe(6_000)
    expect(price.cost[0]!.amount).toBeGreaterThan(0)
  })
})
