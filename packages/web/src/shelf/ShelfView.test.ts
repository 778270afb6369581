import type { FoundPrompt } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { useNotices } from '../notices/notices.ts'
import { aServer, choose, emit, fill, IN_TIME, named, press, withRouter } from '../testing.test-support.ts'
import ShelfView from './ShelfView.vue'

const { call, told } = vi.hoisted(() => ({ call: vi.fn(), told: { all: [] as ((event: unknown) => void)[] } }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: (hear: (event: unknown) => void) => told.all.push(hear) }))
const begun = vi.hoisted(() => ({ fromNothing: vi.fn() }))
vi.mock('../prompts/new-prompt.ts', () => ({ useNewPrompt: () => begun }))

const found = (id: string, more: Partial<FoundPrompt> = {}): FoundPrompt => ({ id, projectId: 'j', title: `Prompt ${id}`, excerpt: 'a fox', why: [], alike: 0, family: null, tags: [], status: 'testing', proofs: 2, keepers: 1, changedAt: '2026-01-01T10:00:00Z', bestProof: null, ...more }) as unknown as FoundPrompt
const answer = (rows: FoundPrompt[], more = {}) => ({ rows, total: rows.length, more: false, read: [], unread: 0, frames: [], ...more })
let server: ReturnType<typeof aServer>
beforeEach(() => {
  told.all = []
  server = aServer(call, { searchShelf: answer([found('a'), found('b')]), listTags: [{ tag: 'winter', count: 3 }], listSearches: [], listEngines: [], listTemplates: [], listParts: [] })
})
afterEach(() => {
  vi.useRealTimers()
  dropPageData()
})
async function shelf(query = '') {
  const { global, router } = await withRouter('/shelf', `/shelf${query}`)
  const wrapper = mount(ShelfView, { global: { ...global, stubs: { ...global.stubs, ReuseDialog: true, ShelfRow: { name: 'ShelfRow', props: ['prompt', 'selected'], emits: ['toggle', 'reuse', 'remove'], template: '<p class="row">{{ prompt.title }}</p>' }, ManyActs: { name: 'ManyActs', props: ['chosen'], emits: ['none', 'all'], template: '<p class="many">{{ chosen.length }} chosen</p>' } } }, attachTo: document.body })
  await flushPromises()
  return { wrapper, router }
}
type Shown = Awaited<ReturnType<typeof shelf>>['wrapper']
const rows = (wrapper: Shown) => wrapper.findAll('.row').map((one) => one.text())
const row = (wrapper: Shown, at: number) => wrapper.findAllComponents({ name: 'ShelfRow' })[at]!
const status = (wrapper: Shown) => wrapper.get('[role=status] strong').text()

