import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import type { Asking } from '../asking/asking.ts'
import { aHelper, aHelperBody } from '../helpers/helper.test-support.ts'
import { useHelpers } from '../stores/helpers.ts'
import { useModels } from '../stores/models.ts'
import { aServer, aTurn, choose, fill, named, press, valueOf, withEngines } from '../testing.test-support.ts'
import HelpersPanel from './HelpersPanel.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const MODELS = ['quoin', 'flourish'].map((id) => ({ profile: { id, name: id === 'quoin' ? 'Quoin' : 'Flourish', simulated: true, costUnit: 'token', cost: { request: 0, thousandIn: 1_000, thousandOut: 1_000 } }, connected: true, off: false, hasApiKey: false }))
const ask = vi.fn()
const takeUp = vi.fn()
let server: ReturnType<typeof aServer>
beforeEach(() => {
  ask.mockReset()
  takeUp.mockReset()
  server = aServer(call, { listTurns: [] })
})
async function panel(body = aHelperBody(), models = MODELS) {
  const global = withEngines()
  useHelpers().all = [aHelper({ id: 'fill-out', body })]
  useModels().all = models as unknown as ReturnType<typeof useModels>['all']
  useModels().usual = 'quoin'
  const asking = { ask, takeUp, busy: ref(false) } as unknown as Asking
  const phrases = [{ text: 'fox', start: 2, end: 5, facet: 'subject' }, { text: 'dusk', start: 7, end: 11, facet: 'moment' }]
  const wrapper = mount(HelpersPanel, { props: { asking, promptId: 'x', text: 'a fox, dusk', phrases: phrases as never, here: phrases[1] as never, engine: 'burin 2' }, global, attachTo: document.body })
  await flushPromises()
  return wrapper
}
const open = (wrapper: Awaited<ReturnType<typeof panel>>) => wrapper.get('.name').trigger('click').then(flushPromises)
const send = async (wrapper: Awaited<ReturnType<typeof panel>>) => {
  await wrapper.get('form').trigger('submit')
  await flushPromises()
}

describe('the helpers beside the text', () => {
  it('stand as words with a sentence, and open one at a time', async () => {
    const wrapper = await panel()
    expect([wrapper.get('li').text(), wrapper.find('form').exists()]).toEqual(['Fill out Says what is missing.', false])
    await open(wrapper)
    expect(wrapper.get('.name').attributes('aria-expanded')).toBe('true')
    await open(wrapper)
    expect(wrapper.find('form').exists()).toBe(false)
  })

  it('say what an asking costs before it is sent, and are asked', async () => {
    const wrapper = await panel()
    await open(wrapper)
    expect(wrapper.get('form').text()).toMatch(/about [\d,]+ tokens/)
    await send(wrapper)
    expect(ask).toHaveBeenCalledWith({ helper: 'fill-out', models: ['quoin'], values: {} })
  })

  it('are asked of two models at once', async () => {
    const wrapper = await panel()
    await open(wrapper)
    await choose(wrapper, 'And beside it', 'flourish')
    await send(wrapper)
    expect(ask.mock.calls[0]![0]).toMatchObject({ models: ['quoin', 'flourish'] })
  })

  it('ask for what they need: the phrase at the caret and the engine are there already', async () => {
    const wrapper = await panel(aHelperBody({ inputs: [{ key: 'phrase', label: 'Which phrase', kind: 'phrase' }, { key: 'engine', label: 'For which engine', kind: 'engine' }, { key: 'mood', label: 'Mood', kind: 'choice', values: ['calm', 'wild'], default: 'calm' }] }))
    await open(wrapper)
    expect(['Which phrase', 'For which engine', 'Mood'].map((label) => valueOf(wrapper, label))).toEqual(['dusk', 'burin 2', 'calm'])
  })

  it('are not asked with a number out of its bounds, which is said', async () => {
    const wrapper = await panel(aHelperBody({ inputs: [{ key: 'length', label: 'How long', kind: 'number', min: 10, max: 90, default: 40 }] }))
    await open(wrapper)
    const label = wrapper.findAllComponents({ name: 'VTextField' })[0]!.props('label') as string
    expect(label).toMatch(/^How long; Burin reads/)
    await fill(wrapper, label, '400')
    await send(wrapper)
    expect([ask.mock.calls, named(wrapper, 'Ask')!.attributes('disabled')]).toEqual([[], ''])
  })

  it('say where a model is connected where there is none', async () => {
    const wrapper = await panel(aHelperBody(), [])
    await open(wrapper)
    expect([wrapper.text(), named(wrapper, 'Ask')!.attributes('disabled')]).toEqual([expect.stringContaining('No language model is connected.'), ''])
  })

  it('bring back what was asked before', async () => {
    const turn = aTurn('prompt', null, { taken: { taken: 2, left: 1 }, further: 'shorter' })
    server.answers['listTurns'] = [turn]
    const wrapper = await panel()
    await press(wrapper, 'Asked before')
    expect(wrapper.get('.before').text()).toMatch(/^Ideas: shorter Quoin, .*, 2 taken$/)
    await press(wrapper, 'Ideas: shorter')
    expect(takeUp).toHaveBeenCalledWith(turn)
  })

  it('open by their name from elsewhere, with the focus in their first field', async () => {
    const wrapper = await panel(aHelperBody({ inputs: [{ key: 'theme', label: 'Theme', kind: 'text' }] }))
    await (wrapper.vm as unknown as { open: (id: string) => Promise<void> }).open('fill-out')
    await flushPromises()
    expect(document.activeElement?.tagName).toMatch(/TEXTAREA|INPUT/)
  })
})
