import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { letterKeys } from '../keys/letters.ts'
import { aServer, aSheetProof, IN_TIME, named, press, withRouter } from '../testing.test-support.ts'
import SideBySideView from './SideBySideView.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const ALL = ['p0', 'p1', 'p2', 'p3'].map((id, i) => aSheetProof(id, { version: i + 1 }))
const phrase = (before: string, after: string) => ({ kind: 'phrase', facet: 'light', before, after })
let server: ReturnType<typeof aServer>
beforeEach(() => {
  letterKeys.value = true
  server = aServer(call, {
    readSheet: ({ query }: { query: { ids: string } }) => ({ proofs: ALL.filter(({ id }) => query.ids.split(',').includes(id)), total: 4 }),
    compareProofs: { near: true, score: 0.9, differences: [phrase('dusk', 'noon')] },
    changeProof: ({ params, body }: { params: { proof: string }; body: object }) => ({ ...ALL.find(({ id }) => id === params.proof)!, ...body }),
  })
})
async function beside(ids: string) {
  const { global, router } = await withRouter('/proofs/side-by-side', `/proofs/side-by-side?ids=${ids}`)
  const wrapper = mount(SideBySideView, { global: { ...global, stubs: { ...global.stubs, ZoomPane: { props: ['sha256', 'alt'], template: '<img :alt="alt" />' } } }, attachTo: document.body })
  await flushPromises()
  const key = async (name: string) => {
    await wrapper.get('.panes').trigger('keydown', { key: name })
    await flushPromises()
  }
  return { wrapper, router, key, pictures: () => wrapper.findAll('.panes img').map((one) => one.attributes('alt')) }
}
const NAMES = ALL.map(({ version }) => `A fox, version ${version}, Burin 1, seed 7`)

describe('proofs side by side', () => {
  it('stand in the order in which they were chosen, with the one thing that differs', async () => {
    const { wrapper, pictures } = await beside('p1,p0')
    expect(pictures()).toEqual([NAMES[1], NAMES[0]])
    expect([wrapper.get('.differences p').text(), wrapper.get('.differences dl').text()]).toEqual(['One thing differs.', expect.stringContaining('light')])
    expect(server.asked('compareProofs')).toEqual([{ params: { proof: 'p1', other: 'p0' } }])
  })

  it('say that of several things it cannot be told which made what is seen', async () => {
    server.answers['compareProofs'] = { near: false, score: 0.1, differences: [phrase('dusk', 'noon'), phrase('fog', 'rain')] }
    expect((await beside('p0,p1')).wrapper.get('.differences p').text()).toBe('2 things differ; which of them made what you see cannot be told. The prompts ask for different pictures.')
  })

  it('say that what is seen is the engine’s own where nothing differs', async () => {
    server.answers['compareProofs'] = { near: true, score: 1, differences: [] }
    expect((await beside('p0,p1')).wrapper.get('.differences p').text()).toBe('Nothing differs in what made them; what you see is the engine’s own.')
  })

  it('compare each with the first; another can be made the first, or taken away', async () => {
    const { wrapper, router, pictures } = await beside('p0,p1,p2')
    expect(wrapper.findAll('.differences h2')).toHaveLength(2)
    await press(wrapper, 'Compare with it')
    await vi.waitUntil(() => router.currentRoute.value.query['ids'] === 'p1,p0,p2', IN_TIME)
    await flushPromises()
    expect(pictures()[0]).toBe(NAMES[1])
    await press(wrapper, 'Remove')
    await vi.waitUntil(() => router.currentRoute.value.query['ids'] === 'p0,p2', IN_TIME)
  })

  it('are judged by letters, the one that is reached', async () => {
    const { wrapper, key } = await beside('p0,p1')
    await key('ArrowRight')
    await key('k')
    expect(server.asked('changeProof')).toEqual([expect.objectContaining({ params: { proof: 'p1' }, body: { verdict: 'keep' } })])
    expect(wrapper.findAll('figcaption')[1]!.text()).toContain('keep')
  })

  it('are judged by a press on either, which is taken back by the same', async () => {
    const { wrapper } = await beside('p0,p1')
    const verdicts = wrapper.findAll('figure')[1]!.get('[role=group]')
    expect(verdicts.attributes('aria-label')).toBe(`Verdict on ${NAMES[1]}`)
    const maybe = () => verdicts.findAll('button').find((one) => one.text().startsWith('maybe'))!
    await maybe().trigger('click')
    await vi.waitUntil(() => maybe().attributes('aria-pressed') === 'true', IN_TIME)
    await maybe().trigger('click')
    await vi.waitUntil(() => maybe().attributes('aria-pressed') === 'false', IN_TIME)
    expect(server.asked('changeProof')).toEqual(['maybe', null].map((verdict) => ({ params: { proof: 'p1' }, body: { verdict }, keepalive: true })))
  })

  it('flip in one place by keys', async () => {
    const { key, pictures } = await beside('p0,p1')
    await key('f')
    expect(pictures()).toEqual([NAMES[0]])
    await key(' ')
    expect(pictures()).toEqual([NAMES[1]])
    await key('f')
    expect(pictures()).toHaveLength(2)
  })

  it('zoom together, no further than twelve times and no less than whole', async () => {
    const { wrapper, key } = await beside('p0,p1')
    const scale = () => wrapper.getComponent({ name: 'ZoomControls' }).props('scale') as number
    for (let i = 0; i < 30; i++) await key('+')
    expect(scale()).toBe(12)
    await key('0')
    expect(scale()).toBe(1)
    await key('-')
    expect(scale()).toBe(1)
  })

  it.each(['', 'p0', 'p0,gone'])('say what stands here where there are fewer than two (“%s”)', async (ids) => {
    const { wrapper } = await beside(ids)
    expect(wrapper.get('.away').text()).toBe('Two to four proofs stand here. Select them on a sheet')
  })

  it('say why they could not be read, and are read again by a press', async () => {
    const before = server.answers['readSheet']
    server.refuses('readSheet', 'It went wrong on the server. Nothing was changed.', 'internal')
    const { wrapper, pictures } = await beside('p0,p1')
    expect(wrapper.get('.away').text()).toContain('It went wrong on the server. Nothing was changed.')
    server.answers['readSheet'] = before
    await press(wrapper, 'Try again')
    expect([pictures().length, named(wrapper, 'Try again')]).toEqual([2, undefined])
  })
})
