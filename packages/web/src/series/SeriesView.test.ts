import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { useNotices } from '../notices/notices.ts'
import { aProof, aServer, emit, fill, IN_TIME, press, withRouter } from '../testing.test-support.ts'
import SeriesView from './SeriesView.vue'
import { aScene } from './series.test-support.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

let scenes: ReturnType<typeof aScene>[]
let server: ReturnType<typeof aServer>
const whole = (id = 's1') => ({ id, projectId: 'j', name: id === 's1' ? 'Foxes' : 'Hens', story: '', revision: 4, style: null, scenes, parts: [], changedAt: '2026-01-01T10:00:00Z' })
beforeEach(() => {
  scenes = [aScene('a', { chosen: aProof() }), aScene('b', { behind: [{ part: 'x', from: 1, to: 2 }] as never, stale: true })]
  server = aServer(call, { listSeries: [{ id: 's1', name: 'Foxes' }, { id: 's2', name: 'Hens' }], readSeries: ({ params }: { params: { series: string } }) => whole(params.series), addScenes: ({ params, body }: { params: { series: string }; body: { scenes: { id: string }[] } }) => ({ ...whole(params.series), scenes: [...scenes, aScene(body.scenes[0]!.id)] }), changeSeries: ({ body }: { body: object }) => ({ ...whole(), ...body }) })
})
afterEach(dropPageData)
const panels = Object.fromEntries(['ContinuityPanel', 'DeliverPanel', 'NewSeries', 'PartsPanel', 'RunSeries', 'StoryPanel'].map((name) => [name, { name, emits: ['choose', 'made', 'leave'], template: `<i class="${name}" />` }]))
async function view(at = '/series/s1') {
  const { global, router } = await withRouter('/series/:series?', at)
  const wrapper = mount(SeriesView, { global: { ...global, stubs: { ...global.stubs, ...panels, SceneRows: { name: 'SceneRows', props: ['open', 'chosen'], emits: ['choose'], template: '<i class="rows" />' }, ScenePanel: { name: 'ScenePanel', props: ['scene', 'number'], emits: ['story'], template: '<i class="panel" />' } } } })
  await flushPromises()
  return { wrapper, router }
}
type Shown = Awaited<ReturnType<typeof view>>['wrapper']
const panel = (wrapper: Shown) => wrapper.getComponent({ name: 'ScenePanel' })
const tab = async (wrapper: Shown, title: string) => {
  await wrapper.findAll('[role=tab]').find((one) => one.text() === title)!.trigger('click')
  await flushPromises()
}

describe('a series', () => {
  it('says how it stands, and what changed since its scenes were composed', async () => {
    const { wrapper } = await view()
    expect(wrapper.get('.named .soft').text()).toMatch(/^2 scenes, 1 with a chosen proof, 1 stale, \d+ seconds$/)
    expect([wrapper.get('.waiting').text(), wrapper.get('.waiting a').attributes('href')]).toEqual(['1 scene has an older version of a character, place or style. See what would change', '/series/s1/changes'])
  })

  it('shows the first scene, or the one that is chosen', async () => {
    const { wrapper } = await view()
    expect([panel(wrapper).props('number'), (panel(wrapper).props('scene') as { id: string }).id]).toEqual([1, 'a'])
    emit(wrapper.getComponent({ name: 'SceneRows' }), 'choose', 'b')
    await flushPromises()
    expect(panel(wrapper).props('number')).toBe(2)
  })

  it.each([
    ['Story', 'StoryPanel'],
    ['Parts', 'PartsPanel'],
    ['Continuity', 'ContinuityPanel'],
    ['Try', 'RunSeries'],
    ['Deliver', 'DeliverPanel'],
  ])('has “%s” beside its scenes', async (title, name) => {
    const { wrapper } = await view()
    await tab(wrapper, title)
    expect(wrapper.find(`.${name}`).exists()).toBe(true)
  })

  it('stays in the story while its scenes are gone through there', async () => {
    const { wrapper } = await view()
    await tab(wrapper, 'Story')
    emit(wrapper.getComponent({ name: 'StoryPanel' }), 'choose', 'b')
    await flushPromises()
    expect(wrapper.find('.StoryPanel').exists()).toBe(true)
    await tab(wrapper, 'Continuity')
    emit(wrapper.getComponent({ name: 'ContinuityPanel' }), 'choose', 'b')
    await flushPromises()
    expect(panel(wrapper).props('number')).toBe(2)
  })

  it('gets a scene after the one at hand, which is then at hand', async () => {
    const { wrapper } = await view()
    await press(wrapper, 'Add a scene')
    expect(server.asked('addScenes')[0]!.body).toMatchObject({ after: 'a', scenes: [{ story: null }] })
    expect(panel(wrapper).props('number')).toBe(3)
  })

  it('is renamed, not to nothing', async () => {
    const { wrapper } = await view()
    await fill(wrapper, 'Name of the series', '  ', true)
    await fill(wrapper, 'Name of the series', 'Red foxes', true)
    expect(server.asked('changeSeries').map(({ body }) => body)).toEqual([{ revision: 4, name: 'Red foxes' }])
  })

  it('goes into the bin with its scenes, and back', async () => {
    const { wrapper, router } = await view()
    await press(wrapper, 'Delete this series')
    await vi.waitUntil(() => router.currentRoute.value.path.startsWith('/series') && useNotices().shown.length, IN_TIME)
    expect([server.asked('deleteSeries'), useNotices().shown[0]!.text]).toEqual([[{ params: { series: 's1' } }], expect.stringContaining('“Foxes” is in the bin, with its scenes.')])
  })

  it('is the newest where its address names none', async () => {
    const { router } = await view('/series')
    await vi.waitUntil(() => router.currentRoute.value.path === '/series' || router.currentRoute.value.path === '/series/s1', IN_TIME)
  })

  it('says what one is where there is none, and begins it from a story', async () => {
    server.answers['listSeries'] = []
    const { wrapper, router } = await view('/series')
    await press(wrapper, 'Begin from a story')
    emit(wrapper.getComponent({ name: 'NewSeries' }), 'made', 's1')
    await vi.waitUntil(() => router.currentRoute.value.path === '/series/s1', IN_TIME)
  })

  it('says that there is no such series', async () => {
    server.refuses('readSeries', 'There is no such series.', 'not-found')
    const { wrapper } = await view()
    expect(wrapper.get('p[role=alert]').text()).toBe('There is no such series. It may be in the bin.')
  })

  it('without a scene offers the first', async () => {
    scenes = []
    const { wrapper } = await view()
    await press(wrapper, 'Add the first')
    expect(server.asked('addScenes')[0]!.body).toMatchObject({ after: null })
  })
})
