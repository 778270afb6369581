import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { useNotices } from '../notices/notices.ts'
import { useProjects } from '../stores/projects.ts'
import { aServer, fill, IN_TIME, named, press, withRouter } from '../testing.test-support.ts'
import BeginView from './BeginView.vue'

const { call, told, begun } = vi.hoisted(() => ({ call: vi.fn(), told: { all: [] as ((event: unknown) => void)[] }, begun: { fromNothing: vi.fn(), fromText: vi.fn() } }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: (hear: (event: unknown) => void) => told.all.push(hear) }))
vi.mock('../prompts/new-prompt.ts', () => ({ useNewPrompt: () => begun }))

const prompt = (id: string) => ({ id, projectId: 'j', title: `Prompt ${id}`, excerpt: 'a fox', why: [], alike: 0, family: null, tags: [], status: 'proven', proofs: 4, keepers: 2, changedAt: '2026-01-01T10:00:00Z', bestProof: null })
let server: ReturnType<typeof aServer>
beforeEach(() => {
  told.all = []
  begun.fromNothing.mockReset()
  begun.fromText.mockReset()
  server = aServer(call, {
    searchShelf: ({ query }: { query: { status?: string } }) => ({ rows: query.status ? [prompt('p')] : [prompt('a'), prompt('b')], total: 2, more: false, read: [], unread: 0, frames: [] }),
    listWritingStyles: [{ id: 'w', body: { name: 'Flat gouache' } }],
    createProject: { id: 'n', name: 'Lamps', archivedAt: null },
    listProjects: [],
  })
})
afterEach(() => {
  vi.useRealTimers()
  dropPageData()
})
async function begin(at = '/', projects = [{ id: 'j', name: 'Bees', archivedAt: null }]) {
  const { global, router } = await withRouter('/', at)
  const store = useProjects()
  store.all = projects as typeof store.all
  const wrapper = mount(BeginView, { global: { ...global, stubs: { ...global.stubs, BeginFromIdea: true, ReuseDialog: { name: 'ReuseDialog', props: ['modelValue', 'promptId'], template: '<i v-if="modelValue" class="reuse" />' } } } })
  await flushPromises()
  return { wrapper, router }
}
const last = (wrapper: Awaited<ReturnType<typeof begin>>['wrapper']) => wrapper.findAllComponents({ name: 'PromptRow' }).map((one) => (one.props('prompt') as { id: string }).id)

describe('where one begins', () => {
  it('shows where what was last done will stand, then it', async () => {
    let give: (value: unknown) => void = () => undefined
    const answer = server.answers['searchShelf'] as (given: unknown) => unknown
    server.answers['searchShelf'] = (given: { query: { status?: string } }) => (given.query.status ? answer(given) : new Promise((resolve) => (give = resolve)))
    const { wrapper } = await begin()
    expect(wrapper.find('.last .v-skeleton-loader').exists()).toBe(true)
    give(answer({ query: {} }))
    await flushPromises()
    expect([wrapper.find('.last .v-skeleton-loader').exists(), last(wrapper)]).toEqual([false, ['a', 'b']])
  })

  it('begins with nothing, and with a written example', async () => {
    const { wrapper } = await begin()
    await press(wrapper, 'New prompt')
    await press(wrapper, 'Put a written prompt on the desk')
    expect([begun.fromNothing.mock.calls.length, begun.fromText.mock.calls[0]]).toEqual([1, ['j', expect.stringContaining('An old beekeeper')]])
  })

  it('begins with a proven prompt', async () => {
    const { wrapper } = await begin()
    await wrapper.get('.proven button').trigger('click')
    await flushPromises()
    expect([wrapper.find('.reuse').exists(), wrapper.getComponent({ name: 'ReuseDialog' }).props('promptId')]).toEqual([true, 'p'])
  })

  it('names a project, in the form that its address may ask for', async () => {
    const { wrapper, router } = await begin('/?do=project')
    expect(named(wrapper, 'Create it')!.attributes('disabled')).toBeDefined()
    await fill(wrapper, 'Name of the project', ' Lamps ')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect(server.asked('createProject')[0]!.body).toEqual({ name: 'Lamps' })
    await vi.waitUntil(() => router.currentRoute.value.fullPath === '/', IN_TIME)
    expect(wrapper.find('form').exists()).toBe(false)
  })

  it('keeps a name that could not be taken, and says why', async () => {
    server.refuses('createProject', 'There is a project of that name. Nothing was made.')
    const { wrapper } = await begin()
    await press(wrapper, 'Name one')
    await fill(wrapper, 'Name of the project', 'Bees')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect([useNotices().shown.map(({ text }) => text), (wrapper.get('form input').element as HTMLInputElement).value]).toEqual([['There is a project of that name. Nothing was made.'], 'Bees'])
  })

  it('says that nothing was done yet, and that nothing is proven', async () => {
    server.answers['searchShelf'] = { rows: [], total: 0, more: false, read: [], unread: 0, frames: [] }
    const { wrapper } = await begin('/', [])
    expect(wrapper.get('.last').text()).toContain('Nothing yet. Begin with a new prompt, or with the example.')
    expect(wrapper.text()).toContain('None yet. A prompt whose status is “proven”')
    expect(wrapper.find('begin-from-idea-stub').exists()).toBe(false)
  })

  it('is read again when a prompt changes', async () => {
    await begin()
    vi.useFakeTimers()
    const before = server.asked('searchShelf').length
    for (const hear of told.all) hear({ kind: 'prompt' })
    await vi.advanceTimersByTimeAsync(1_000)
    expect(server.asked('searchShelf')).toHaveLength(before + 2)
  })
})
