import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { useNotices } from '../notices/notices.ts'
import { useModels } from '../stores/models.ts'
import { useProjects } from '../stores/projects.ts'
import { aServer, choose, emit, fieldOf, fill, named, press, valueOf, withEngines } from '../testing.test-support.ts'
import CaseSection from './CaseSection.vue'
import { aHelper, aWholeHelper } from './helper.test-support.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const MODELS = ['quoin', 'flourish'].map((id) => ({ profile: { id, name: id === 'quoin' ? 'Quoin' : 'Flourish', costUnit: 'token', cost: { request: 0, thousandIn: 1_000, thousandOut: 1_000 } }, connected: true, off: false, hasApiKey: false }))
let server: ReturnType<typeof aServer>
beforeEach(() => {
  server = aServer(call, { listCaseRuns: [], startCaseRun: ({ body }: { body: { id: string; sides: unknown[] } }) => ({ id: body.id, helperId: 'fill-out', projectId: 'j', sides: body.sides, askedAt: '2026-01-01T10:00:00Z', stoppedAt: null, unit: 'token', results: [] }), saveCase: aWholeHelper(), removeCase: aWholeHelper({ cases: [] }) })
})
afterEach(dropPageData)
async function cases(whole = aWholeHelper()) {
  const global = withEngines()
  useModels().all = MODELS as unknown as ReturnType<typeof useModels>['all']
  useModels().usual = 'quoin'
  useProjects().all = [{ id: 'j', name: 'Bees', archivedAt: null }] as ReturnType<typeof useProjects>['all']
  const wrapper = mount(CaseSection, { props: { whole }, global: { ...global, stubs: { ...global.stubs, CaseRunTable: { name: 'CaseRunTable', props: ['run'], emits: ['stop'], template: '<i class="run" />' } } } })
  await flushPromises()
  return wrapper
}
const changed = (wrapper: Awaited<ReturnType<typeof cases>>) => wrapper.emitted('changed')?.length ?? 0

describe('the cases of a helper', () => {
  it('say what a good answer must satisfy, and that there are none yet', async () => {
    expect((await cases()).get('li').text()).toContain('no stop from the checks')
    const none = await cases(aWholeHelper({ cases: [] }))
    expect([none.get('h3').text(), none.find('form.start').exists()]).toEqual(['Cases none yet: a case is an input with what a good answer to it must satisfy', false])
  })

  it('are written, wanting a name and at least one criterion', async () => {
    const wrapper = await cases(aWholeHelper({ cases: [] }))
    await press(wrapper, 'Add a case')
    await wrapper.get('.case-form').trigger('submit')
    await flushPromises()
    expect([fieldOf(wrapper, 'Name of the case').get('.v-messages').text(), server.asked('saveCase')]).toEqual(['Fill this in.', []])
    await fill(wrapper, 'Name of the case', 'A hen')
    await fill(wrapper, 'The draft it is about', 'a hen in a yard')
    await wrapper.get('.case-form').trigger('submit')
    await flushPromises()
    expect(server.asked('saveCase')[0]).toMatchObject({ params: { helper: 'fill-out' }, body: { name: 'A hen', text: 'a hen in a yard', criteria: [{ kind: 'no-stops' }] } })
    expect([changed(wrapper), wrapper.find('.case-form').exists()]).toEqual([1, false])
  })

  it('lock only words that their draft says', async () => {
    const wrapper = await cases()
    await press(wrapper, 'A heron')
    await fill(wrapper, 'Locked words, a line each', 'a hen')
    await wrapper.get('.case-form').trigger('submit')
    await flushPromises()
    expect([fieldOf(wrapper, 'Locked words, a line each').get('.v-messages').text(), server.asked('saveCase')]).toEqual(['The text does not say “a hen”.', []])
  })

  it('have criteria of every kind, changed and taken away', async () => {
    const wrapper = await cases()
    await press(wrapper, 'A heron')
    await choose(wrapper, 'What a good answer must satisfy', 'length-within')
    await fill(wrapper, 'At most, in words', '60')
    await press(wrapper, 'Add a criterion')
    await wrapper.get('.case-form').trigger('submit')
    await flushPromises()
    expect(server.asked('saveCase')[0]!.body).toMatchObject({ criteria: [{ kind: 'length-within', least: 20, most: 60 }, { kind: 'no-stops' }] })
  })

  it('are removed, which can be undone', async () => {
    const wrapper = await cases()
    await press(wrapper, 'Remove the case A heron')
    useNotices().shown[0]!.action!.run()
    await flushPromises()
    expect([server.asked('removeCase')[0]!.params, server.asked('saveCase')[0]!.body, changed(wrapper)]).toEqual([{ helper: 'fill-out', case: 'c1' }, expect.objectContaining({ name: 'A heron' }), 2])
  })
})

describe('a run of the cases', () => {
  it('goes over two versions with one seed, and says what it costs before', async () => {
    const wrapper = await cases()
    expect(wrapper.get('.go').text()).toMatch(/about [\d,]+ tokens, to Bees$/)
    await wrapper.get('form.start').trigger('submit')
    await flushPromises()
    expect(server.asked('startCaseRun')[0]).toMatchObject({ params: { helper: 'fill-out' }, body: { projectId: 'j', sides: [{ version: 2, model: 'quoin' }, { version: 1, model: 'quoin' }] } })
    expect(wrapper.find('.run').exists()).toBe(true)
  })

  it('goes over one alone', async () => {
    const wrapper = await cases()
    await press(wrapper, 'on one alone')
    await wrapper.get('form.start').trigger('submit')
    await flushPromises()
    expect(server.asked('startCaseRun')[0]!.body).toMatchObject({ sides: [{ version: 2, model: 'quoin' }] })
  })

  it('does not compare a version with itself', async () => {
    const wrapper = await cases()
    await choose(wrapper, 'Second version', 2)
    expect([wrapper.get('.go').text(), named(wrapper, 'Run 2 cases')!.attributes('disabled')]).toEqual(['Run 2 casesBoth are the same.', ''])
    await choose(wrapper, 'Second model', 'flourish')
    expect(named(wrapper, 'Run 2 cases')!.attributes('disabled')).toBeUndefined()
  })

  it('begins with one side where there is one version', async () => {
    const wrapper = await cases(aWholeHelper({ helper: aHelper({ versions: 1, current: 1 }), versions: aWholeHelper().versions.slice(1) }))
    expect(named(wrapper, 'Run 1 case')).toBeDefined()
    await press(wrapper, 'and beside it on another')
    expect(valueOf(wrapper, 'Second version')).toBe(1)
  })

  it('is stopped, and says why where it cannot be', async () => {
    const wrapper = await cases()
    await wrapper.get('form.start').trigger('submit')
    await flushPromises()
    server.refuses('stopCaseRun', 'The server does not answer.', 'unreachable')
    emit(wrapper.getComponent({ name: 'CaseRunTable' }), 'stop')
    await flushPromises()
    expect(useNotices().shown.map(({ text }) => text)).toEqual(['The server does not answer.'])
  })
})
