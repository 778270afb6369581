import type { FoundPrompt } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '../api/problem.ts'
import { useNotices } from '../notices/notices.ts'
import { useProjects } from '../stores/projects.ts'
import { choose, fieldOf, named, press, withEngines } from '../testing.test-support.ts'
import ManyActs from './ManyActs.vue'

const { call, push } = vi.hoisted(() => ({ call: vi.fn(), push: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('vue-router', () => ({ useRouter: () => ({ push }) }))

const found = (id: string, title: string, tags: string[] = []) => ({ id, title, excerpt: title, tags }) as unknown as FoundPrompt
const HERON = found('a', 'a heron by the river', ['river'])
const OTTER = found('b', 'an otter in the river', ['river', 'otters'])
const asked = () => call.mock.calls.map(([route, given]) => [(route as { id: string }).id, given as unknown])
const shown = () => useNotices().shown.map(({ text }) => text)

function acts(chosen: FoundPrompt[], rows = chosen) {
  const global = withEngines()
  useProjects().all = [{ id: 'j', name: 'Lantern Bees', archivedAt: null }, { id: 'k', name: 'Old', archivedAt: '2026-01-01' }] as unknown as ReturnType<typeof useProjects>['all']
  return mount(ManyActs, { props: { chosen, rows, tags: [{ tag: 'heron', count: 2 }, { tag: 'night', count: 9 }] }, global })
}
beforeEach(() => {
  call.mockReset().mockResolvedValue({ changed: 2 })
  push.mockReset()
})

describe('many prompts at once', () => {
  it('get a tag by Enter, without what cannot stand in one, and once', async () => {
    const wrapper = acts([HERON, OTTER])
    await choose(wrapper, 'Tag to add', ' by, night ')
    await fieldOf(wrapper, 'Tag to add').get('input').trigger('keydown', { key: 'Enter' })
    await flushPromises()
    expect(asked()).toEqual([['changePrompts', { body: { prompts: ['a', 'b'], addTags: ['by  night'] } }]])
    expect(shown()).toEqual(['Tagged “by  night”: 2 prompts.'])
    expect(fieldOf(wrapper, 'Tag to add').props()).toMatchObject({ modelValue: '' })
  })

  it('get none from an empty field', async () => {
    const wrapper = acts([HERON])
    await fieldOf(wrapper, 'Tag to add').get('input').trigger('keydown', { key: 'Enter' })
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect(call).not.toHaveBeenCalled()
  })

  it('are offered tags that stand in their words, then those of their neighbours', () => {
    const wrapper = acts([HERON], [HERON, OTTER])
    expect(wrapper.get('p').text()).toBe('Fitting tags: heron, otters')
  })

  it('are moved to a project that is open, set to a status, and lose a tag that one of them has', async () => {
    const wrapper = acts([HERON, OTTER])
    expect(named(wrapper, 'Old')).toBeUndefined()
    await press(wrapper, 'Lantern Bees')
    await press(wrapper, 'proven')
    await press(wrapper, 'otters')
    expect(asked().map(([, given]) => (given as { body: unknown }).body)).toEqual([
      { prompts: ['a', 'b'], project: 'j' },
      { prompts: ['a', 'b'], status: 'proven' },
      { prompts: ['a', 'b'], removeTags: ['otters'] },
    ])
  })

  it('are merged into one of them, or linked as the same; a single one is neither', async () => {
    expect([named(acts([HERON]), 'Merge into'), named(acts([HERON]), 'They are the sameLinks them, without merging')]).toEqual([undefined, undefined])
    const wrapper = acts([HERON, OTTER])
    await press(wrapper, 'an otter in the river')
    expect(asked()).toEqual([['mergePrompts', { params: { prompt: 'b' }, body: { prompts: ['a'] } }]])
    expect(wrapper.emitted('none')).toHaveLength(1)
  })

  it('go to the bin, and come back by Undo', async () => {
    const wrapper = acts([HERON, OTTER])
    await wrapper.findAll('[role=menuitem]').find((one) => one.text().startsWith('Delete 2 prompts'))!.trigger('click')
    await flushPromises()
    expect(wrapper.emitted('none')).toHaveLength(1)
    useNotices().shown[0]!.action!.run()
    await flushPromises()
    expect(asked().map(([, given]) => (given as { body: { deleted: boolean } }).body.deleted)).toEqual([true, false])
  })

  it('stay as they are where the server refuses, which is said', async () => {
    call.mockRejectedValue(new ApiProblem('conflict' as ApiProblem['problem'], 'The project is archived. Nothing was changed. Restore it first.'))
    const wrapper = acts([HERON])
    await press(wrapper, 'Lantern Bees')
    expect([shown(), wrapper.emitted('none')]).toEqual([['The project is archived. Nothing was changed. Restore it first.'], undefined])
  })
})
