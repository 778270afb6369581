import { listTrials, type ChangeEvent } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { withEngines } from '../testing.test-support.ts'
import { aTrial } from './trial.test-support.ts'
import TrialLines from './TrialLines.vue'

const { call, told } = vi.hoisted(() => ({ call: vi.fn(), told: { change: vi.fn() as (event: unknown) => void } }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: (hear: (event: unknown) => void) => (told.change = hear) }))
const lines = async (props: { prompt?: string; project?: string }) => {
  const wrapper = mount(TrialLines, { props, global: withEngines() })
  await flushPromises()
  return wrapper
}
beforeEach(() => {
  call.mockReset()
  vi.useFakeTimers()
})
afterEach(() => {
  vi.useRealTimers()
  dropPageData()
})

describe('the newest trial plans', () => {
  it('are those of what is asked for', async () => {
    call.mockResolvedValue([aTrial(), aTrial({ stored: 2 }, { id: 'tr2', body: { ...aTrial().body, name: 'Noon or dusk' } })])
    const wrapper = await lines({ prompt: 'x' })
    expect(call.mock.calls[0]).toEqual([listTrials, expect.objectContaining({ query: { limit: 3, prompt: 'x' } })])
    expect(wrapper.findAll('a').map((one) => one.text())).toEqual(['Fox or hen', 'Noon or dusk'])
  })

  it('leave no empty place where there are none', async () => {
    call.mockResolvedValue([])
    expect((await lines({ project: 'j' })).find('[role=group]').exists()).toBe(false)
  })

  it('are read again when pictures come, not when somebody types', async () => {
    call.mockResolvedValue([aTrial({ stored: 1, sent: 3 })])
    const wrapper = await lines({ prompt: 'x' })
    call.mockResolvedValue([aTrial({ stored: 2, sent: 2 })])
    told.change({ kind: 'draft' } as ChangeEvent)
    await vi.advanceTimersByTimeAsync(1_000)
    expect(wrapper.text()).toContain('1 of 4 pictures')
    told.change({ kind: 'proof' } as ChangeEvent)
    await vi.advanceTimersByTimeAsync(1_000)
    expect(wrapper.text()).toContain('2 of 4 pictures')
  })
})
