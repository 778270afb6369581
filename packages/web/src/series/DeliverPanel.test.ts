import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useNotices } from '../notices/notices.ts'
import { aProof, emit, named, press, withEngines } from '../testing.test-support.ts'
import DeliverPanel from './DeliverPanel.vue'
import { anOpenSeries, aScene } from './series.test-support.ts'

const { told, saved } = vi.hoisted(() => ({ told: { hear: vi.fn() as (event: unknown) => void }, saved: vi.fn() }))
vi.mock('../api/changes.ts', () => ({ onChange: (hear: (event: unknown) => void) => (told.hear = hear) }))
vi.mock('../shared/download.ts', () => ({ save: saved }))
const asked = vi.fn()
beforeEach(() => {
  saved.mockReset()
  asked.mockReset()
  vi.stubGlobal('fetch', asked)
})
afterEach(() => vi.unstubAllGlobals())
const answers = (more: object = {}) => ({ ok: true, headers: new Headers({ 'content-disposition': "attachment; filename*=UTF-8''Die%20Bienen.csv" }), blob: () => Promise.resolve(new Blob(['x'])), ...more })
function panel(scenes = [aScene('a', { chosen: aProof() }), aScene('b')]) {
  return mount(DeliverPanel, { props: { open: anOpenSeries(scenes).open }, global: withEngines() })
}
const address = () => new URL(String(asked.mock.calls[0]![0]), 'http://here')

describe('what goes out of a series', () => {
  it('is saved under the name the server gives it', async () => {
    asked.mockResolvedValue(answers())
    const wrapper = panel()
    await press(wrapper, 'Shot list as CSV')
    expect([address().pathname, saved.mock.calls[0]![0]]).toEqual(['/api/series/s1/delivery/shots.csv', 'Die Bienen.csv'])
    expect(wrapper.text()).toContain('1 of the scenes have no chosen proof')
  })

  it('says how far it is, counted, and is stopped without a word of complaint', async () => {
    asked.mockImplementation((_: string, { signal }: { signal: AbortSignal }) => new Promise((_resolve, reject) => signal.addEventListener('abort', () => reject(Object.assign(new Error('x'), { name: 'AbortError' })))))
    const wrapper = panel()
    await wrapper.findAll('button').find((one) => one.text() === 'Book of prompts')!.trigger('click')
    expect(wrapper.get('[role=status]').text()).toContain('Beginning …')
    told.hear({ kind: 'delivery', deliveryId: 'other', done: 9, of: 9 })
    told.hear({ kind: 'delivery', deliveryId: address().searchParams.get('delivery'), done: 1, of: 2 })
    await flushPromises()
    expect([wrapper.get('[role=status]').text(), named(wrapper, 'Animatic')!.attributes('disabled')]).toEqual(['1 of 2 scenesStop', ''])
    await press(wrapper, 'Stop')
    expect([wrapper.find('[role=status]').exists(), useNotices().shown, saved.mock.calls]).toEqual([false, [], []])
  })

  it('has its pictures in other ratios too where they are ticked', async () => {
    asked.mockResolvedValue(answers())
    const wrapper = panel()
    emit(wrapper.findAllComponents({ name: 'VCheckbox' })[0]!, 'update:modelValue', ['1:1', '3:2'])
    await flushPromises()
    await press(wrapper, 'Pictures')
    expect(address().searchParams.get('ratios')).toBe('1:1,3:2')
  })

  it.each([
    [{ ok: false, json: () => Promise.resolve({ type: 'https://idolon/problems/invalid', detail: 'No scene has a picture. Nothing was made.' }) }, 'No scene has a picture. Nothing was made.'],
    [{ ok: false, json: () => Promise.reject(new Error('x')) }, 'The server does not answer. Nothing was lost; try again.'],
  ])('says why it could not be made', async (answer, says) => {
    asked.mockResolvedValue(answer)
    await press(panel(), 'Contact sheet as PNG')
    expect([useNotices().shown.map(({ text }) => text), saved.mock.calls]).toEqual([[says], []])
  })
})
