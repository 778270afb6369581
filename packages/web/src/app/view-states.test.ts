import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { dropPageData } from '../api/page-data.ts'
import { ApiProblem } from '../api/problem.ts'
import { useNotices } from '../notices/notices.ts'
import { useProjects } from '../stores/projects.ts'
import { IN_TIME } from '../testing.test-support.ts'
import { VIEWS } from './views.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', async () => ({ onChange: () => undefined, connected: (await import('vue')).ref(true) }))
vi.mock('../reading/reading-client.ts', () => ({ startReadingWorker: () => undefined, ReadingClient: class { ask = () => new Promise(() => undefined); read = () => new Promise(() => undefined); stop = () => undefined } }))

const ID = '00000000-0000-4000-8000-000000000001'
const PROJECT = { id: ID, name: 'Lantern Bees', archivedAt: null, prompts: 0, proofs: 0, keepers: 0, currency: 'EUR', rates: [], spent: [], ceiling: null }
/** Of the views, those that only show what others gave, or read nothing until something is chosen. */
const READS_NOTHING = new Set(['import', 'side-by-side', 'judge', 'begin'])
/** Every view at an address that is about something. */
const views = VIEWS.map((view) => ({ ...view, at: view.path.replace(/:\w+\??/g, ID) + (['side-by-side', 'judge'].includes(view.id) ? `?ids=${ID},${ID}` : '') }))

/** The view at its address, in an application with one project. */
async function shown(id: string) {
  const view = views.find((one) => one.id === id)!
  const router = createRouter({ history: createMemoryHistory(), routes: [...VIEWS.map(({ id: name, path, load }) => ({ path, name, component: load })), { path: '/:any(.*)*', component: { template: '<main />' } }] })
  const pinia = createPinia()
  setActivePinia(pinia)
  useProjects().all = [PROJECT] as unknown as ReturnType<typeof useProjects>['all']
  await router.push(view.at)
  const { default: component } = await view.load()
  const wrapper = mount({ components: { View: component }, template: '<v-app><View /></v-app>' }, { global: { plugins: [pinia, router] }, attachTo: document.body })
  await flushPromises()
  return wrapper
}
beforeEach(() => {
  call.mockReset()
  localStorage.clear()
  // The glossary's tables are files of the page.
  vi.stubGlobal('fetch', () => new Promise(() => undefined))
})
afterEach(() => {
  dropPageData()
  vi.unstubAllGlobals()
})

describe.each(views)('$title ($path)', ({ id }) => {
  it('has its frame while the server has not answered yet', async () => {
    call.mockReturnValue(new Promise(() => undefined))
    const wrapper = await shown(id)
    expect(wrapper.find('main').exists()).toBe(true)
    expect(useNotices().shown).toEqual([])
  })

  it.skipIf(READS_NOTHING.has(id))('says what the server refused', async () => {
    call.mockImplementation(() => Promise.reject(new ApiProblem('internal', 'It went wrong on the server. Nothing was changed. Try again.')))
    const wrapper = await shown(id)
    const said = () => [wrapper.text(), ...useNotices().shown.map(({ text }) => text)].join(' ')
    // Some views ask a moment after they are drawn.
    await vi.waitFor(() => expect(said()).toContain('It went wrong on the server. Nothing was changed. Try again.'), IN_TIME)
  })

  it('stands while the server is away', async () => {
    call.mockImplementation(() => Promise.reject(new ApiProblem('unreachable', 'The server does not answer.')))
    const wrapper = await shown(id)
    expect(wrapper.find('main').exists()).toBe(true)
  })
})
