import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { useNotices } from '../notices/notices.ts'
import { aServer, emit, IN_TIME, press, withRouter } from '../testing.test-support.ts'
import { aHelper, aHelperBody, aWholeHelper } from './helper.test-support.ts'
import HelpersView from './HelpersView.vue'

const { call, picked } = vi.hoisted(() => ({ call: vi.fn(), picked: { give: (_: File[]) => undefined as unknown }, }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('../api/shapes.ts', () => ({ hasShape: (_: string, value: { format?: string }) => value.format === 'idolon-helpers-1', demandShape: () => undefined }))
vi.mock('../shared/pick-files.ts', () => ({ JSON_FILES: '', usePickFiles: (_: unknown, take: (files: File[]) => unknown) => ((picked.give = take), () => undefined) }))

const MINE = aHelper({ id: 'mine', body: aHelperBody({ name: 'Mine' }) })
const SHIPS = aHelper({ id: 'fill-out', shipped: true, versions: 1, current: 1, cases: 4 })
let server: ReturnType<typeof aServer>
beforeEach(() => {
  server = aServer(call, {
    listHelpers: [SHIPS, MINE],
    listModels: [],
    listEngines: [],
    readHelper: ({ params }: { params: { helper: string } }) => aWholeHelper({ helper: params.helper === 'mine' ? MINE : SHIPS }),
    addHelpers: [aHelper({ id: 'new', body: aHelperBody({ name: 'New one' }) })],
  })
})
afterEach(dropPageData)
async function view(at = '/helpers/mine') {
  const { global, router } = await withRouter('/helpers/:helper?', at)
  const wrapper = mount(HelpersView, { global: { ...global, stubs: { ...global.stubs, CaseSection: true, HelperVersions: { name: 'HelperVersions', emits: ['use', 'why'], template: '<i />' }, HelperEditor: { name: 'HelperEditor', props: ['body', 'isNew'], emits: ['save', 'cancel'], template: '<i class="writing" />' } } } })
  await flushPromises()
  return { wrapper, router }
}
const editor = (wrapper: Awaited<ReturnType<typeof view>>['wrapper']) => wrapper.getComponent({ name: 'HelperEditor' })
const notices = () => useNotices().shown.map(({ text }) => text)
const pick = async (name: string, text: string) => {
  await picked.give([new File([text], name)])
  await flushPromises()
}

describe('the helpers', () => {
  it('are listed with their versions and cases, one of them open', async () => {
    const { wrapper } = await view()
    expect(wrapper.findAll('li').map((one) => one.text())).toEqual(['Fill outversion 1, 4 cases', 'Mineyours, version 2 of 2, 1 case'])
    expect([wrapper.get('h2.titled').text(), wrapper.get('pre').text()]).toEqual(['Mine yours, version 2', expect.stringContaining('Fill out this prompt.')])
  })

  it('are saved as a new version, with why, used or not', async () => {
    const { wrapper } = await view()
    await press(wrapper, 'Edit')
    server.answers['saveHelperVersion'] = aWholeHelper({ helper: MINE })
    emit(editor(wrapper), 'save', MINE.body, 'shorter', true)
    await flushPromises()
    expect(server.asked('saveHelperVersion')).toEqual([{ params: { helper: 'mine' }, body: { body: MINE.body, why: 'shorter', use: true } }])
    expect([notices(), wrapper.find('.writing').exists()]).toEqual([['Version 2 is saved and used from now on. Its cases say whether it is better.'], false])
  })

  it('keep what was written where the server refuses', async () => {
    const { wrapper } = await view()
    await press(wrapper, 'Edit')
    server.refuses('saveHelperVersion', 'A slot is called by no input. Nothing was kept.')
    emit(editor(wrapper), 'save', MINE.body, '', false)
    await flushPromises()
    expect([notices(), wrapper.find('.writing').exists()]).toEqual([['A slot is called by no input. Nothing was kept.'], true])
  })

  it('are made anew, and gone to', async () => {
    const { wrapper, router } = await view()
    await press(wrapper, 'Add a helper')
    expect(editor(wrapper).props('isNew')).toBe(true)
    emit(editor(wrapper), 'save', aHelperBody(), 'first', true)
    await vi.waitUntil(() => router.currentRoute.value.path === '/helpers/new', IN_TIME)
    expect(server.asked('addHelpers')[0]!.body).toMatchObject({ helpers: [{ why: 'first', cases: [] }] })
  })

  it('use another version, which can be undone', async () => {
    const { wrapper } = await view()
    server.answers['changeHelper'] = aWholeHelper({ helper: MINE })
    emit(wrapper.getComponent({ name: 'HelperVersions' }), 'use', { number: 1 })
    await flushPromises()
    useNotices().shown[0]!.action!.run()
    await flushPromises()
    expect(server.asked('changeHelper').map(({ body }) => body)).toEqual([{ current: 1 }, { current: 2 }])
  })

  it('are copied with their cases, saying what of', async () => {
    const { wrapper } = await view()
    await press(wrapper, 'Copy')
    expect(server.asked('addHelpers')[0]!.body).toMatchObject({ helpers: [{ why: 'A copy of Mine, version 2.', cases: [{ name: 'A heron' }] }] })
    expect(notices()).toEqual(['1 helper added: New one.'])
  })

  it('go into the bin with the way back; those that ship cannot', async () => {
    const { wrapper, router } = await view()
    await press(wrapper, 'Delete')
    expect([server.asked('deleteHelper'), notices()]).toEqual([[{ params: { helper: 'mine' } }], ['“Mine” is in the bin.']])
    useNotices().shown[0]!.action!.run()
    await flushPromises()
    expect(server.asked('restoreFromBin')).toEqual([{ params: { kind: 'helper', id: 'mine' } }])
    await vi.waitUntil(() => router.currentRoute.value.path === '/helpers/mine', IN_TIME)
    expect((await view('/helpers/fill-out')).wrapper.findAll('article button').map((one) => one.text())).not.toContain('Delete')
  })

  it('come in from a file, of older words too', async () => {
    await view()
    await pick('helpers.json', JSON.stringify({ format: 'idolon-helpers-1', helpers: [{ body: aHelperBody(), why: '', cases: [] }] }))
    expect(server.asked('addHelpers')).toHaveLength(1)
  })

  it.each([
    ['no JSON', '{"format":', 'helpers.json is no JSON file. Nothing was imported.'],
    ['something else', '{"format":"a song"}', 'helpers.json holds no helpers as Idolon writes them. Nothing was imported.'],
  ])('take nothing in of a file that is %s', async (_, text, says) => {
    await view()
    await pick('helpers.json', text)
    expect([notices(), server.asked('addHelpers')]).toEqual([[says], []])
  })
})
