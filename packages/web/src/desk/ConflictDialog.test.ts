import type { Prompt } from '@idolon/contract'
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { aDraft, withEngines } from '../testing.test-support.ts'
import ConflictDialog from './ConflictDialog.vue'

const dialog = (mine = aDraft('a fox at dawn'), from: 'here' | 'before' = 'here') =>
  mount(ConflictDialog, { props: { conflict: { mine, theirs: { draft: aDraft('a fox at dusk') } as Prompt, from } }, global: withEngines() })

describe('ConflictDialog', () => {
  it('shows both texts whole and what differs, and lets the writer choose', async () => {
    const wrapper = dialog()
    expect(wrapper.findAll('.text').map((text) => text.text())).toEqual(['a fox at dawn', 'a fox at dusk'])
    expect([wrapper.get('del').text(), wrapper.get('ins').text()]).toEqual(['dusk', 'dawn'])
    const [mine, theirs] = wrapper.findAll('button')
    await theirs!.trigger('click')
    await mine!.trigger('click')
    expect(wrapper.emitted('decide')).toEqual([['theirs'], ['mine']])
  })

  it('says where the other text came from, and that more than words differs when it does', () => {
    expect(dialog(undefined, 'before').text()).toContain('What was not saved')
    expect(dialog().text()).not.toContain('settings differ')
    expect(dialog(aDraft('a fox at dawn', { settings: { seed: 3 } })).text()).toContain('settings differ as well')
  })

  it('is not there while nothing is in conflict', () => {
    expect(mount(ConflictDialog, { props: { conflict: undefined }, global: withEngines() }).text()).toBe('')
  })
})
