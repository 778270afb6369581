import type { SceneOffer } from '@idolon/contract'
import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { withEngines } from '../testing.test-support.ts'
import SceneEffects from './SceneEffects.vue'
import { anOpenSeries, aPart, aScene } from './series.test-support.ts'

const offer = (sceneId: string, more: Partial<SceneOffer> = {}): SceneOffer => ({ sceneId, partId: 'part-Hedda', revision: 1, changed: [], besides: [], overrides: [], text: 'a fox', stales: false, ...more })
const { series } = anOpenSeries([aScene('a'), aScene('b'), aScene('c')], [aPart('character', 'Hedda')])
const shown = (offers: SceneOffer[], decides = true) => mount(SceneEffects, { props: { series: series.value, offers, decides, busy: false }, global: withEngines() })

it('shows where words or pictures change and what is overridden; of scenes that stay as they are only how many', () => {
  const wrapper = shown([offer('a', { changed: [{ before: 'a', after: 'b' }], text: 'a red fox', stales: true }), offer('b'), offer('c', { besides: ['reference pictures'], overrides: [{ given: 'a plait', text: 'a hat' }] })])
  expect(wrapper.text()).toContain('Changes 2 scenes; 1 chosen proof would be stale.')
  expect(wrapper.findAll('li')).toHaveLength(2)
  expect(wrapper.text()).toContain('Its reference pictures change, too.')
  expect(wrapper.text()).toContain('it says “a hat” here instead of “a plait”; it stays.')
  expect(wrapper.text()).toContain('1 scene besides has it and stays as it is.')
})

it('takes a change in one scene or in all, those that stay as they are among them', async () => {
  const offers = [offer('a', { changed: [{ before: 'a', after: 'b' }] }), offer('b')]
  const wrapper = shown(offers)
  const press = (name: string) => wrapper.findAll('button').find((one) => one.text() === name)!.trigger('click')
  await press('Accept')
  await press('Accept all')
  await press('Reject all')
  expect(wrapper.emitted('decide')).toEqual([[[offers[0]], []], [offers, []], [[], offers]])
  expect(shown(offers, false).findAll('button')).toHaveLength(0)
})
