import type { Engine } from '@idolon/contract'
import { SHIPPED_ENGINES } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '../api/problem.ts'
import { useNotices } from '../notices/notices.ts'
import { choose, fill, named, press, withEngines } from '../testing.test-support.ts'
import EngineConnection from './EngineConnection.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const profile = SHIPPED_ENGINES.find(({ id, revision }) => id === 'burin' && revision === '2')!
const NOTHING = { stored: 0, failed: 0, medianMs: null, spent: 0, lastFailure: null }
const anEngine = (more: Partial<Engine> = {}): Engine => ({ profile, connected: true, origin: 'shipped', off: false, hasApiKey: false, usage: NOTHING, ...more }) as Engine
const withKey = (more: Partial<Engine> = {}) => anEngine({ profile: { ...profile, simulated: false, connection: { url: 'https://pictures.example', headers: { authorization: 'Bearer {apiKey}' } } as unknown as NonNullable<typeof profile.connection> }, ...more })
const connection = (engine = anEngine()) => mount(EngineConnection, { props: { engine }, global: { ...withEngines(), stubs: { ...withEngines().stubs, RequestPreview: true } } })
const asked = () => call.mock.calls.map(([route, given]) => [(route as { id: string }).id, (given as { body?: unknown }).body])
const shown = () => useNotices().shown.map(({ text }) => text)
beforeEach(() => call.mockReset())

describe('how an engine is spoken to', () => {
  it.each([
    [NOTHING, 'Nothing was asked of it yet.'],
    [{ ...NOTHING, stored: 1, medianMs: 1_200, spent: 4 }, 'One picture, half of them within 1.2 s; none failed; 4 credits spent.'],
    [{ stored: 12, failed: 2, medianMs: 900, spent: 48, lastFailure: 'It was busy.' }, '12 pictures, half of them within 0.9 s; 2 failed; 48 credits spent. The last that failed: It was busy.'],
  ])('says what came of it so far', (usage, says) => {
    expect(connection(anEngine({ usage })).get('p').text()).toBe(says)
  })

  it('asks for one picture, says that it does, and shows what came with what it cost', async () => {
    let give: (value: unknown) => void = () => undefined
    call.mockReturnValueOnce(new Promise((resolve) => (give = resolve)))
    const wrapper = connection()
    await press(wrapper, 'Try it with one picture')
    expect(named(wrapper, 'Asking ...')!.attributes('disabled')).toBeDefined()
    give({ picture: 'data:,', width: 768, height: 512, tookMs: 900, cost: 4, problem: null })
    await flushPromises()
    expect(wrapper.get('figcaption').text()).toBe('768 by 512 pixels in 0.9 s, 4 credits · simulated')
    expect(wrapper.get('img').attributes('alt')).toBe('What Burin made of the text')
  })

  it('says of one that failed why, and what was charged', async () => {
    call.mockResolvedValueOnce({ picture: null, problem: 'It refused the request.', tookMs: 300, cost: 0 })
    const wrapper = connection()
    await press(wrapper, 'Try it with one picture')
    expect(wrapper.get('figcaption').text()).toBe('It refused the request. after 0.3 s; nothing was charged')
  })

  it('can be asked again where the server was away, which is said', async () => {
    call.mockRejectedValueOnce(new ApiProblem('unreachable', 'The server does not answer.'))
    const wrapper = connection()
    await press(wrapper, 'Try it with one picture')
    expect([shown(), named(wrapper, 'Try it with one picture')!.attributes('disabled')]).toEqual([['The server does not answer.'], undefined])
  })

  it('asks nothing of one that is switched off, or whose profile says no address', async () => {
    const off = connection(anEngine({ off: true, connected: false }))
    expect([named(off, 'Try it with one picture')!.attributes('disabled'), off.text()]).toEqual(['', expect.stringContaining('It is switched off: nothing is asked of it.')])
    call.mockResolvedValueOnce(undefined)
    await press(off, 'Switch on')
    expect(asked()).toEqual([['switchEngine', { off: false }]])
    expect(connection(anEngine({ connected: false })).text()).toContain('its profile says no address')
  })

  it('keeps an API key once one is written, clears the field, and says that it is not shown again', async () => {
    call.mockResolvedValue(undefined)
    const wrapper = connection(withKey())
    expect(named(wrapper, 'Save the API key')!.attributes('disabled')).toBeDefined()
    await fill(wrapper, 'API key', 'tok-123')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect([asked(), wrapper.get('input[type=password]').element]).toEqual([[['setApiKey', { apiKey: 'tok-123' }]], expect.objectContaining({ value: '' })])
    expect(shown()).toEqual(['The API key is saved, sealed. It is not shown again.'])
  })

  it('keeps what was written where it could not be kept', async () => {
    call.mockRejectedValueOnce(new ApiProblem('unreachable', 'The server does not answer.'))
    const wrapper = connection(withKey())
    await fill(wrapper, 'API key', 'tok-123')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect((wrapper.get('input[type=password]').element as HTMLInputElement).value).toBe('tok-123')
  })

  it('removes a key that is kept, and offers that of no other', async () => {
    call.mockResolvedValue(undefined)
    expect(named(connection(withKey()), 'Remove the API key')).toBeUndefined()
    await press(connection(withKey({ hasApiKey: true })), 'Remove the API key')
    expect([asked(), shown()]).toEqual([[['setApiKey', { apiKey: null }]], ['The API key is removed.']])
  })

  it('has the simulated ones misbehave for practice, so many times, and behave again', async () => {
    call.mockResolvedValue(undefined)
    const wrapper = connection()
    await choose(wrapper, 'For practice, a simulated engine', 'refuse')
    await fill(wrapper, 'How many times', '3')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    await press(wrapper, 'Behave again')
    expect(asked()).toEqual([['practise', { fault: 'refuse', times: 3 }], ['practise', { fault: 'none', times: 1 }]])
    expect(shown()).toEqual(['The next 3 requests to a simulated engine: it refuses on grounds of policy.', 'The simulated engines behave again.'])
    expect(named(connection(withKey()), 'Have it misbehave')).toBeUndefined()
  })
})
