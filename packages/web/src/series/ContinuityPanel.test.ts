import type { SeriesSlip } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { withEngines } from '../testing.test-support.ts'
import ContinuityPanel from './ContinuityPanel.vue'
import { anOpenSeries, aScene } from './series.test-support.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))

const slip = (more: Partial<SeriesSlip> = {}): SeriesSlip => ({ kind: 'dress', sceneId: 'b', revision: 1, reason: 'Corin has a coat in scene 1 and a shirt here.', ...more })
async function shown(slips: SeriesSlip[], dismissed: { kind: 'dress'; reason: string; because: string }[] = []) {
  call.mockResolvedValue({ slips, unread: 0 })
  const scene = aScene('b')
  const { open, changeScene } = anOpenSeries([aScene('a'), { ...scene, body: { ...scene.body, dismissed } }])
  const wrapper = mount(ContinuityPanel, { props: { open }, global: withEngines(), attachTo: document.body })
  await flushPromises()
  return { wrapper, changeScene }
}
const press = (wrapper: Awaited<ReturnType<typeof shown>>['wrapper'], name: string) => wrapper.findAll('button').find((one) => one.text() === name)!.trigger('click')
beforeEach(() => void call.mockReset())

describe('continuity', () => {
  it('tells each slip at its scene with its reason, and fixes it in one press', async () => {
    const body = aScene('b').body
    const { wrapper, changeScene } = await shown([slip({ fix: { label: 'Keep the coat', body } })])
    expect(wrapper.text()).toContain('1 place where it does not hold together')
    expect(wrapper.text()).toContain('Scene 2')
    await press(wrapper, 'Keep the coat')
    expect(changeScene).toHaveBeenCalledWith('b', { body })
  })

  it('lets one stand with a reason, which is kept with the scene', async () => {
    const { wrapper, changeScene } = await shown([slip()])
    await press(wrapper, 'Dismiss')
    await wrapper.get('input').setValue(' He took it off. ')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect(changeScene.mock.calls[0]).toMatchObject(['b', { body: { dismissed: [{ kind: 'dress', reason: slip().reason, because: 'He took it off.' }] } }])
  })

  it('counts what is dismissed apart, and looks at it again when it is asked to', async () => {
    const { wrapper, changeScene } = await shown([slip({ dismissed: 'He took it off.' })], [{ kind: 'dress', reason: 'in another scene then', because: 'He took it off.' }])
    expect(wrapper.text()).toContain('It holds together')
    expect(wrapper.text()).toContain('1 slip dismissed')
    await wrapper.get('.v-expansion-panel-title').trigger('click')
    await press(wrapper, 'Look at it again')
    expect(changeScene.mock.calls[0]).toMatchObject(['b', { body: { dismissed: [] } }])
  })
})
