import type { Model } from '@idolon/contract'
import { SHIPPED_MODELS } from '@idolon/core/helper'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { ApiProblem } from '../api/problem.ts'
import { useNotices } from '../notices/notices.ts'
import { fill, named, press, withEngines } from '../testing.test-support.ts'
import ModelsSection from './ModelsSection.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const [quoin] = SHIPPED_MODELS
const USAGE = { answered: 0, failed: 0, medianMs: null, spent: 0, lastFailure: null }
const aModel = (more: Partial<Model> = {}): Model => ({ profile: quoin!, connected: true, origin: 'shipped', off: false, hasApiKey: false, usage: USAGE, ...more }) as Model
const own = aModel({ origin: 'own', profile: { ...quoin!, id: 'quill', name: 'Quill', simulated: false, connection: { url: 'https://models.example', headers: { authorization: 'Bearer {apiKey}' } } as unknown as NonNullable<Model['profile']['connection']> } })
let known: Model[]
/** What the next question but the list's is answered with. */
let answer: () => Promise<unknown>
const asked = () => call.mock.calls.map(([route, given]) => [(route as { id: string }).id, given as { params?: unknown; body?: unknown }] as const).filter(([id]) => id !== 'listModels')
const shown = () => useNotices().shown.map(({ text }) => text)
async function section(open?: string) {
  const wrapper = mount(ModelsSection, { global: withEngines() })
  await flushPromises()
  if (open) await wrapper.findAll('button.choice').find((one) => one.text().startsWith(open))!.trigger('click')
  return wrapper
}
beforeEach(() => {
  known = [aModel(), own]
  answer = () => Promise.resolve(undefined)
  call.mockReset().mockImplementation((route: { id: string }) => (route.id === 'listModels' ? Promise.resolve(known) : answer()))
})
afterEach(dropPageData)

describe('the language models', () => {
  it('are listed with how each stands, and closed', async () => {
    known = [aModel(), own, aModel({ ...own, profile: { ...own.profile, id: 'c', name: 'Third' }, connected: false, off: true })]
    const wrapper = await section()
    expect(wrapper.findAll('button.choice').map((one) => [one.text(), one.attributes('aria-expanded')])).toEqual([['Quoin simulated', 'false'], ['Quill connected', 'false'], ['Third switched off', 'false']])
  })

  it('say what they cost, what came of them so far, and where they are spoken to', async () => {
    known = [aModel({ ...own, usage: { answered: 5, failed: 1, medianMs: 1_400, spent: 900, lastFailure: 'It was busy.' } })]
    const text = (await section('Quill')).text()
    expect(text).toContain('5 answered, half within 1.4 s; 1 failed; 900 tokens spent. The last that failed: It was busy.')
    expect(text).toContain('Spoken to at https://models.example.')
  })

  it('are asked a few words; what they say stands there with how long it took', async () => {
    answer = () => Promise.resolve({ said: 'a heron in the reeds', problem: null, tookMs: 800 })
    const wrapper = await section('Quoin')
    await press(wrapper, 'Ask it a few words')
    expect(wrapper.get('[role=status]').text()).toBe('a heron in the reeds after 0.8 s')
  })

  it('can be asked again after one that did not answer', async () => {
    answer = () => Promise.reject(new ApiProblem('unreachable', 'The server does not answer.'))
    const wrapper = await section('Quoin')
    await press(wrapper, 'Ask it a few words')
    expect([shown(), named(wrapper, 'Ask it a few words')!.attributes('disabled')]).toEqual([['The server does not answer.'], undefined])
  })

  it('are switched off and on', async () => {
    const wrapper = await section('Quill')
    known = [aModel(), { ...own, off: true, connected: false }]
    await press(wrapper, 'Switch off')
    expect(asked()).toEqual([['switchModel', { params: { model: 'quill' }, body: { off: true } }]])
    expect([named(wrapper, 'Switch on') !== undefined, named(wrapper, 'Ask it a few words')!.attributes('disabled')]).toEqual([true, ''])
  })

  it('keep a key, which is cleared from the field and not shown again', async () => {
    const wrapper = await section('Quill')
    await fill(wrapper, 'API key', 'tok-1')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect([asked(), (wrapper.get('input[type=password]').element as HTMLInputElement).value, shown()]).toEqual([[['setModelApiKey', { params: { model: 'quill' }, body: { apiKey: 'tok-1' } }]], '', ['The API key is saved, sealed. It is not shown again.']])
  })

  it('are removed only where they are one’s own, and come back by Undo', async () => {
    expect([named(await section('Quoin'), 'Remove it')]).toEqual([undefined])
    const wrapper = await section('Quill')
    known = [aModel()]
    await press(wrapper, 'Remove it')
    expect(wrapper.text()).not.toContain('Quill')
    useNotices().shown.at(-1)!.action!.run()
    await flushPromises()
    expect(asked().map(([id]) => id)).toEqual(['removeModel', 'saveModel'])
  })

  it('misbehave for practice where they are simulated, and only there', async () => {
    expect(named(await section('Quill'), 'Have them misbehave')).toBeUndefined()
    const wrapper = await section('Quoin')
    await fill(wrapper, 'How many times', '2')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    await press(wrapper, 'Make them gullible')
    await press(wrapper, 'Behave again')
    expect(asked().map(([, { body }]) => body)).toEqual([{ misbehaviour: 'prose', times: 2 }, { gullible: true }, { misbehaviour: 'none', gullible: false }])
  })

  it('get one more by a form, which is left again without a trace', async () => {
    const wrapper = await section()
    await press(wrapper, 'Add a model')
    expect(named(wrapper, 'Save')).toBeDefined()
    await press(wrapper, 'Cancel')
    expect([named(wrapper, 'Add a model') !== undefined, asked()]).toEqual([true, []])
  })
})
