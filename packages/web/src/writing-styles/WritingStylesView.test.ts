import type { WritingStyle } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { useNotices } from '../notices/notices.ts'
import { aServer, fieldOf, fill, IN_TIME, named, press, valueOf, withRouter } from '../testing.test-support.ts'
import WritingStylesView from './WritingStylesView.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('../reading/reading-client.ts', async (original) => ({ ...(await original<object>()), startReadingWorker: (await import('../reading/reader.test-support.ts')).readingHere }))

const GOOD = ['a fox in the snow, soft light, gouache, flat colour', 'a hen in a yard, soft light, gouache, flat colour', 'an owl on a branch, soft light, gouache, flat colour', 'a bee on a flower, soft light, gouache, flat colour', 'a heron by the lake, soft light, gouache, flat colour']
let styles: WritingStyle[]
let server: ReturnType<typeof aServer>
beforeEach(() => {
  styles = []
  server = aServer(call, {
    listWritingStyles: () => styles,
    saveWritingStyle: ({ params, body }: { params: { writingStyle: string }; body: { projectId: string | null; body: WritingStyle['body'] } }) => void (styles = [...styles.filter(({ id }) => id !== params.writingStyle), { id: params.writingStyle, projectId: body.projectId, body: body.body } as WritingStyle]),
    deleteWritingStyle: ({ params }: { params: { writingStyle: string } }) => void (styles = styles.filter(({ id }) => id !== params.writingStyle)),
    listHelpers: [],
    listModels: [],
  })
})
afterEach(dropPageData)
async function view(at = '/shelf/writing-styles') {
  const { global, router } = await withRouter('/shelf/writing-styles/:writingStyle?', at)
  const wrapper = mount(WritingStylesView, { global: { ...global, stubs: { ...global.stubs, ShelfParts: true } } })
  await flushPromises()
  return { wrapper, router }
}
type Shown = Awaited<ReturnType<typeof view>>['wrapper']
const examples = (wrapper: Shown) => wrapper.findAllComponents({ name: 'VTextarea' })[0]!.props('label') as string
/** Learns from the five and keeps what is found. */
async function learned(name = 'Flat gouache') {
  const shown = await view()
  await press(shown.wrapper, 'Learn one from prompts')
  await fill(shown.wrapper, examples(shown.wrapper), GOOD.join('\n\n'))
  await shown.wrapper.get('form.learn').trigger('submit')
  await vi.waitUntil(() => shown.wrapper.find('form.styled').exists(), IN_TIME)
  await flushPromises()
  await fill(shown.wrapper, 'Name', name)
  return shown
}
const keep = async (wrapper: Shown) => {
  await wrapper.get('form.styled').trigger('submit')
  await flushPromises()
}

