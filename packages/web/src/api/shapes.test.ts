import { aDraft } from '../testing.test-support.ts'
import { describe, expect, it } from 'vitest'
import { checkOf, demandShape, hasShape } from './shapes.ts'

describe('shapes of the contract', () => {
  it.each([
    ['an event', 'ChangeEvent', { kind: 'proof', proofId: '00000000-0000-4000-8000-000000000001' }, { kind: 'party' }],
    ['a draft', 'Draft', aDraft('a fox'), { ...aDraft('a fox'), text: 4 }],
    ['an answer', 'listTags', [{ tag: 'winter', count: 2 }], [{ tag: 'winter' }]],
  ])('tell %s from what only looks like one', async (_, name, sound, other) => {
    expect([await hasShape(name, sound), await hasShape(name, other)]).toEqual([true, false])
  })

  it('are loaded once each', async () => {
    expect(await checkOf('ChangeEvent')).toBe(await checkOf('ChangeEvent'))
  })

  it('are demanded of an answer in words that say what to do', async () => {
    await expect(demandShape('listTags', { tags: [] })).rejects.toThrow('The server’s answer is not what this page expects. Reload the page; it may be older than the server.')
    await expect(demandShape('listTags', [])).resolves.toBeUndefined()
  })

  it('are none that the contract does not name', async () => {
    await expect(checkOf('nobody')).rejects.toThrow('There is no shape called nobody.')
  })
})
