import { outputFor, SHIPPED_ENGINES } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { useNotices } from '../notices/notices.ts'
import { aDraft, withEngines } from '../testing.test-support.ts'
import type { DraftSession } from './draft-session.ts'
import OutputPanel from './OutputPanel.vue'

const shown = (draft = aDraft()) => ({ session: {} as DraftSession, draft, output: outputFor(draft, SHIPPED_ENGINES[0]!), profile: SHIPPED_ENGINES[0]!, asked: [SHIPPED_ENGINES[0]!] })
const panel = (draft = aDraft()) => mount(OutputPanel, { props: shown(draft), global: withEngines() })

describe('OutputPanel', () => {
  it('shows exactly what is sent, and what is lost on the way', () => {
    const wrapper = panel(aDraft('a fox, at dusk', { marks: [{ from: 5, to: 14, kind: 'off' }], leaveOut: ['people'] }))
    expect(wrapper.get('pre').text()).toBe('a fox')
    expect(wrapper.text()).toContain('takes no leave-out list')
    expect(wrapper.text()).toContain('a new one each time')
    expect(wrapper.text()).toContain('simulated')
  })

  it('follows the draft', async () => {
    const wrapper = panel()
    await wrapper.setProps(shown(aDraft('a hare', { settings: { seed: 41 } })))
    expect(wrapper.get('pre').text()).toBe('a hare')
    expect(wrapper.get('dl').text()).toContain('41')
  })

  it('copies the text that is sent, and says so', async () => {
    const writeText = vi.fn(() => Promise.resolve())
    Object.defineProperty(navigator, 'clipboard', { value: { writeText }, configurable: true })
    const wrapper = panel(aDraft('a  fox '))
    await wrapper.get('button').trigger('click')
    await flushPromises()
    expect(writeText).toHaveBeenCalledWith('a fox')
    expect(useNotices().shown.map(({ text }) => text)).toEqual(['The output is copied.'])
  })
})
