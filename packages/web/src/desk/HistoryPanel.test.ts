import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { aDraft, aProof, aVersion, withEngines } from '../testing.test-support.ts'
import type { DraftSession } from './draft-session.ts'
import HistoryPanel from './HistoryPanel.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
beforeEach(() => {
  call.mockReset()
})

const versions = [aVersion(3, 'a fox in snow', { parent: 1, changes: ['+ in snow'] }), aVersion(2, 'a fox at dusk', { changes: ['+ at dusk'], why: 'too dull' }), aVersion(1, 'a fox')]
const panel = (text: string, parent: number | null, list = versions) => mount(HistoryPanel, { props: { versions: list, draft: aDraft(text), parent, session: { draft: { value: aDraft(text) }, reading: { ask: () => Promise.resolve([]) } } as unknown as DraftSession }, global: withEngines() })

describe('HistoryPanel', () => {
  it('says what the draft changed since the version it goes on from, or that it stands as that one', async () => {
    const wrapper = panel('a fox in snow, low angle', 3)
    expect(wrapper.get('.since').text()).toContain('+ low angle')
    await wrapper.setProps({ draft: aDraft('a fox in snow') })
    expect(wrapper.text()).toContain('The draft stands as version 3.')
  })

  it('shows where a version branched off, what it changed and why', () => {
    const lines = panel('a fox', 1).findAll('li').map((li) => li.text())
    expect(lines[0]).toMatch(/Version 3\+ in snow/)
    expect(lines[1]).toMatch(/Version 2 branches from 1.*too dull/)
    expect(lines[2]).toContain('The first version')
  })

  it('opens a version against the draft now, word by word, and goes on from it', async () => {
    const wrapper = panel('a fox at noon', 3)
    await wrapper.findAll('.line')[1]!.trigger('click')
    expect([wrapper.get('del').text(), wrapper.get('ins').text()]).toEqual(['dusk', 'noon'])
    await wrapper.findAll('button').find((button) => button.text() === 'Go on from this version')!.trigger('click')
    expect(wrapper.emitted('goOn')).toEqual([[versions[1]]])
  })

  it('keeps the line on why a version was made', async () => {
    const wrapper = panel('a fox', 1)
    await wrapper.findAll('.line')[2]!.trigger('click')
    call.mockResolvedValue({ ...versions[2], why: 'a start' })
    await wrapper.get('input').setValue('a start')
    await wrapper.get('input').trigger('blur')
    await flushPromises()
    expect(call.mock.lastCall?.[1]).toMatchObject({ params: { version: 'v1' }, body: { why: 'a start' } })
    expect(wrapper.emitted('changed')).toHaveLength(1)
  })

  it('says what will make a version when there is none yet', () => {
    expect(panel('a fox', null, []).text()).toContain('Each try freezes the draft')
  })

  it('shows the best proof and offers the way to it', async () => {
    const wrapper = panel('a fox', 1, [aVersion(1, 'a fox', { bestProof: aProof(), proofs: 2, keepers: 1 })])
    expect(wrapper.get('img').attributes('src')).toContain('/thumbnail')
    await wrapper.get('.line').trigger('click')
    expect(wrapper.text()).toContain('Best proof')
    expect(wrapper.text()).toContain('2 proofs, 1 kept')
  })
})
