import { mount } from '@vue/test-utils'
import { afterEach, describe, expect, it } from 'vitest'
import { letterKeys, verdictKeys } from '../keys/letters.ts'
import { withEngines } from '../testing.test-support.ts'
import VerdictButtons from './VerdictButtons.vue'

afterEach(() => {
  letterKeys.value = true
  verdictKeys.value = { keep: 'k', maybe: 'm', drop: 'd' }
})
const buttons = (props: InstanceType<typeof VerdictButtons>['$props']) => {
  const wrapper = mount(VerdictButtons, { props, global: withEngines() })
  return { wrapper, all: wrapper.findAll('button') }
}

describe('the verdicts of a picture', () => {
  it('say which of them holds, in more than colour', () => {
    const { all } = buttons({ verdict: 'maybe' })
    expect(all.map((one) => one.attributes('aria-pressed'))).toEqual(['false', 'true', 'false'])
    expect(all.map((one) => one.classes().includes('on'))).toEqual([false, true, false])
  })

  it('show the keys the writer gave them, beside names that a reader hears without', () => {
    verdictKeys.value = { ...verdictKeys.value, drop: 'x' }
    const { all } = buttons({ verdict: null })
    expect(all.map((one) => [one.get('kbd').text(), one.get('kbd').attributes('aria-hidden'), one.attributes('aria-keyshortcuts')])).toEqual([['k', 'true', 'k'], ['m', 'true', 'm'], ['x', 'true', 'x']])
  })

  it('show no key while letters are switched off', () => {
    letterKeys.value = false
    const { all } = buttons({ verdict: null })
    expect(all.map((one) => [one.text(), one.attributes('aria-keyshortcuts')])).toEqual([['keep', undefined], ['maybe', undefined], ['drop', undefined]])
  })

  it('tell which was pressed, and say of which picture they are', async () => {
    const { wrapper, all } = buttons({ verdict: 'keep', of: 'A fox, version 2' })
    await all[0]!.trigger('click')
    await all[2]!.trigger('click')
    expect([wrapper.emitted('judge'), wrapper.get('[role=group]').attributes('aria-label')]).toEqual([[['keep'], ['drop']], 'Verdict on A fox, version 2'])
  })

  it('cannot be pressed of a picture that has not come', () => {
    expect(buttons({ verdict: null, disabled: true }).all.every((one) => one.attributes('disabled') !== undefined)).toBe(true)
  })
})
