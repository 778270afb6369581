import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { aProof, aRun, withEngines } from '../testing.test-support.ts'
import RunRow from './RunRow.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('vue-router', () => ({ useRouter: () => ({ push: vi.fn() }) }))
beforeEach(() => {
  call.mockReset()
})
const row = (run = aRun()) => mount(RunRow, { props: { run }, global: withEngines(), attachTo: document.body })
const waiting = aRun({ proofs: [aProof(), aProof({ id: 'p2', state: 'sent', picture: null }), aProof({ id: 'p3', state: 'asked', picture: null })] })

describe('RunRow', () => {
  it('says what was asked of which engine, and what it cost', () => {
    expect(row().text()).toContain('Burin 1 (simulated) · 3:2 · 2 results · 8 credits')
  })

  it('counts what is back while it runs, and can be stopped', async () => {
    const wrapper = row(waiting)
    expect(wrapper.get('[role=status]').text()).toBe('1 of 3 are back')
    call.mockResolvedValue({ ...waiting, stoppedAt: '2026-01-01T10:01:00Z' })
    await wrapper.findAll('button').find((button) => button.text() === 'Stop')!.trigger('click')
    await flushPromises()
    const [[stopped]] = wrapper.emitted('changed') as [[typeof waiting]]
    await wrapper.setProps({ run: stopped })
    expect(wrapper.text()).toContain('what the engine already has still arrives')
    expect(wrapper.findAll('button').some((button) => button.text() === 'Stop')).toBe(false)
  })

  it('goes from picture to picture by arrow keys', async () => {
    const tiles = row().findAll('.tiles button')
    ;(tiles[0]!.element as HTMLElement).focus()
    await tiles[0]!.trigger('keydown', { key: 'ArrowRight' })
    expect(document.activeElement).toBe(tiles[1]!.element)
  })
})
