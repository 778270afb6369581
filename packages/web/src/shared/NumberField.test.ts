import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { fieldOf, fill } from '../testing.test-support.ts'
import NumberField from './NumberField.vue'

const field = (value?: number, more = {}) => mount(NumberField, { props: { value, label: 'Guidance', min: 0, max: 12, ...more } })
const text = (wrapper: ReturnType<typeof field>) => wrapper.get<HTMLInputElement>('input').element.value

it('sets a number while it is typed, and none when it is emptied', async () => {
  const wrapper = field(3)
  expect(text(wrapper)).toBe('3')
  await fill(wrapper, 'Guidance', '7.5')
  await fill(wrapper, 'Guidance', '')
  expect(wrapper.emitted('set')).toEqual([[7.5], [undefined]])
})

it('sets nothing for letters or a number outside its bounds, and says under the field what may stand there', async () => {
  const wrapper = field()
  await fill(wrapper, 'Guidance', 'much', true)
  expect(fieldOf(wrapper, 'Guidance').text()).toContain('A number from 0 to 12.')
  await fill(wrapper, 'Guidance', '13', true)
  expect(wrapper.emitted('set')).toBeUndefined()
  expect(text(wrapper)).toBe('13')
})

it('wants a whole number where only one makes sense', async () => {
  const wrapper = field(undefined, { integer: true })
  await fill(wrapper, 'Guidance', '2.5', true)
  expect(fieldOf(wrapper, 'Guidance').text()).toContain('A whole number.')
  expect(wrapper.emitted('set')).toBeUndefined()
})

it('does not write over what is being typed with what it means, but shows what came from elsewhere', async () => {
  const wrapper = field()
  await fill(wrapper, 'Guidance', '1.')
  await wrapper.setProps({ value: 1 })
  expect(text(wrapper)).toBe('1.')
  await wrapper.setProps({ value: 4 })
  expect(text(wrapper)).toBe('4')
})

it.each(['-1', '13', 'many', '1e9'])('sets nothing of %s, and says the bounds before the field is left', async (typed) => {
  const wrapper = field(4)
  await fill(wrapper, 'Guidance', typed)
  expect([wrapper.emitted('set'), wrapper.text()]).toEqual([undefined, expect.stringContaining('A number from 0 to 12.')])
})

it('takes a space for nothing', async () => {
  const wrapper = field(4)
  await fill(wrapper, 'Guidance', ' ')
  expect(wrapper.emitted('set')).toEqual([[undefined]])
})
