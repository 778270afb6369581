import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { aProof, withEngines } from '../testing.test-support.ts'
import RunSeries from './RunSeries.vue'
import { anOpenSeries, aScene } from './series.test-support.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))

type Called = [route: { id: string }, given: { body?: { scenes?: unknown[]; ratios?: string[] } }]
const asked = (id: string) => (call.mock.calls as Called[]).filter(([route]) => route.id === id).map(([, given]) => given.body)
async function shown(scenes: ReturnType<typeof aScene>[]) {
  call.mockImplementation((route: { id: string }) => Promise.resolve(route.id === 'priceScenes' ? { costs: [{ unit: 'credit', amount: 12 }], proofs: 3 } : undefined))
  const { open, choose } = anOpenSeries(scenes)
  const wrapper = mount(RunSeries, { props: { open }, global: withEngines(), attachTo: document.body })
  await flushPromises()
  const press = async (name: string | RegExp) => {
    await wrapper.findAll('button').find((one) => (typeof name === 'string' ? one.text() === name : name.test(one.text())))!.trigger('click')
    await flushPromises()
  }
  return { wrapper, choose, press }
}
beforeEach(() => void call.mockReset())

describe('a try of a series', () => {
  it('takes those whose chosen proof is stale or missing, and says what that costs before it starts', async () => {
    const { wrapper, press } = await shown([aScene('a', { chosen: aProof() }), aScene('b', { chosen: aProof(), stale: true }), aScene('c'), aScene('d', { text: ' ' })])
    expect(wrapper.text()).toContain('3 proofs, 12 credits in all')
    await press('Try 2 scenes')
    expect(asked('runScenes')[0]!.scenes).toMatchObject([{ sceneId: 'b', revision: 1 }, { sceneId: 'c', revision: 1 }])
  })

  it('is priced anew for the aspect ratios it is asked in', async () => {
    const { wrapper, press } = await shown([aScene('a')])
    await wrapper.findAll<HTMLInputElement>('input[type="checkbox"]').find((one) => one.element.value === '1:1')!.setValue(true)
    await flushPromises()
    expect(asked('priceScenes').map((body) => body!.ratios)).toEqual([undefined, ['1:1']])
    await press('Try 1 scene')
    expect(asked('runScenes')[0]!.ratios).toEqual(['1:1'])
  })

  it('is stopped while proofs are to come, and chooses the newest for all scenes at once', async () => {
    const { press, choose } = await shown([aScene('a', { coming: 2, newest: aProof({ id: 'n1', storedAt: '2026-01-02T10:00:00Z' }) }), aScene('b', { newest: aProof({ id: 'n2', storedAt: '2026-01-02T10:00:00Z' }) })])
    await press('Stop the rest')
    expect(asked('stopScenes')).toHaveLength(1)
    await press('Choose the newest in all of them')
    expect(choose).toHaveBeenCalledWith([{ sceneId: 'a', proofId: 'n1' }, { sceneId: 'b', proofId: 'n2' }])
  })
})