describe('the Shelf', () => {
  it('says what it found, and puts the newest search over a slower one before it', async () => {
    const gives: ((value: unknown) => void)[] = []
    server.answers['searchShelf'] = () => new Promise((resolve) => gives.push(resolve))
    const { wrapper, router } = await shelf()
    expect(status(wrapper)).toBe('Looking …')
    await router.replace('/shelf?q=hen')
    await flushPromises()
    gives[1]!(answer([found('hen'), ...'abcdef'.split('').map((id) => found(id))]))
    await flushPromises()
    expect([rows(wrapper)[0], status(wrapper)]).toEqual(['Prompt hen', '7 prompts'])
    expect((call.mock.calls.filter(([route]) => (route as { id: string }).id === 'searchShelf')[0]![1] as { signal: AbortSignal }).signal.aborted).toBe(true)
  })

  it('says what to do first where there is nothing', async () => {
    server.answers['searchShelf'] = answer([])
    const { wrapper } = await shelf()
    expect(wrapper.text()).toContain('Nothing on the Shelf yet.')
    await wrapper.findAll('main > p button')[0]!.trigger('click')
    expect(begun.fromNothing).toHaveBeenCalled()
  })

  it('where words find little looks for what is close in meaning too', async () => {
    server.answers['searchShelf'] = ({ query }: { query: { by?: string } }) => (query.by === 'meaning' ? answer([found('near'), found('a')]) : answer([found('a')]))
    const { wrapper } = await shelf('?q=heron')
    expect([rows(wrapper), wrapper.get('#close-title').text()]).toEqual([['Prompt a', 'Prompt near'], 'Close in meaning'])
  })

  it('says that nothing fits, with a way to clear the search', async () => {
    server.answers['searchShelf'] = answer([])
    const { wrapper, router } = await shelf('?q=xyz&tag=winter')
    expect(wrapper.text()).toContain('Nothing fits. Remove a word or a filter.')
    await press(wrapper, 'Clear the search')
    await vi.waitUntil(() => router.currentRoute.value.fullPath === '/shelf', IN_TIME)
  })

  it('keeps what is looked for in its address, typed words after a pause', async () => {
    const { wrapper, router } = await shelf()
    await fill(wrapper, 'Find', 'heron')
    await vi.waitUntil(() => router.currentRoute.value.query['q'] === 'heron', IN_TIME)
    await choose(wrapper, 'Tag', 'winter')
    await vi.waitUntil(() => router.currentRoute.value.query['tag'] === 'winter', IN_TIME)
    await choose(wrapper, 'Tag', null)
    await vi.waitUntil(() => !('tag' in router.currentRoute.value.query), IN_TIME)
  })

  it('passes over what does not fit in an address', async () => {
    await shelf('?status=lost&kept=many&since=yesterday&q=fox')
    expect(server.asked('searchShelf')[0]!.query).toEqual({ q: 'fox', limit: 40, offset: 0 })
  })

  it('takes many at once, until something else is looked for', async () => {
    const { wrapper, router } = await shelf()
    emit(row(wrapper, 0), 'toggle')
    emit(row(wrapper, 1), 'toggle')
    await flushPromises()
    expect(wrapper.get('.many').text()).toBe('2 chosen')
    emit(row(wrapper, 1), 'toggle')
    await flushPromises()
    expect(wrapper.get('.many').text()).toBe('1 chosen')
    await router.replace('/shelf?q=hen')
    await flushPromises()
    expect(wrapper.find('.many').exists()).toBe(false)
  })

  it('puts one into the bin, with the way back', async () => {
    const { wrapper } = await shelf()
    emit(row(wrapper, 0), 'remove')
    await flushPromises()
    expect([server.asked('deletePrompt'), useNotices().shown.map(({ text }) => text)]).toEqual([[{ params: { prompt: 'a' } }], ['“Prompt a” is in the bin.']])
    useNotices().shown[0]!.action!.run()
    await flushPromises()
    expect(server.asked('restorePrompt')).toEqual([{ params: { prompt: 'a' } }])
  })

  it('is read again once after a burst of changes, as far as it was read', async () => {
    await shelf()
    vi.useFakeTimers()
    const before = server.asked('searchShelf').length
    for (let i = 0; i < 5; i++) for (const hear of told.all) hear({ kind: 'prompt' })
    await vi.advanceTimersByTimeAsync(2_000)
    expect(server.asked('searchShelf')).toHaveLength(before + 1)
  })

  it('looks again while prompts are still being read, until they are', async () => {
    vi.useFakeTimers()
    server.answers['searchShelf'] = answer([found('a')], { unread: 3 })
    const { wrapper } = await shelf()
    expect(wrapper.get('[role=status]').text()).toContain('3 prompts still to be read for what facets say.')
    server.answers['searchShelf'] = answer([found('a'), found('b')])
    await vi.advanceTimersByTimeAsync(2_000)
    expect(rows(wrapper)).toHaveLength(2)
    const settled = server.asked('searchShelf').length
    await vi.advanceTimersByTimeAsync(10_000)
    expect(server.asked('searchShelf')).toHaveLength(settled)
  })

  it('says why it could not look', async () => {
    server.refuses('searchShelf', 'It went wrong on the server. Nothing was changed.', 'internal')
    await shelf()
    expect(useNotices().shown.map(({ text }) => text)).toEqual(['It went wrong on the server. Nothing was changed.'])
  })

  it('opens the less used filters by a press, and by themselves where one is set', async () => {
    const { wrapper } = await shelf()
    expect(wrapper.find('.second').exists()).toBe(false)
    await press(wrapper, 'More filters')
    expect(wrapper.find('.second').exists()).toBe(true)
    const set = await shelf('?kept=2')
    expect([set.wrapper.find('.second').exists(), named(set.wrapper, 'More filters')!.attributes('disabled')]).toEqual([true, ''])
  })
})
