import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { aTurn, fill } from '../testing.test-support.ts'
import IdeasPanel from './IdeasPanel.vue'

const IDEAS = ['a ferry at dawn', 'a net being mended', 'a gull on a post', 'a lighthouse in fog', 'a rope locker']
const panel = (more = {}) => mount(IdeasPanel, { props: { turn: aTurn('ideas', { ideas: IDEAS }), busy: false, ...more } })
const button = (wrapper: ReturnType<typeof panel>, name: string) => wrapper.findAll('button').find((one) => one.text() === name || one.attributes('aria-label') === name)!

it('makes prompts of the ideas that are chosen, by number, with ranges, whatever else is typed', async () => {
  const wrapper = panel()
  expect(button(wrapper, 'Make a prompt of it').attributes('disabled')).toBeDefined()
  await fill(wrapper, 'Or by number', '1, 3-4; 5- x 0 9, ', true)
  await button(wrapper, 'Make 4 prompts').trigger('click')
  expect(wrapper.emitted('make')).toEqual([[[IDEAS[0], IDEAS[2], IDEAS[3], IDEAS[4]]]])
  await button(wrapper, 'Choose all').trigger('click')
  await button(wrapper, 'Make 5 prompts').trigger('click')
  expect(wrapper.emitted('make')?.[1]).toEqual([IDEAS])
})

it('asks for more like one, unlike those that do not please, and begins anew with other ideas', async () => {
  const wrapper = panel()
  await button(wrapper, 'Not like idea 2').trigger('click')
  await button(wrapper, 'More like idea 4').trigger('click')
  expect(wrapper.emitted('more')).toEqual([[IDEAS[3], [IDEAS[1]]]])
  await wrapper.setProps({ turn: aTurn('ideas', { ideas: ['a buoy', 'a pier'] }, { id: 't2' }) })
  expect(wrapper.findAll('[aria-pressed=true]')).toHaveLength(0)
})
