import { goOnWithTrial, stopTrial } from '@idolon/contract'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useNotices } from '../notices/notices.ts'
import { aServer, named, press, withEngines } from '../testing.test-support.ts'
import { aTrial } from './trial.test-support.ts'
import TrialLine from './TrialLine.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
const line = (trial = aTrial(), linked = false) => mount(TrialLine, { props: { trial, linked }, global: withEngines() })
beforeEach(() => void call.mockReset())

describe('a trial plan in a line', () => {
  it('says what came of it and what it cost, once it is over', () => {
    expect(line().text()).toBe('Fox or hen4 combinations4 pictures16 credits')
    expect(line(aTrial({ stored: 4 }, { judged: 4, keepers: 1 })).text()).toContain('4 pictures, 1 kept')
    expect(line(aTrial({ stored: 4 }, { judged: 4 })).text()).toContain('4 pictures, none kept')
  })

  it('says how far it is while it goes, with a way to stop it', async () => {
    const stopped = aTrial({ stored: 1, stopped: 3 })
    call.mockResolvedValue(stopped)
    const wrapper = line(aTrial({ stored: 1, sent: 1, asked: 2 }))
    expect(wrapper.get('[role=status]').text()).toBe('1 of 4 pictures')
    expect(wrapper.get('[role=progressbar]').attributes('aria-label')).toBe('1 of 4 pictures')
    expect(named(wrapper, 'Go on')).toBeUndefined()
    await press(wrapper, 'Stop')
    expect(call).toHaveBeenCalledWith(stopTrial, { params: { trial: 'tr1' } })
    expect(wrapper.emitted('changed')).toEqual([[stopped]])
  })

  it('counts what failed as over, so that the bar comes to its end', () => {
    expect(line(aTrial({ stored: 1, failed: 2, sent: 1 })).getComponent({ name: 'VProgressLinear' }).props('modelValue')).toBe(3)
  })

  it('says why pictures are missing, and goes on with them', async () => {
    call.mockResolvedValue(aTrial({ stored: 1, asked: 3 }))
    const wrapper = line(aTrial({ stored: 1, stopped: 1, failed: 1, unknown: 1 }))
    expect(wrapper.text()).toContain('1 stopped, 1 failed, 1 may have been charged')
    await press(wrapper, 'Go on')
    expect(call).toHaveBeenCalledWith(goOnWithTrial, { params: { trial: 'tr1' } })
  })

  it('stays as it is where the server refuses, says why, and can be asked again', async () => {
    aServer(call).refuses('goOnWithTrial', 'The ceiling of the project is reached. Nothing was asked for.')
    const wrapper = line(aTrial({ stored: 1, stopped: 3 }))
    await press(wrapper, 'Go on')
    expect(useNotices().shown.map(({ text }) => text)).toEqual(['The ceiling of the project is reached. Nothing was asked for.'])
    expect([wrapper.emitted('changed'), named(wrapper, 'Go on')!.attributes('disabled')]).toEqual([undefined, undefined])
  })

  it('leads to its sheet where it stands among others', () => {
    expect(line(aTrial(), true).get('a').text()).toBe('Fox or hen')
    expect(line(aTrial(), false).find('a').exists()).toBe(false)
  })
})
