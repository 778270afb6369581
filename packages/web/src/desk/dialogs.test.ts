import type { Finding } from '@idolon/core'
import { SHIPPED_ENGINES } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useNotices } from '../notices/notices.ts'
import { useProjects } from '../stores/projects.ts'
import { aServer, aVersion, choose, fieldOf, fill, IN_TIME, named, offered, press, valueOf, withEngines } from '../testing.test-support.ts'
import ReuseDialog from './ReuseDialog.vue'
import { aSession } from './session.test-support.ts'
import StepThrough from './StepThrough.vue'
import StopsDialog from './StopsDialog.vue'
import TakeFromVersion from './TakeFromVersion.vue'

const { call, begun } = vi.hoisted(() => ({ call: vi.fn(), begun: { fromPrompt: vi.fn() } }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('../prompts/new-prompt.ts', () => ({ useNewPrompt: () => begun }))
let server: ReturnType<typeof aServer>
beforeEach(() => {
  begun.fromPrompt.mockReset()
  server = aServer(call)
})
const newest = (id: string) => SHIPPED_ENGINES.filter((one) => one.id === id).at(-1)!
const submit = async (wrapper: { get: (selector: string) => { trigger: (name: string) => Promise<void> } }) => {
  await wrapper.get('form').trigger('submit')
  await flushPromises()
}

describe('stepping through a setting', () => {
  const guidance = newest('burin').settings.find(({ key }) => key === 'guidance') as { min: number; max: number }
  async function steps(rows = [{ profile: newest('burin'), settings: { count: 2 } }]) {
    const wrapper = mount(StepThrough, { props: { rows, modelValue: true } as never, global: withEngines() })
    await flushPromises()
    await choose(wrapper, 'Setting', 'guidance').catch(() => undefined)
    return wrapper
  }

  it('says which values, how many results and what they cost, and tries them', async () => {
    const wrapper = await steps()
    await fill(wrapper, 'From', '2')
    await fill(wrapper, 'To', '6')
    await fill(wrapper, 'Steps', '3')
    expect(wrapper.get('[role=status]').text()).toMatch(/^2, 4, 6: 6 results, \d+ credits$/)
    await submit(wrapper)
    expect([wrapper.emitted('try'), wrapper.emitted('update:modelValue')]).toEqual([[[{ sweep: { key: 'guidance', values: [2, 4, 6] } }]], [[false]]])
  })

  it('says under a field that it is out of what the setting takes, and keeps values within', async () => {
    const wrapper = await steps()
    await fill(wrapper, 'To', '400', true)
    await fill(wrapper, 'Steps', '40', true)
    expect([fieldOf(wrapper, 'To').get('.v-messages').text(), fieldOf(wrapper, 'Steps').get('.v-messages').text()]).toEqual([`A number from ${guidance.min} to ${guidance.max}.`, 'A number from 2 to 12.'])
    expect(wrapper.get('[role=status]').text()).toContain(`, ${guidance.max}:`)
  })

  it('wants two values at least, and takes no letters for a number', async () => {
    const wrapper = await steps()
    await fill(wrapper, 'From', '3')
    await fill(wrapper, 'To', '3')
    await submit(wrapper)
    expect(wrapper.emitted('try')).toBeUndefined()
    await fill(wrapper, 'To', 'many')
    expect(named(wrapper, 'Try 0 values')!.attributes('disabled')).toBeDefined()
  })

  it('offers only what all engines asked have', async () => {
    const both = [newest('burin'), newest('brayer')]
    const shared = both[0]!.settings.filter(({ key }) => both[1]!.settings.some((one) => one.key === key)).map(({ label }) => label)
    const wrapper = await steps(both.map((profile) => ({ profile, settings: { count: 1 } })))
    if (shared.length) expect(offered(wrapper, 'Setting')).toEqual(shared)
    else expect(wrapper.text()).toContain('no setting in common')
    const none = await steps([{ profile: { ...newest('burin'), settings: [] }, settings: { count: 1 } }])
    expect(none.text()).toContain('The engines chosen have no setting in common to step through.')
  })
})

describe('open stops, before a try', () => {
  const stop = (reason: string) => ({ reason }) as Finding
  const dialog = (...reasons: string[]) => mount(StopsDialog, { props: { modelValue: true, stops: reasons.map(stop) }, global: withEngines() })

  it('are said, and looked at or gone over', async () => {
    const one = dialog('It says midday and moon.')
    expect([one.get('h2').text(), one.get('li').text()]).toEqual(['This would likely waste the try', 'It says midday and moon.'])
    await press(one, 'Look at it')
    const two = dialog('a', 'b')
    expect(two.get('h2').text()).toBe('2 things would likely waste the try')
    await press(two, 'Try anyway')
    expect([one.emitted('look')?.length, one.emitted('update:modelValue'), two.emitted('tryAnyway')?.length]).toEqual([1, [[false]], 1])
  })
})

describe('using a prompt again', () => {
  async function reuse() {
    const global = withEngines()
    const projects = useProjects()
    projects.all = [{ id: 'j', name: 'Bees', archivedAt: null }, { id: 'k', name: 'Old', archivedAt: '2026-01-01T10:00:00Z' }] as typeof projects.all
    projects.chosen = 'j'
    const wrapper = mount(ReuseDialog, { props: { modelValue: false, promptId: 'x', versionId: 'v2', title: 'Fox' }, global })
    await wrapper.setProps({ modelValue: true })
    return wrapper
  }

  it('offers the projects that are open, the one at hand first', async () => {
    const wrapper = await reuse()
    expect([offered(wrapper, 'In which project'), valueOf(wrapper, 'In which project')]).toEqual([['Bees', 'A new project …'], 'j'])
    await submit(wrapper)
    expect([begun.fromPrompt.mock.calls, wrapper.emitted('update:modelValue')]).toEqual([[['x', 'j', 'v2']], [[false]]])
  })

  it('makes a project for it, which wants a name', async () => {
    const wrapper = await reuse()
    await choose(wrapper, 'In which project', 'new')
    expect(named(wrapper, 'Use it there')!.attributes('disabled')).toBeDefined()
    server.answers['createProject'] = { id: 'n', name: 'Lamps', archivedAt: null }
    server.answers['listProjects'] = []
    await fill(wrapper, 'Its name', ' Lamps ')
    await submit(wrapper)
    expect([server.asked('createProject')[0]!.body, begun.fromPrompt.mock.calls]).toEqual([{ name: 'Lamps' }, [['x', 'n', 'v2']]])
  })

  it('stays open where it could not be used, and says why', async () => {
    begun.fromPrompt.mockRejectedValueOnce(new Error('x'))
    const wrapper = await reuse()
    await submit(wrapper)
    expect(useNotices().shown).toHaveLength(1)
  })
})

describe('things of another version', () => {
  it('are taken over one by one, and undone', async () => {
    const session = aSession('a fox, dusk, gouache')
    const wrapper = mount(TakeFromVersion, { props: { session, version: aVersion(1, 'a hen, noon, gouache') }, global: withEngines() })
    await vi.waitUntil(() => wrapper.findAll('li').length === 2, IN_TIME)
    await wrapper.findAll('li').find((one) => one.text().includes('noon'))!.get('button').trigger('click')
    await flushPromises()
    expect([session.draft.value.text, useNotices().shown[0]!.text]).toEqual(['a fox, noon, gouache', expect.stringMatching(/^Taken from version 1: /)])
    await vi.waitUntil(() => wrapper.findAll('li').length === 1, IN_TIME)
    useNotices().shown[0]!.action!.run()
    expect(session.draft.value.text).toBe('a fox, dusk, gouache')
  })

  it('are none where nothing differs', async () => {
    const wrapper = mount(TakeFromVersion, { props: { session: aSession('a fox'), version: aVersion(1, 'a fox') }, global: withEngines() })
    await flushPromises()
    expect(wrapper.find('ul').exists()).toBe(false)
  })
})
