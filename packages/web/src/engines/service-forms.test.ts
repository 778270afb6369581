import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '../api/problem.ts'
import { useNotices } from '../notices/notices.ts'
import { choose, fill, named, press, valueOf, withEngines } from '../testing.test-support.ts'
import ApiKeyForm from './ApiKeyForm.vue'
import PracticeForm from './PracticeForm.vue'

const said = () => useNotices().shown.map(({ text }) => text)

describe('the API key of a service', () => {
  const form = (kept: boolean, save = vi.fn<(apiKey: string | null) => Promise<void>>().mockResolvedValue(undefined)) => ({ wrapper: mount(ApiKeyForm, { props: { kept, save }, global: withEngines() }), save })

  it('is given once, in a field that does not show it, and then gone from the page', async () => {
    const { wrapper, save } = form(false)
    expect([wrapper.get('input').attributes('type'), wrapper.get('input').attributes('autocomplete'), named(wrapper, 'Save the API key')!.attributes('disabled'), named(wrapper, 'Remove the API key')]).toEqual(['password', 'off', '', undefined])
    await fill(wrapper, 'API key', 'tok-123')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect([save.mock.calls, valueOf(wrapper, 'API key'), said()]).toEqual([[['tok-123']], '', ['The API key is saved, sealed. It is not shown again.']])
  })

  it('that is there is replaced or removed', async () => {
    const { wrapper, save } = form(true)
    expect(valueOf(wrapper, 'An API key is saved; a new one takes its place')).toBe('')
    await press(wrapper, 'Remove the API key')
    expect([save.mock.calls, said()]).toEqual([[[null]], ['The API key is removed.']])
  })

  it('that could not be sealed stays in its field, with the reason', async () => {
    const { wrapper } = form(false, vi.fn().mockRejectedValue(new ApiProblem('no-key', 'This copy of Idolon has no key to seal API keys with. Nothing was kept.')))
    await fill(wrapper, 'API key', 'tok-123')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect([valueOf(wrapper, 'API key'), said()]).toEqual(['tok-123', ['This copy of Idolon has no key to seal API keys with. Nothing was kept.']])
  })
})

describe('faults on purpose', () => {
  const form = () => mount(PracticeForm, { props: { label: 'For practice', act: 'Have it misbehave', faults: { busy: 'is busy', refuse: 'refuses' }, first: 'busy' }, global: withEngines(), slots: { default: '<i class="more" />' } })

  it('are chosen by what the service then does, so many times', async () => {
    const wrapper = form()
    await wrapper.get('form').trigger('submit')
    await choose(wrapper, 'For practice', 'refuse')
    await fill(wrapper, 'How many times', '3')
    await wrapper.get('form').trigger('submit')
    expect(wrapper.emitted('misbehave')).toEqual([['busy', 1], ['refuse', 3]])
  })

  it('come no more than a hundred times; of more it is said under the field, and the number before holds', async () => {
    const wrapper = form()
    await fill(wrapper, 'How many times', '5')
    await fill(wrapper, 'How many times', '500')
    expect(wrapper.findAll('.v-messages__message').map((one) => one.text())).toEqual(['A number from 1 to 100.'])
    await wrapper.get('form').trigger('submit')
    expect(wrapper.emitted('misbehave')).toEqual([['busy', 5]])
  })

  it('end by one press, and leave room for what one service has besides', async () => {
    const wrapper = form()
    await press(wrapper, 'Behave again')
    expect([wrapper.emitted('behave'), wrapper.find('.more').exists()]).toEqual([[[]], true])
  })
})
