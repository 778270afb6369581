import type { Import, ImportPreview } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '../api/problem.ts'
import { useNotices } from '../notices/notices.ts'
import { useProjects } from '../stores/projects.ts'
import { aServer, choose, fill, IN_TIME, named, offered, press, valueOf, withRouter } from '../testing.test-support.ts'
import ImportView from './ImportView.vue'

const { call, told, sent } = vi.hoisted(() => ({ call: vi.fn(), told: { hear: vi.fn() as (event: unknown) => void }, sent: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: (hear: (event: unknown) => void) => (told.hear = hear) }))
vi.mock('./send-file.ts', () => ({ asOne: (files: File[]) => files[0], sendFile: sent }))

const anImport = (more: Partial<Import> = {}): Import => ({ id: 'i1', name: 'birds.csv', format: 'csv', rows: 3, state: 'read', problem: null, progress: 0, made: null, tag: null, columns: [{ name: 'Name', sample: 'Owl' }, { name: 'Prompt', sample: 'an owl' }], mapping: { title: 0, text: 1 }, ...more }) as unknown as Import
const some = <T>(first: T[] = [], count = first.length) => ({ count, first })
const PREVIEW = { coming: some([{ place: 'row 1', title: 'Owl', text: 'an owl at dusk', project: '', tags: ['night'], says: '' }]), rejected: some([{ place: 'row 3', reason: 'It has no text.' }]), duplicates: some([{ place: 'row 2', title: 'Again', of: { promptId: 'x', title: 'An owl' } }]), notes: some(), beside: [] } as unknown as ImportPreview
let server: ReturnType<typeof aServer>
beforeEach(() => {
  sent.mockReset().mockResolvedValue(anImport())
  server = aServer(call, { readImport: anImport(), previewImport: PREVIEW, startImport: anImport({ state: 'asked' }) })
})
afterEach(() => vi.useRealTimers())
async function view(at = '/shelf/in') {
  const { global, router } = await withRouter('/shelf/in/:import?', at)
  useProjects().all = [{ id: 'j', name: 'Bees', archivedAt: null }, { id: 'k', name: 'Old', archivedAt: '2026-01-01T10:00:00Z' }] as ReturnType<typeof useProjects>['all']
  const wrapper = mount(ImportView, { global })
  await flushPromises()
  return { wrapper, router }
}
const drop = async (wrapper: Awaited<ReturnType<typeof view>>['wrapper'], name: string) => {
  const event = Object.assign(new Event('drop', { bubbles: true, cancelable: true }), { dataTransfer: { files: [new File(['x'], name)] } })
  wrapper.get('.choose').element.dispatchEvent(event)
  await flushPromises()
}

describe('prompts from a file', () => {
  it('are shown before anything comes in: what does, what is left out and why, what is here already', async () => {
    const { wrapper, router } = await view()
    await drop(wrapper, 'birds.csv')
    await vi.waitUntil(() => router.currentRoute.value.path === '/shelf/in/i1', IN_TIME)
    await flushPromises()
    expect(wrapper.findAll('.coming h2').map((one) => one.text())).toEqual(['1 entry is left out', '1 prompt is here already: left out', '1 prompt comes in'])
    expect(wrapper.get('.coming').text()).toContain('row 3 It has no text.')
    expect(server.asked('startImport')).toEqual([])
  })

  it('come in as the writer says: into a project, tagged, those that are here too', async () => {
    const { wrapper } = await view('/shelf/in/i1')
    expect([valueOf(wrapper, 'Tag them all'), offered(wrapper, 'Into'), valueOf(wrapper, 'Into')]).toEqual(['birds', ['Bees'], 'j'])
    await choose(wrapper, 'the one that is here already too', true)
    await fill(wrapper, 'Tag them all', 'owls')
    expect(named(wrapper, 'Import 2 prompts')).toBeDefined()
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect(server.asked('startImport')).toEqual([{ params: { import: 'i1' }, body: { mapping: { title: 0, text: 1 }, project: 'j', duplicates: true, tag: 'owls' } }])
    expect(wrapper.get('[role=status]').text()).toContain('Coming in: 0 of 2 written.')
  })

  it('are looked through again where a column is another thing', async () => {
    const { wrapper } = await view('/shelf/in/i1')
    await choose(wrapper, 'Name is', 'note')
    expect(server.asked('previewImport').at(-1)!.body).toEqual({ mapping: expect.objectContaining({ text: 1, note: 0 }) as object })
  })

  it('say how far they are, and that they are there', async () => {
    server.answers['readImport'] = anImport({ state: 'asked', progress: 1 })
    const { wrapper } = await view('/shelf/in/i1')
    expect(wrapper.get('[role=progressbar]').attributes('aria-label')).toBe('Prompts written')
    server.answers['readImport'] = anImport({ state: 'done', made: 1, tag: 'birds' })
    told.hear({ kind: 'import', importId: 'other' })
    await flushPromises()
    expect(wrapper.text()).not.toContain('on the Shelf, tagged')
    told.hear({ kind: 'import', importId: 'i1' })
    await flushPromises()
    expect(wrapper.text()).toContain('1 prompt is on the Shelf, tagged “birds”.')
  })

  it('did not come in, which is said with the reason, and can be tried again', async () => {
    server.answers['readImport'] = anImport({ state: 'failed', problem: 'The server was restarted while it wrote. Nothing came in; start it again.' })
    const { wrapper } = await view('/shelf/in/i1')
    expect(wrapper.get('p[role=alert]').text()).toBe('The server was restarted while it wrote. Nothing came in; start it again.')
    expect(named(wrapper, 'Import 1 prompt')!.attributes('disabled')).toBeUndefined()
  })

  it.each([
    [new ApiProblem('invalid', 'This is a picture. Nothing was imported.'), 'This is a picture. Nothing was imported.'],
    [new TypeError('x'), 'The file could not be read in this browser. Nothing was imported.'],
  ])('are refused with a reason in the same place', async (error, says) => {
    sent.mockImplementation(() => Promise.reject(error))
    const { wrapper } = await view()
    await drop(wrapper, 'fox.png')
    expect(wrapper.get('p[role=alert]').text()).toBe(says)
  })

  it('of a bundle say themselves where they go', async () => {
    server.answers['readImport'] = anImport({ format: 'bundle', columns: [], mapping: {} })
    const { wrapper } = await view('/shelf/in/i1')
    expect([offered(wrapper, 'Into'), valueOf(wrapper, 'Into')]).toEqual([['the projects the file names', 'Bees'], ''])
  })

  it('are let go by Cancel', async () => {
    const { wrapper, router } = await view('/shelf/in/i1')
    await press(wrapper, 'Cancel')
    expect(call.mock.calls.map(([route]) => (route as { id: string }).id)).toContain('deleteImport')
    await vi.waitUntil(() => router.currentRoute.value.path === '/shelf/in', IN_TIME)
  })

  it('are none where nothing in the file can come in', async () => {
    server.answers['previewImport'] = { ...PREVIEW, coming: some(), duplicates: some() }
    const { wrapper } = await view('/shelf/in/i1')
    expect(named(wrapper, 'Nothing to import')!.attributes('disabled')).toBeDefined()
  })

  it('of an import that is gone say so', async () => {
    server.refuses('readImport', 'There is no such import. Choose the file again.', 'not-found')
    const { wrapper } = await view('/shelf/in/gone')
    expect([useNotices().shown.map(({ text }) => text), wrapper.find('.choose').exists()]).toEqual([['There is no such import. Choose the file again.'], true])
  })
})
