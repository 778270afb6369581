import type { Aside } from '@idolon/contract'
import { applyEdit, type Difference, type Draft, type Edit, editBetween } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { shallowRef } from 'vue'
import { dropPageData } from '../api/page-data.ts'
import { ApiProblem } from '../api/problem.ts'
import { useNotices } from '../notices/notices.ts'
import { aDraft, named, press, withEngines } from '../testing.test-support.ts'
import type { DraftSession } from './draft-session.ts'
import SinceTried from './SinceTried.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const TRIED = aDraft('a fox at dawn, gouache')
const NOW = aDraft('a fox at dusk, gouache, low angle')
const change = (a: string, b: string, after: Draft) => ({ difference: { kind: 'phrase', change: 'changed', facet: 'moment', a, b } as unknown as Difference, edit: editBetween(TRIED, after) })
const CHANGES = [change('at dawn', 'at dusk', aDraft('a fox at dusk, gouache')), change('', 'low angle', aDraft('a fox at dawn, gouache, low angle'))]
const shown = () => useNotices().shown.map(({ text }) => text)
/** What lies aside on the server. */
let kept: Aside[]
const asked = () => call.mock.calls.map(([route]) => (route as { id: string }).id)

async function since(changes = CHANGES) {
  const draft = shallowRef<Draft>(NOW)
  const session = { draft, apply: (edit: Edit) => (draft.value = applyEdit(draft.value, edit)), view: { focus: vi.fn() } } as unknown as DraftSession
  const wrapper = mount(SinceTried, { props: { promptId: 'x', session, version: 2, tried: TRIED, changes }, global: withEngines() })
  await flushPromises()
  return { wrapper, draft }
}
const anAside = (id: string, edit: Edit): Aside => ({ id, says: `change ${id}`, base: TRIED, edit }) as Aside
beforeEach(() => {
  kept = []
  call.mockReset().mockImplementation((route: { id: string }, given: { body?: { asides: { id: string; says: string; edit: Edit }[]; base: Draft }; params?: { aside?: string } }) => {
    if (route.id === 'putAside') kept = [...given.body!.asides.map((one) => ({ ...one, base: given.body!.base }) as Aside), ...kept]
    if (route.id === 'dropAside') kept = kept.filter(({ id }) => id !== given.params!.aside)
    return Promise.resolve(route.id === 'dropAside' ? undefined : kept)
  })
})
afterEach(dropPageData)

describe('what has changed since the last try', () => {
  it('is nothing where nothing has, and nothing lies aside', async () => {
    expect((await since([])).wrapper.find('section').exists()).toBe(false)
  })

  it('says that of several changes the picture cannot tell which did it, and of one that it can', async () => {
    expect((await since()).wrapper.text()).toContain('2 changes; what shows cannot be told apart.')
    const { wrapper } = await since(CHANGES.slice(0, 1))
    expect([wrapper.text().includes('cannot be told apart'), named(wrapper, 'Keep only this')]).toEqual([false, undefined])
  })

  it('keeps one change alone; the others lie aside before they leave the draft', async () => {
    const { wrapper, draft } = await since()
    await press(wrapper, 'Keep only this')
    expect([draft.value.text, kept.length, asked().includes('putAside')]).toEqual(['a fox at dusk, gouache', 1, true])
    expect(wrapper.text()).toContain('Put aside')
  })

  it('gives the draft back by Undo, and takes nothing up twice', async () => {
    const { wrapper, draft } = await since()
    await press(wrapper, 'Keep only this')
    useNotices().shown.at(-1)!.action!.run()
    await flushPromises()
    expect([draft.value.text, kept]).toEqual([NOW.text, []])
  })

  it('leaves the draft as it is where the others could not be put aside', async () => {
    const { wrapper, draft } = await since()
    call.mockRejectedValueOnce(new ApiProblem('unreachable', 'The server does not answer.'))
    await press(wrapper, 'Keep only this')
    expect([draft.value.text, shown()]).toEqual([NOW.text, ['The server does not answer.']])
  })

  it('applies what lies aside to the draft as it is by now', async () => {
    kept = [anAside('k', editBetween(TRIED, aDraft('a fox at dawn, ink')))]
    const { wrapper, draft } = await since([])
    await press(wrapper, 'Apply it')
    expect([draft.value.text, kept]).toEqual(['a fox at dusk, ink, low angle', []])
  })

  it('says of one whose words are gone why it cannot be applied, and keeps it', async () => {
    kept = [anAside('k', editBetween(TRIED, aDraft('a fox at noon, gouache')))]
    const { wrapper, draft } = await since([])
    await press(wrapper, 'Apply it')
    expect([draft.value.text, kept.length, shown()[0]]).toEqual([NOW.text, 1, expect.stringMatching(/no longer as they were\. It stays put aside/)])
  })

  it('removes what lies aside, and brings it back by Undo', async () => {
    kept = [anAside('k', editBetween(TRIED, aDraft('a fox at dawn, ink')))]
    const { wrapper } = await since([])
    await press(wrapper, 'Remove')
    expect(kept).toEqual([])
    useNotices().shown.at(-1)!.action!.run()
    await flushPromises()
    expect(kept.map(({ id }) => id)).toEqual(['k'])
  })

  it('shows a few of many, and all by a press', async () => {
    const many = Array.from({ length: 7 }, (_, i) => change(`word ${i}`, `other ${i}`, NOW))
    const { wrapper } = await since(many)
    expect(wrapper.findAll('li')).toHaveLength(3)
    await press(wrapper, 'Show all 7')
    expect(wrapper.findAll('li')).toHaveLength(7)
  })
})
