import { readPrompt, readSheetLists, readTemplateWhole, startTrial } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { ApiProblem } from '../api/problem.ts'
import { aDraft, choose, emit, fill, IN_TIME, named, offered, press, valueOf, withRouter } from '../testing.test-support.ts'
import TrialView from './TrialView.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('../reading/reading-client.ts', async (original) => ({ ...(await original<object>()), startReadingWorker: (await import('../reading/reader.test-support.ts')).readingHere }))

/** Waited for what is true, on a busy machine too. */
const TEXT = 'a fox in the snow, soft light, gouache'
let answers: Map<unknown, unknown>
beforeEach(() => {
  dropPageData()
  answers = new Map<unknown, unknown>([[readPrompt, { id: 'x', projectId: 'j', title: 'A fox', revision: 3, template: null, draft: aDraft(TEXT) }]])
  call.mockReset().mockImplementation((route) => (answers.has(route) ? Promise.resolve(answers.get(route)) : Promise.resolve([])))
})
async function plan(query = '') {
  const { global, router } = await withRouter('/desk/:prompt/plan', `/desk/x/plan${query}`)
  const wrapper = mount(TrialView, { global })
  await vi.waitUntil(() => wrapper.find('.frame').exists() && wrapper.findAll('[role=menuitem]').length, IN_TIME)
  return { wrapper, router }
}
type Shown = Awaited<ReturnType<typeof plan>>['wrapper']
const rows = (wrapper: Shown) => wrapper.findAll('.rows tbody tr').map((row) => row.findAll('td').map((cell) => cell.text())).filter((cells) => cells.length > 1)
const priced = (wrapper: Shown) => vi.waitUntil(() => wrapper.get('.price').text().includes('combination'), IN_TIME)
const tryBy = (wrapper: Shown, way: string) => emit(wrapper.getComponent({ name: 'VRadioGroup' }), 'update:modelValue', way)
/** Varies a phrase of the draft. */
async function vary(wrapper: Shown, phrase: string, options: string) {
  await wrapper.findAll('[role=menuitem]').find((one) => one.text().startsWith(phrase))!.trigger('click')
  await flushPromises()
  await fill(wrapper, wrapper.findAllComponents({ name: 'VTextarea' }).at(-1)!.props('label') as string, options, true)
}
const submit = async (wrapper: Shown) => {
  await wrapper.get('.how').trigger('submit')
  await flushPromises()
}
const started = () => (call.mock.calls.find(([route]) => route === startTrial)?.[1] as { body: { revision: number; body: { name: string; frame: string; factors: unknown[]; skip: unknown[]; count: number; way: unknown } } } | undefined)?.body

