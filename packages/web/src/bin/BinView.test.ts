import type { BinEntry } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { ApiProblem } from '../api/problem.ts'
import { useNotices } from '../notices/notices.ts'
import { choose, IN_TIME, press, withEngines } from '../testing.test-support.ts'
import BinView from './BinView.vue'

const { call, heard } = vi.hoisted(() => ({ call: vi.fn(), heard: { tell: vi.fn() as (event: unknown) => void } }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: (listener: (event: unknown) => void) => (heard.tell = listener) }))

const entry = (kind: BinEntry['kind'], name: string, more: Partial<BinEntry> = {}): BinEntry => ({ kind, id: name, name, project: null, picture: null, deletedAt: '2026-01-01T10:00:00Z', removable: false, ...more }) as BinEntry
const LIST = [entry('prompt', 'Fox', { project: 'Bees', removable: true }), entry('phrase', 'low angle'), entry('prompt', 'Heron')]
/** The server: what it lists, and what was asked of it beside. */
let lies: BinEntry[]
const asked = () => call.mock.calls.map(([route, given]) => [(route as { id: string }).id, (given as { params?: unknown }).params]).filter(([id]) => id !== 'listBin')
async function bin() {
  const wrapper = mount(BinView, { global: withEngines() })
  await flushPromises()
  return wrapper
}
const names = (wrapper: Awaited<ReturnType<typeof bin>>) => wrapper.findAll('li .name').map((one) => one.text())
beforeEach(() => {
  lies = LIST
  call.mockReset().mockImplementation((route: { id: string }) => Promise.resolve(route.id === 'listBin' ? lies : undefined))
})
afterEach(dropPageData)

describe('the bin', () => {
  it('says that it looks, then what lies in it, of what and of which project', async () => {
    const waiting = mount(BinView, { global: withEngines() })
    expect(waiting.get('[role=status]').text()).toBe('Looking …')
    await flushPromises()
    expect([names(waiting), waiting.get('[role=status]').text()]).toEqual([['Fox', 'low angle', 'Heron'], '3 things'])
    expect(waiting.findAll('li .soft')[0]!.text()).toMatch(/^Prompt of Bees, /)
  })

  it('says that it is empty', async () => {
    lies = []
    expect((await bin()).text()).toContain('The bin is empty.')
  })

  it('shows one kind, and all of them again', async () => {
    const wrapper = await bin()
    await choose(wrapper, 'Kind', 'phrase')
    expect(names(wrapper)).toEqual(['low angle'])
    await choose(wrapper, 'Kind', '')
    expect(names(wrapper)).toHaveLength(3)
  })

  it('gives one back, and looks again', async () => {
    const wrapper = await bin()
    lies = LIST.slice(1)
    await press(wrapper, 'Restore')
    expect([asked(), useNotices().shown.map(({ text }) => text), names(wrapper)]).toEqual([[['restoreFromBin', { kind: 'prompt', id: 'Fox' }]], ['“Fox” is back.'], ['low angle', 'Heron']])
  })

  it('asks before anything is deleted for good, and Cancel removes nothing', async () => {
    const wrapper = await bin()
    await press(wrapper, 'Delete for good')
    expect(wrapper.get('#remove-title').text()).toBe('Delete “Fox” for good?')
    await press(wrapper, 'Cancel')
    expect([asked(), wrapper.find('#remove-title').exists()]).toEqual([[], false])
  })

  it('removes only what is old enough, when that is said', async () => {
    const wrapper = await bin()
    await press(wrapper, 'Delete 1 old one for good')
    await wrapper.get('.ask').findAll('button')[0]!.trigger('click')
    await flushPromises()
    expect(asked()).toEqual([['deleteForGood', { kind: 'prompt', id: 'Fox' }]])
    expect(useNotices().shown.map(({ text }) => text)).toEqual(['1 thing deleted for good. What was spent on them stays in the ledger.'])
  })

  it('keeps what it shows where the server refuses, and says why', async () => {
    const wrapper = await bin()
    call.mockRejectedValueOnce(new ApiProblem('not-found', 'It is not in the bin any more. Nothing was changed.'))
    await press(wrapper, 'Restore')
    expect([names(wrapper).length, useNotices().shown.map(({ text }) => text)]).toEqual([3, ['It is not in the bin any more. Nothing was changed.']])
  })

  it('follows what another window deletes', async () => {
    const wrapper = await bin()
    lies = [...LIST, entry('series', 'The Lantern Bees')]
    heard.tell({ kind: 'bin' })
    await vi.waitFor(() => expect(names(wrapper)).toContain('The Lantern Bees'), IN_TIME)
  })
})
