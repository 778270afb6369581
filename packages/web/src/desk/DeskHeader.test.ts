import type { Prompt } from '@idolon/contract'
import { mdiDeleteOutline } from '@mdi/js'
import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { useProjects } from '../stores/projects.ts'
import { choose, fill, named, press, withRouter } from '../testing.test-support.ts'
import DeskHeader from './DeskHeader.vue'
import { aSession } from './session.test-support.ts'

vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
const aPrompt = (more: Partial<Prompt> = {}): Prompt => ({ id: 'x', projectId: 'j', title: 'A fox', named: false, status: 'rough', keepers: 0, tags: ['winter'], deletedAt: null, mergedInto: null, template: null, copiedFrom: null, draft: { kind: 'whole' }, ...more }) as unknown as Prompt
const run = vi.fn()
async function header(known = aPrompt(), session = aSession('a fox')) {
  const { global } = await withRouter('/desk/:prompt', '/desk/x')
  useProjects().all = [{ id: 'j', name: 'Bees', archivedAt: null }] as ReturnType<typeof useProjects>['all']
  return mount(DeskHeader, { props: { known, title: 'A fox in the snow', tags: [], session, acts: [{ name: 'Delete this prompt', icon: mdiDeleteOutline, last: true, run }] }, global })
}
const changes = (wrapper: Awaited<ReturnType<typeof header>>) => wrapper.emitted('change')?.map(([change]) => change)

describe('the head of the Desk', () => {
  it('calls a prompt by what it says until the writer names it', async () => {
    const wrapper = await header()
    expect([wrapper.get('h1').text(), wrapper.get('input').attributes('placeholder'), wrapper.get('input').element.value]).toEqual(['A fox in the snow', 'A fox in the snow', ''])
    await fill(wrapper, 'Title', 'Winter fox', true)
    expect(changes(wrapper)).toEqual([{ title: 'Winter fox' }])
    expect((await header(aPrompt({ named: true }))).get('input').element.value).toBe('A fox')
  })

  it('changes its status, and says that a proven one has no keeper', async () => {
    const wrapper = await header()
    await choose(wrapper, 'Status', 'proven')
    expect(changes(wrapper)).toEqual([{ status: 'proven' }])
    expect((await header(aPrompt({ status: 'proven' }))).text()).toContain('Proven, without a keeper yet.')
    expect((await header(aPrompt({ status: 'proven', keepers: 2 }))).text()).not.toContain('without a keeper')
  })

  it('undoes by a button that is off where there is nothing to undo', async () => {
    const session = aSession('a fox')
    const wrapper = await header(aPrompt(), session)
    expect(named(wrapper, 'Undo')!.attributes('disabled')).toBeDefined()
    session.change({ text: 'a hen' })
    await wrapper.vm.$nextTick()
    await press(wrapper, 'Undo')
    expect(session.draft.value.text).toBe('a fox')
  })

  it('does what the menu of the prompt says', async () => {
    await press(await header(), 'Delete this prompt')
    expect(run).toHaveBeenCalledTimes(1)
  })

  it('says that it lies in the bin or is merged, with the way out of it', async () => {
    const binned = await header(aPrompt({ deletedAt: '2026-01-01T10:00:00Z' }))
    await press(binned, 'Restore')
    const merged = await header(aPrompt({ mergedInto: { id: 'y', title: 'Fox' } }))
    await press(merged, 'Remove from the merge')
    expect([binned.emitted('restore')?.length, merged.emitted('unmerge')?.length, merged.text()]).toEqual([1, 1, expect.stringContaining('merged into Fox')])
  })

  it('says what it came from: a template that has changed, another prompt, a picture', async () => {
    expect((await header(aPrompt({ template: { id: 't', name: 'An animal', behind: true } } as Partial<Prompt>))).text()).toContain('Made from An animal, which has changed since: see what it offers')
    expect((await header(aPrompt({ copiedFrom: { promptId: 'y', title: 'Fox', version: 3 } } as Partial<Prompt>))).text()).toContain('From Fox, version 3')
    expect((await header(aPrompt({ copiedFrom: { promptId: 'y', title: 'Fox', version: 3 }, draft: { kind: 'change' } } as unknown as Partial<Prompt>))).text()).toContain('Says how to change a picture of Fox')
  })

  it.each([
    ['saving', true, 'Saving …'],
    ['unsent', true, 'Not saved on the server yet; kept in this browser'],
    ['unsent', false, 'Not saved yet, and this browser keeps no copy: leave this window open'],
    ['moved', true, 'Changed elsewhere; both are kept'],
    ['refused', true, 'Not saved: the server refused the last edit'],
  ])('says how it is saved (%s, kept here: %s)', async (state, kept, says) => {
    const session = aSession('a fox')
    Object.assign(session, { saveState: { value: state }, saver: { savedAt: { value: '2026-01-01T10:00:00Z' }, keptLocally: { value: kept } } })
    expect((await header(aPrompt(), session)).get('.save-note').text()).toBe(says)
  })
})