describe('a trial plan that is set up', () => {
  it('says what to do first, and cannot be started with nothing that varies', async () => {
    const { wrapper } = await plan()
    expect(wrapper.get('.price').text()).toBe('Choose what varies.')
    expect(wrapper.text()).toContain('Nothing yet. Choose a phrase, the engine or a setting')
    expect(named(wrapper, 'Start')!.attributes('disabled')).toBeDefined()
  })

  it('offers the phrases of the draft with their facets, and those not twice that vary', async () => {
    const { wrapper } = await plan()
    expect(wrapper.findAll('[role=menuitem]').map((one) => one.text()).slice(0, 4)).toEqual(['foxsubject', 'snowmoment', 'soft lightlight', 'gouachemedium'])
    await vary(wrapper, 'fox', 'fox\nhen')
    expect(wrapper.findAll('[role=menuitem]').map((one) => one.text())).not.toContain('foxsubject')
    expect(wrapper.get('.frame .slot').text()).toBe('fox')
  })

  it('wants at least two options of each', async () => {
    const { wrapper } = await plan()
    await vary(wrapper, 'fox', 'fox')
    expect([wrapper.get('.price').text(), named(wrapper, 'Start')!.attributes('disabled')]).toEqual(['Give each at least two options.', ''])
  })

  it('counts, prices and lists the combinations of what varies', async () => {
    const { wrapper } = await plan()
    await vary(wrapper, 'fox', 'fox\nhen')
    await vary(wrapper, 'soft light', 'soft light\nnoon\n')
    tryBy(wrapper, 'all')
    await priced(wrapper)
    expect(wrapper.get('.price').text()).toMatch(/^4 combinations of 4\s*4 pictures, \d+ credits, about \d+ seconds?$/)
    await vi.waitUntil(() => rows(wrapper).length === 4, IN_TIME)
    expect(rows(wrapper)).toEqual([['1', 'fox', 'soft light'], ['2', 'fox', 'noon'], ['3', 'hen', 'soft light'], ['4', 'hen', 'noon']])
  })

  it('skips two options together', async () => {
    const { wrapper } = await plan()
    expect(named(wrapper, 'Skip two options together')!.attributes('disabled')).toBeDefined()
    await vary(wrapper, 'fox', 'fox\nhen')
    await vary(wrapper, 'soft light', 'soft light\nnoon')
    tryBy(wrapper, 'all')
    await press(wrapper, 'Skip two options together')
    expect(offered(wrapper, 'Never')).toEqual(['subject: fox', 'subject: hen', 'light: soft light', 'light: noon'])
    await choose(wrapper, 'Never', '0 1')
    await choose(wrapper, 'with', '1 1')
    await vi.waitUntil(() => wrapper.get('.price').text().startsWith('3 combinations of 4'), IN_TIME)
    await submit(wrapper)
    expect(started()!.body.skip).toEqual([[{ factor: 0, option: 1 }, { factor: 1, option: 1 }]])
    await wrapper.findAll('.nevers button').at(-1)!.trigger('click')
    await vi.waitUntil(() => wrapper.get('.price').text().startsWith('4 combinations of 4'), IN_TIME)
  })

  it('draws a sample by a number within bounds; of another it says so under the field, and does not start', async () => {
    const { wrapper } = await plan()
    await vary(wrapper, 'fox', 'fox\nhen\nowl')
    tryBy(wrapper, 'sample')
    await flushPromises()
    await fill(wrapper, 'Of', '900')
    await fill(wrapper, 'Drawn by', 'a few')
    await fill(wrapper, 'Results of each', '2')
    const wrong = () => wrapper.findAll('.how .v-messages__message').map((one) => one.text())
    expect(wrong()).toEqual(['A number from 1 to 500.', 'A number from 0 to 2,147,483,646.'])
    await submit(wrapper)
    expect(started()).toBeUndefined()
    await fill(wrapper, 'Of', '2')
    await fill(wrapper, 'Drawn by', '7')
    expect(wrong()).toEqual([])
    await vi.waitUntil(() => wrapper.get('.price').text().startsWith('2 combinations of 3'), IN_TIME)
    await submit(wrapper)
    await vi.waitUntil(() => started(), IN_TIME)
    expect(started()!.body).toMatchObject({ way: { kind: 'sample', count: 2, seed: 7 }, count: 2 })
  })

  it('varies engines and settings beside the words', async () => {
    const { wrapper } = await plan()
    await press(wrapper, 'Vary the engine')
    await vi.waitUntil(() => wrapper.get('.price').text().includes('combination'), IN_TIME)
    expect(named(wrapper, 'Vary the engine')!.attributes('disabled')).toBeDefined()
    await wrapper.findAll('[role=menuitem]').find((one) => one.text() === 'guidance')!.trigger('click')
    await flushPromises()
    expect((valueOf(wrapper, 'Values of guidance, with commas') as string).split(', ').length).toBe(3)
  })

  it('is started once, under its name, for the revision of the draft that was shown, and goes to its sheet', async () => {
    const { wrapper, router } = await plan()
    await vary(wrapper, 'fox', 'fox\nhen')
    await priced(wrapper)
    await fill(wrapper, 'Name of the plan', '  Fox or hen ')
    await priced(wrapper)
    await vi.waitUntil(() => named(wrapper, 'Start 2 pictures')?.attributes('disabled') === undefined && named(wrapper, 'Start 2 pictures'), IN_TIME)
    await submit(wrapper)
    expect(started()).toMatchObject({ revision: 3, body: { name: 'Fox or hen', frame: 'a {{ subject }} in the snow, soft light, gouache', factors: [{ kind: 'words', slot: 'subject', options: ['fox', 'hen'] }], count: 1 } })
    await vi.waitUntil(() => router.currentRoute.value.path === '/proofs/sheet', IN_TIME)
  })

  it('stays, with what was set up, where it is refused, and says why', async () => {
    const { wrapper, router } = await plan()
    await vary(wrapper, 'fox', 'fox\nhen')
    await priced(wrapper)
    call.mockImplementation((route) => (route === startTrial ? Promise.reject(new ApiProblem('draft-moved', 'The draft has changed since. Nothing was asked for.')) : Promise.resolve([])))
    await submit(wrapper)
    expect(wrapper.get('p[role=alert]').text()).toBe('The draft has changed since. Nothing was asked for.')
    expect([router.currentRoute.value.path, valueOf(wrapper, 'Options of subject, one a line')]).toEqual(['/desk/x/plan', 'fox\nhen'])
    expect(named(wrapper, 'Start 2 pictures')!.attributes('disabled')).toBeUndefined()
  })

  it('renames what varies to what a template can call it, and to no name that is taken', async () => {
    const { wrapper } = await plan()
    await vary(wrapper, 'fox', 'fox\nhen')
    await vary(wrapper, 'soft light', 'soft light\nnoon')
    await fill(wrapper, 'What it is called', '{{ light }}', true)
    expect(wrapper.findAllComponents({ name: 'VTextField' }).filter((one) => one.props('label') === 'What it is called').map((one) => one.props('modelValue') as string)).toEqual(['light 2', 'light'])
  })
})

describe('a trial plan that begins with something', () => {
  it('varies the slots of the template the draft was made from, with their options', async () => {
    answers.set(readPrompt, { id: 'x', projectId: 'j', title: 'A fox', revision: 3, template: { id: 't' }, draft: aDraft(TEXT, { marks: [{ kind: 'from', from: 0, to: 5, source: { type: 'slot', id: 't/animal' } }] }) })
    answers.set(readTemplateWhole, { template: { id: 't', body: { slots: [{ name: 'animal', options: ['a fox', 'a hen', 'an owl'] }] } } })
    const { wrapper } = await plan('?vary=slots')
    await vi.waitUntil(() => wrapper.find('textarea').exists(), IN_TIME)
    expect((wrapper.get('textarea').element as HTMLTextAreaElement).value).toBe('a fox\na hen\nan owl')
  })

  it('varies what a character may change into, one thing at a time', async () => {
    answers.set(readSheetLists, [{ name: 'hour', options: ['noon', 'soft light', 'dusk'] }])
    const { wrapper } = await plan('?sheet=part')
    await vi.waitUntil(() => wrapper.find('textarea').exists(), IN_TIME)
    expect([(wrapper.get('textarea').element as HTMLTextAreaElement).value, wrapper.getComponent({ name: 'VRadioGroup' }).props('modelValue')]).toEqual(['soft light\nnoon\ndusk', 'one-at-a-time'])
  })
})
