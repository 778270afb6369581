import { addJudgement, judgementsOf, takeBackJudgement } from '@idolon/contract'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useSitting } from './sitting.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
const earlier = [{ id: 'j1', left: 'a', right: 'b', better: 'left', at: '2026-01-01T10:00:00Z' }]
beforeEach(() => {
  call.mockReset()
  call.mockImplementation((route: unknown) => Promise.resolve(route === judgementsOf ? earlier : undefined))
})
async function sitting() {
  const one = useSitting(['a', 'b', 'c'])
  await one.begin()
  return one
}

describe('a sitting of blind judging', () => {
  it('goes on from earlier ones', async () => {
    const one = await sitting()
    expect(one.judgements.value).toHaveLength(1)
    expect(one.order.value[0]).toBe(0)
    expect(one.pair.value).toHaveLength(2)
  })
  it('keeps each answer and moves on at once', async () => {
    const one = await sitting()
    const [left, right] = one.pair.value!
    await one.answer('right')
    expect(call).toHaveBeenLastCalledWith(addJudgement, { body: { id: expect.any(String) as string, left: 'abc'[left], right: 'abc'[right], better: 'right' } })
    expect(one.judgements.value).toHaveLength(2)
  })
  it('asks again for an answer that could not be kept', async () => {
    const one = await sitting()
    const pair = one.pair.value
    call.mockRejectedValueOnce(new Error('away'))
    await expect(one.answer('left')).rejects.toThrow('away')
    expect(one.judgements.value).toHaveLength(1)
    expect(one.pair.value).toEqual(pair)
  })
  it('takes the last of this sitting back, and none of an earlier one', async () => {
    const one = await sitting()
    await one.answer(null)
    await one.takeBack()
    expect(call).toHaveBeenLastCalledWith(takeBackJudgement, { params: { judgement: expect.any(String) as string } })
    expect(one.judgements.value).toEqual(earlier)
    call.mockClear()
    await one.takeBack()
    expect(call).not.toHaveBeenCalled()
  })
})
