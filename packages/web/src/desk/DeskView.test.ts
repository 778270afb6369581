import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { aDraft, aServer, press, withRouter } from '../testing.test-support.ts'
import DeskView from './DeskView.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
const begun = vi.hoisted(() => ({ fromNothing: vi.fn() }))
vi.mock('../prompts/new-prompt.ts', () => ({ useNewPrompt: () => begun }))

let server: ReturnType<typeof aServer>
beforeEach(() => {
  localStorage.clear()
  server = aServer(call, { readPrompt: { id: 'x', projectId: 'j', title: 'A fox', draft: aDraft() } })
})
afterEach(() => localStorage.clear())
async function desk(at = '/desk/x') {
  const { global, router } = await withRouter('/desk/:prompt?', at)
  const wrapper = mount(DeskView, { global: { ...global, stubs: { ...global.stubs, PromptDesk: { props: ['prompt'], template: '<main class="desk">{{ prompt.title }}</main>' } } } })
  return { wrapper, router }
}

describe('the Desk', () => {
  it('says that a prompt is opened, then shows it', async () => {
    let give: (value: unknown) => void = () => undefined
    const answer = server.answers['readPrompt']
    server.answers['readPrompt'] = () => new Promise((resolve) => (give = resolve))
    const { wrapper } = await desk()
    expect(wrapper.get('[role=status]').text()).toBe('Opening …')
    give(answer)
    await flushPromises()
    expect(wrapper.get('.desk').text()).toBe('A fox')
  })

  it('says what to do where nothing lies on it', async () => {
    const { wrapper } = await desk('/desk')
    await flushPromises()
    await press(wrapper, 'New prompt')
    expect([wrapper.get('h1').text(), begun.fromNothing.mock.calls.length]).toEqual(['Nothing lies on the desk', 1])
  })

  it('says that there is no such prompt', async () => {
    server.refuses('readPrompt', 'There is no such prompt.', 'not-found')
    const { wrapper } = await desk()
    await flushPromises()
    expect(wrapper.text()).toContain('There is no such prompt here')
  })

  it('says why one could not be opened, and opens it by a press', async () => {
    const before = server.answers['readPrompt']
    server.refuses('readPrompt', 'The server does not answer.', 'unreachable')
    const { wrapper } = await desk()
    await flushPromises()
    expect(wrapper.get('p').text()).toBe('The server does not answer.')
    server.answers['readPrompt'] = before
    await press(wrapper, 'Try again')
    expect(wrapper.find('.desk').exists()).toBe(true)
  })

  it('shows the prompt whose address was opened last', async () => {
    const { wrapper, router } = await desk()
    await flushPromises()
    server.answers['readPrompt'] = { id: 'y', title: 'A hen', draft: aDraft() }
    await router.push('/desk/y')
    await flushPromises()
    expect(wrapper.get('.desk').text()).toBe('A hen')
  })
})
