import type { ClientSheet, Region } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { ApiProblem } from '../api/problem.ts'
import { letterKeys } from '../keys/letters.ts'
import { useNotices } from '../notices/notices.ts'
import { aRun, aServer, aSheetProof, choose, fill, IN_TIME, named, press, valueOf, withRouter } from '../testing.test-support.ts'
import ChangeDialog from './ChangeDialog.vue'
import ClientDialog from './ClientDialog.vue'
import FaultRow from './FaultRow.vue'
import ImportPictures from './ImportPictures.vue'
import RegionList from './RegionList.vue'

const { call, sent, saved } = vi.hoisted(() => ({ call: vi.fn(), sent: vi.fn(), saved: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('./upload.ts', async (original) => ({ ...(await original<object>()), uploadPicture: sent }))
vi.mock('./client-files.ts', () => ({ sheetPng: () => Promise.resolve(new Blob(['png'])), keepersZip: () => Promise.resolve(new Blob(['zip'])) }))
vi.mock('../shared/download.ts', () => ({ save: saved }))

let server: ReturnType<typeof aServer>
beforeEach(() => {
  localStorage.clear()
  letterKeys.value = true
  saved.mockReset()
  sent.mockReset()
  server = aServer(call)
})
afterEach(dropPageData)
const notices = () => useNotices().shown.map(({ text }) => text)

describe('where faults lie', () => {
  const REGION: Region = { fault: 'clutter', x: 0.1, y: 0.1, width: 0.2, height: 0.2 }
  async function list(regions: Region[] = [REGION]) {
    const { global } = await withRouter('/', '/')
    const wrapper = mount(RegionList, { props: { regions, faults: ['clutter', 'too-small'], marking: undefined }, global, attachTo: document.body })
    const key = (name: string, more = {}) => wrapper.get('.row').trigger('keydown', { key: name, ...more })
    const last = () => (wrapper.emitted('change')?.at(-1)?.[0] as Region[] | undefined)?.map(({ x, y, width, height }) => [x, y, width, height].map((one) => Math.round(one * 100)))
    return { wrapper, key, last }
  }

  it('is said in words, and moved, sized and taken away by keys', async () => {
    const { wrapper, key, last } = await list()
    expect(wrapper.get('.row').text()).toBe('clutter, upper left')
    await key('ArrowRight')
    expect(last()).toEqual([[12, 10, 20, 20]])
    await key('ArrowDown', { shiftKey: true })
    expect(last()).toEqual([[10, 10, 20, 22]])
    await key('Delete')
    expect(last()).toEqual([])
  })

  it('stays within the picture, and is never nothing', async () => {
    const edge = await list([{ ...REGION, x: 0.8, width: 0.2, height: 0.04 }])
    await edge.key('ArrowRight')
    expect(edge.last()).toEqual([[80, 10, 20, 4]])
    await edge.key('ArrowUp', { shiftKey: true })
    expect(edge.last()).toEqual([[80, 10, 20, 4]])
  })

  it('is marked for one fault at a time, and no longer by the same press', async () => {
    const { wrapper } = await list([])
    await wrapper.findAll('p button')[1]!.trigger('click')
    await wrapper.setProps({ marking: 'too-small' })
    await wrapper.findAll('p button')[1]!.trigger('click')
    expect(wrapper.emitted('mark')).toEqual([['too-small'], [undefined]])
  })
})

it('faults are switches with their letters, shown only while letters are keys', async () => {
  const { global } = await withRouter('/', '/')
  const wrapper = mount(FaultRow, { props: { faults: ['clutter'] }, global })
  expect(wrapper.findAll('[aria-pressed=true]').map((one) => one.text())).toEqual(['clutterl'])
  await wrapper.findAll('button')[0]!.trigger('click')
  expect(wrapper.emitted('toggle')).toHaveLength(1)
  letterKeys.value = false
  await flushPromises()
  expect(wrapper.find('kbd').exists()).toBe(false)
})

describe('a change of a picture', () => {
  async function dialog() {
    const { global, router } = await withRouter('/proofs/:proof', '/proofs/p1')
    const wrapper = mount(ChangeDialog, { props: { modelValue: true, proof: { id: 'p1', projectId: 'j', promptTitle: 'Fox', version: 2 } }, global })
    return { wrapper, router }
  }

  it('says how much is kept, and becomes a draft of its own', async () => {
    server.answers['createPrompt'] = { id: 'new' }
    const { wrapper, router } = await dialog()
    await choose(wrapper, 'Keep of the picture', 80)
    expect(wrapper.text()).toContain('80 of 100')
    await fill(wrapper, 'What to change', ' darker sky ')
    await press(wrapper, 'Open on the Desk')
    expect(server.asked('createPrompt')[0]!.body).toEqual({ projectId: 'j', change: { proof: 'p1', strength: 80, text: 'darker sky' } })
    await vi.waitUntil(() => router.currentRoute.value.path === '/desk/new', IN_TIME)
  })

  it('keeps what was written where it cannot be begun', async () => {
    server.refuses('createPrompt', 'The server does not answer.', 'unreachable')
    const { wrapper } = await dialog()
    await fill(wrapper, 'What to change', 'darker')
    await press(wrapper, 'Open on the Desk')
    expect([notices(), valueOf(wrapper, 'What to change'), wrapper.emitted('update:modelValue')]).toEqual([['The server does not answer.'], 'darker', undefined])
  })
})

describe('proofs for a client', () => {
  const SHEET = { id: 's', title: 'Foxes', proofs: ['p1', 'p2'], captions: ['title'], prompts: false, madeAt: '2026-01-01T10:00:00Z' } as ClientSheet
  async function dialog(count = 2, sheets: ClientSheet[] = []) {
    server.answers['listClientSheets'] = sheets
    server.answers['makeClientSheet'] = SHEET
    const { global } = await withRouter('/', '/')
    const wrapper = mount(ClientDialog, { props: { modelValue: true, proofs: [...Array.from({ length: count }, (_, i) => aSheetProof(`p${i + 1}`)), aSheetProof('none', { picture: null })] }, global })
    await flushPromises()
    return wrapper
  }

  it('go out as a picture under a title, numbered as they are kept', async () => {
    const wrapper = await dialog()
    await fill(wrapper, 'Title of the sheet', 'Foxes')
    await press(wrapper, 'PNG')
    expect([server.asked('makeClientSheet')[0]!.body, saved.mock.calls[0]![0]]).toEqual([expect.objectContaining({ title: 'Foxes', proofs: ['p1', 'p2'], captions: ['title'], prompts: false }), 'Foxes.png'])
    expect(wrapper.text()).toContain('Comments that came back')
  })

  it('go out as named files without a sheet', async () => {
    const wrapper = await dialog()
    await press(wrapper, 'The pictures as named files')
    expect([server.asked('makeClientSheet'), saved.mock.calls[0]![0]]).toEqual([[], 'A fox.zip'])
  })

  it('are no more than a sheet holds', async () => {
    const wrapper = await dialog(201)
    expect([wrapper.text(), named(wrapper, 'PNG')!.attributes('disabled')]).toEqual([expect.stringContaining('A sheet holds 200 pictures; 201 are selected.'), ''])
  })

  it('come back with comments by number; lines without one stay to be seen', async () => {
    server.answers['addComments'] = { added: 2, unplaced: ['and the rest?'] }
    const wrapper = await dialog(2, [SHEET])
    expect(named(wrapper, 'Add to the notes')!.attributes('disabled')).toBeDefined()
    await choose(wrapper, 'On which sheet', 's')
    await fill(wrapper, 'By number, a line each', '1: darker\n2: fine\nand the rest?')
    await press(wrapper, 'Add to the notes')
    expect([server.asked('addComments')[0]!.params, notices(), valueOf(wrapper, 'By number, a line each'), wrapper.text()]).toEqual([{ sheet: 's' }, ['2 comments added to the notes.'], 'and the rest?', expect.stringContaining('1 line had no number of this sheet')])
  })

  it('say why the sheet could not be kept, and can be made again', async () => {
    const wrapper = await dialog()
    server.refuses('makeClientSheet', 'The server does not answer.', 'unreachable')
    await press(wrapper, 'PNG')
    expect([notices(), named(wrapper, 'PNG')!.attributes('disabled'), saved.mock.calls]).toEqual([['The server does not answer.'], undefined, []])
  })
})

describe('pictures for a run that waits for them', () => {
  const took = (sha256: string, made = {}) => ({ sha256, width: 3, height: 2, bytes: 9, made: { settings: {}, ...made } })
  async function zone() {
    const { global } = await withRouter('/', '/')
    const wrapper = mount(ImportPictures, { props: { run: aRun({ byHand: true, proofs: [] }) }, global })
    const drop = async (...names: string[]) => {
      (wrapper.element as Element).dispatchEvent(Object.assign(new Event('drop', { bubbles: true, cancelable: true }), { dataTransfer: { files: names.map((name) => new File(['x'], name)) } }))
      await flushPromises()
    }
    return { wrapper, drop }
  }

  it('are taken in once each, with the seed they tell or the one that is typed', async () => {
    sent.mockResolvedValueOnce(took('a', { seed: 4, settings: { guidance: 3 } })).mockResolvedValueOnce(took('b')).mockResolvedValueOnce(took('b'))
    server.answers['importPictures'] = aRun()
    const { wrapper, drop } = await zone()
    await drop('one.png', 'two.png', 'two again.png')
    expect(wrapper.findAll('.waiting li')).toHaveLength(2)
    await fill(wrapper, 'Seed of all others', '9')
    await press(wrapper, 'Add 2 pictures')
    expect(call.mock.calls.map(([, given]) => (given as { body: unknown }).body).at(-1)).toEqual({ pictures: [{ sha256: 'a', seed: 4, settings: { guidance: 3 } }, { sha256: 'b', seed: 9, settings: {} }] })
    expect([wrapper.emitted('changed')?.length, wrapper.find('.waiting').exists()]).toEqual([1, false])
  })

  it('are refused one by one, with the reason and its name', async () => {
    sent.mockRejectedValueOnce(new ApiProblem('invalid', 'This is no picture. Nothing was taken in.')).mockResolvedValueOnce(took('b'))
    const { wrapper, drop } = await zone()
    await drop('notes.png', 'two.png')
    expect([wrapper.get('.refused').text(), wrapper.findAll('.waiting li').length]).toEqual(['notes.png: This is no picture. Nothing was taken in.', 1])
  })

  it('wait still where they could not be added', async () => {
    sent.mockResolvedValue(took('a'))
    server.refuses('importPictures', 'The server does not answer.', 'unreachable')
    const { wrapper, drop } = await zone()
    await drop('one.png')
    await press(wrapper, 'Add 1 picture')
    expect([notices(), wrapper.findAll('.waiting li').length]).toEqual([['The server does not answer.'], 1])
  })
})
