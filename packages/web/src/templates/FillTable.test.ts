import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useNotices } from '../notices/notices.ts'
import { useProjects } from '../stores/projects.ts'
import { aServer, fill, IN_TIME, named, press, withRouter } from '../testing.test-support.ts'
import FillTable from './FillTable.vue'
import { aTemplate } from './template.test-support.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('../reading/reading-client.ts', async (original) => ({ ...(await original<object>()), startReadingWorker: (await import('../reading/reader.test-support.ts')).readingHere }))

let server: ReturnType<typeof aServer>
beforeEach(() => {
  server = aServer(call, { makeDrafts: ({ body }: { body: { rows: { id: string }[] } }) => body.rows.map(({ id }) => ({ promptId: id })) })
})
async function table(template = aTemplate()) {
  const { global, router } = await withRouter('/shelf/templates/:template', '/shelf/templates/t')
  useProjects().all = [{ id: 'j', name: 'Bees', archivedAt: null }] as ReturnType<typeof useProjects>['all']
  const wrapper = mount(FillTable, { props: { template }, global, attachTo: document.body })
  await flushPromises()
  return { wrapper, router }
}
type Shown = Awaited<ReturnType<typeof table>>['wrapper']
const reads = (wrapper: Shown, text: string) => vi.waitUntil(() => wrapper.get('.reads').text().includes(text), IN_TIME)
const paste = async (wrapper: Shown, label: string, text: string) => {
  const event = Object.assign(new Event('paste', { bubbles: true, cancelable: true }), { clipboardData: { getData: () => text } })
  wrapper.get(`input[aria-label="${label}"]`).element.dispatchEvent(event)
  await flushPromises()
}
const made = () => server.asked('makeDrafts').map(({ body }) => (body as { rows: { values: Record<string, string> }[] }).rows.map(({ values }) => values))

describe('a template that is filled', () => {
  it('says what it reads as values are written, what it says by itself first', async () => {
    const { wrapper } = await table()
    await reads(wrapper, 'a fox in , gouache'.slice(0, 5))
    await fill(wrapper, 'setting, row 1', 'the snow')
    await reads(wrapper, 'a fox in the snow, gouache')
    expect(wrapper.findAll('.reads .slot').map((one) => one.text())).toEqual(['fox', 'the snow'])
  })

  it('becomes one draft, which is gone to', async () => {
    const { wrapper, router } = await table()
    await fill(wrapper, 'setting, row 1', 'the snow')
    await press(wrapper, 'Make the draft')
    expect([made(), server.asked('makeDrafts')[0]!.body]).toEqual([[[{ setting: 'the snow' }]], expect.objectContaining({ projectId: 'j', version: 1, tags: [] })])
    await vi.waitUntil(() => router.currentRoute.value.path.startsWith('/desk/'), IN_TIME)
    expect(wrapper.emitted('made')).toHaveLength(1)
  })

  it('takes a sheet that is pasted into a cell, from there on, a row a draft', async () => {
    const { wrapper } = await table()
    await paste(wrapper, 'animal, row 1', 'fox\tthe snow\nhen\ta yard\n')
    expect(wrapper.findAll('tbody tr').filter((row) => row.find('th').exists())).toHaveLength(2)
    await fill(wrapper, 'Tagged', 'birds,  winter ,')
    await press(wrapper, 'Make 2 drafts')
    expect(made()).toEqual([[{ animal: 'fox', setting: 'the snow' }, { animal: 'hen', setting: 'a yard' }]])
    expect(server.asked('makeDrafts')[0]!.body).toMatchObject({ tags: ['birds', 'winter'] })
    await vi.waitUntil(() => useNotices().shown.length, IN_TIME)
    expect(useNotices().shown.map(({ text }) => text)).toEqual(['2 drafts made in Bees.'])
  })

  it('leaves a word that is pasted to the cell', async () => {
    const { wrapper } = await table()
    await paste(wrapper, 'setting, row 1', 'the snow')
    expect(wrapper.findAll('tbody tr').filter((row) => row.find('th').exists())).toHaveLength(1)
  })

  it('takes a sheet with heads, and says which columns no slot is called by', async () => {
    const { wrapper } = await table()
    await press(wrapper, 'Paste a sheet')
    await fill(wrapper, 'A sheet of values', 'animal,price\nowl,3\n')
    await wrapper.get('.pasted').trigger('submit')
    await flushPromises()
    expect(wrapper.get('.said').text()).toContain('No slot is called “price”')
    await press(wrapper, 'Make the draft')
    expect(made()).toEqual([[{ animal: 'owl' }]])
  })

  it('has a row for each option of a slot', async () => {
    const { wrapper } = await table()
    await press(wrapper, 'each of 3')
    await press(wrapper, 'Make 3 drafts')
    expect(made()).toEqual([[{ animal: 'fox' }, { animal: 'hen' }, { animal: 'owl' }]])
  })

  it('goes down by Enter, adding a row at the end; rows are removed and all emptied', async () => {
    const { wrapper } = await table()
    await wrapper.get('input[aria-label="setting, row 1"]').trigger('keydown', { key: 'Enter' })
    await flushPromises()
    expect(wrapper.find('input[aria-label="setting, row 2"]').exists()).toBe(true)
    await press(wrapper, 'Remove row 2')
    expect(wrapper.find('input[aria-label="setting, row 2"]').exists()).toBe(false)
    await press(wrapper, 'Add a row')
    await fill(wrapper, 'setting, row 2', 'a yard')
    await press(wrapper, 'Empty the table')
    expect((wrapper.get('input[aria-label="setting, row 1"]').element as HTMLInputElement).value).toBe('')
  })

  it('of the first row plans trials over the options', async () => {
    const { wrapper, router } = await table()
    await press(wrapper, 'each of 3')
    await press(wrapper, 'Plan trials over its options')
    expect(made()).toEqual([[{ animal: 'fox' }]])
    await vi.waitUntil(() => router.currentRoute.value.fullPath.endsWith('/plan?vary=slots'), IN_TIME)
  })

  it('keeps its rows where they could not be made, and says why', async () => {
    server.refuses('makeDrafts', 'The template has changed since. Nothing was made.')
    const { wrapper } = await table()
    await fill(wrapper, 'setting, row 1', 'the snow')
    await press(wrapper, 'Make the draft')
    expect([useNotices().shown.map(({ text }) => text), (wrapper.get('input[aria-label="setting, row 1"]').element as HTMLInputElement).value]).toEqual([['The template has changed since. Nothing was made.'], 'the snow'])
    expect(named(wrapper, 'Make the draft')!.attributes('disabled')).toBeUndefined()
  })

  it('offers no more of its options than can be looked at', async () => {
    const { wrapper } = await table(aTemplate({}, { slots: [{ name: 'animal', hint: '', options: Array.from({ length: 10_000 }, (_, i) => `animal ${i}`), fallback: '' }] }))
    await wrapper.get('input[aria-label="animal, row 1"]').trigger('focus')
    await flushPromises()
    expect(wrapper.getComponent({ name: 'VCombobox' }).props('items')).toHaveLength(60)
  })
})
