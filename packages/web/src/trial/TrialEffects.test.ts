import type { TrialFactor, TrialWhole } from '@idolon/contract'
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { withEngines } from '../testing.test-support.ts'
import { aFactor, aTrial } from './trial.test-support.ts'
import TrialEffects from './TrialEffects.vue'

const effects = (verdicts: TrialFactor[], ranking: TrialFactor[] | null = null, judged = 5) => mount(TrialEffects, { props: { whole: { trial: aTrial({ stored: 8 }, { judged }), verdicts, ranking } as TrialWhole }, global: withEngines() })
const rows = (wrapper: ReturnType<typeof effects>) => wrapper.findAll('tbody tr').map((row) => row.findAll('td').map((cell) => cell.text()).filter(Boolean).join(' | '))

describe('what the options of a plan did', () => {
  it('says it in a sentence, and lists the options with the best first', () => {
    const wrapper = effects([aFactor()])
    expect(wrapper.get('.strong').text()).toBe('The fox did better than the hen.')
    expect(rows(wrapper)).toEqual(['fox | +25 % | of 3', 'owl | not judged', 'hen | −25 % | of 2'])
  })

  it('draws each from where it lies in nine of ten cases, all of a way of judging on one scale', () => {
    const [fox, hen] = effects([aFactor()]).findAll('tbody svg').map((one) => ({ from: Number(one.get('.interval').attributes('x1')), to: Number(one.get('.interval').attributes('x2')), at: Number(one.get('circle').attributes('cx')), told: one.get('circle').classes('told') }))
    expect(fox).toEqual({ from: 75, to: 146, at: 110.5, told: true })
    expect(hen).toEqual({ from: 4, to: 75, at: 39.5, told: false })
  })

  it('draws nothing of what was not judged, and no table where nothing was', () => {
    const none = aFactor({ says: 'Nothing is judged yet.', told: null, options: aFactor().options.map((option) => ({ ...option, judged: 0 })) })
    const wrapper = effects([none], null, 0)
    expect([wrapper.find('table').exists(), wrapper.find('.strong').exists(), wrapper.text()]).toEqual([false, false, expect.stringContaining('Nothing is judged yet.')])
  })

  it('says effects on strength as numbers, those on verdicts as shares', () => {
    const wrapper = effects([aFactor()], [aFactor()])
    expect(wrapper.findAll('.effects > div').map((one) => one.get('p').text().split(';')[0])).toEqual(['By blind judging', 'By verdicts'])
    expect(rows(wrapper).map((row) => row.split(' | ')[1])).toEqual(['+0.3', 'not judged', '−0.3', '+25 %', 'not judged', '−25 %'])
  })

  it('leaves verdicts out where there is only a ranking', () => {
    expect(effects([aFactor()], [aFactor()], 0).findAll('.effects > div')).toHaveLength(1)
  })

  it('is sorted by a press on a head', async () => {
    const wrapper = effects([aFactor()])
    await wrapper.findAll('th').find((one) => one.text() === 'subject')!.trigger('click')
    expect(rows(wrapper).map((row) => row.split(' | ')[0])).toEqual(['fox', 'hen', 'owl'])
  })
})