describe('writing styles', () => {
  it('say what one is where there is none, and begin to learn one', async () => {
    const { wrapper } = await view()
    expect(wrapper.text()).toContain('No writing style yet.')
    await wrapper.findAll('button').at(-1)!.trigger('click')
    expect(wrapper.find('form.learn').exists()).toBe(true)
  })

  it('are learned from enough prompts alone', async () => {
    const { wrapper } = await view('/shelf/writing-styles?do=learn')
    await fill(wrapper, examples(wrapper), GOOD.slice(0, 1).join('\n\n'))
    expect(named(wrapper, 'Learn from 1 prompt')!.attributes('disabled')).toBeDefined()
  })

  it('are shown as what was found, to be corrected, and kept under a name', async () => {
    const { wrapper, router } = await learned()
    expect(valueOf(wrapper, 'Always said, word for word, one a line')).toContain('gouache')
    expect(useNotices().shown.map(({ text }) => text)).toEqual(['Learned from 5 examples. Correct what is not meant, then keep it.'])
    await keep(wrapper)
    expect(server.asked('saveWritingStyle')[0]!.body).toMatchObject({ projectId: null, body: { name: 'Flat gouache', style: 'list' } })
    await vi.waitUntil(() => router.currentRoute.value.path.startsWith('/shelf/writing-styles/'), IN_TIME)
    await vi.waitUntil(() => wrapper.find('h2.titled').exists(), IN_TIME)
    expect(wrapper.get('h2.titled').text()).toBe('Flat gouache for all projects; learned from 5 prompts')
  })

  it('have lengths that go up, said under the one that does not', async () => {
    const { wrapper } = await learned()
    await fill(wrapper, 'Longest, in words', '2')
    await keep(wrapper)
    expect([fieldOf(wrapper, 'Longest, in words').get('.v-messages').text(), server.asked('saveWritingStyle')]).toEqual(['No less than the usual.', []])
    await fill(wrapper, 'Longest, in words', 'many')
    await keep(wrapper)
    expect(server.asked('saveWritingStyle')).toEqual([])
  })

  it('have their facets moved, said as often as is meant, and never', async () => {
    const { wrapper } = await learned()
    const order = () => wrapper.findAll('tbody th').map((one) => one.text())
    const [first, second] = order()
    await press(wrapper, `${second} earlier`)
    expect(order().slice(0, 2)).toEqual([second, first])
    await fill(wrapper, `How often ${first} is said, in a hundred`, '140')
    await press(wrapper, `Never ${second}`)
    await keep(wrapper)
    const kept = server.asked('saveWritingStyle')[0]!.body!['body'] as WritingStyle['body']
    expect(kept.facets.map(({ facet }) => facet)).not.toContain(second)
    expect(kept.facets.find(({ facet }) => facet === first)!.share).toBe(1)
  })

  it('write a word so, and say how close it came', async () => {
    const shown = await learned()
    await keep(shown.wrapper)
    await vi.waitUntil(() => shown.wrapper.find('form.ask').exists(), IN_TIME)
    await fill(shown.wrapper, 'A word, a line or a draft', 'a goat')
    await shown.wrapper.get('form.ask').trigger('submit')
    await vi.waitUntil(() => shown.wrapper.find('article.one').exists(), IN_TIME)
    expect([shown.wrapper.get('article.one .text').text(), shown.wrapper.get('article.one').text()]).toEqual([expect.stringMatching(/goat.*gouache/), expect.stringMatching(/as close as [01]\.\d\d; the examples themselves/)])
  })

  it('are corrected under the same id, and learned again from their prompts', async () => {
    const { wrapper } = await learned()
    await keep(wrapper)
    await vi.waitUntil(() => wrapper.find('h2.titled').exists(), IN_TIME)
    await press(wrapper, 'Edit')
    await fill(wrapper, 'Name', 'Flat')
    await keep(wrapper)
    expect(new Set(server.asked('saveWritingStyle').map(({ params }) => params!['writingStyle'])).size).toBe(1)
    await vi.waitUntil(() => wrapper.find('h2.titled').exists(), IN_TIME)
    await press(wrapper, 'Learn again from its prompts')
    expect(valueOf(wrapper, examples(wrapper))).toBe(GOOD.join('\n\n'))
  })

  it('go into the bin with the way back', async () => {
    const { wrapper } = await learned()
    await keep(wrapper)
    await vi.waitUntil(() => wrapper.find('h2.titled').exists(), IN_TIME)
    server.answers['listBin'] = [{ kind: 'writing-style', id: 'bin-1', name: 'Flat gouache' }]
    await press(wrapper, 'Delete')
    await vi.waitUntil(() => useNotices().shown.some(({ text }) => text.includes('in the bin')), IN_TIME)
    useNotices().shown.at(-1)!.action!.run()
    await flushPromises()
    expect(server.asked('restoreFromBin')).toEqual([{ params: { kind: 'writing-style', id: 'bin-1' } }])
  })

  it('are given the project’s proven prompts, and said that there are none', async () => {
    server.answers['searchShelf'] = { rows: [{ id: 'x' }], total: 1 }
    server.answers['readPrompt'] = { draft: { text: 'a goat,\ngouache' } }
    const { wrapper } = await view('/shelf/writing-styles?do=learn')
    await press(wrapper, 'Add the project’s proven prompts')
    expect(valueOf(wrapper, examples(wrapper))).toBe('a goat, gouache')
    server.answers['searchShelf'] = { rows: [], total: 0 }
    await press(wrapper, 'Add the project’s proven prompts')
    expect(useNotices().shown.at(-1)!.text).toContain('has no proven prompt yet')
  })
})
