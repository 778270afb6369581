import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import LeaveOutField from './LeaveOutField.vue'

it('reads entries between commas and lines as they are typed, and leaves typing alone', async () => {
  const wrapper = mount(LeaveOutField, { props: { entries: ['people'] } })
  const area = wrapper.get('textarea')
  expect(area.element.value).toBe('people')
  await area.setValue('people, extra hands\n text ,')
  expect(wrapper.emitted('change')).toEqual([[['people', 'extra hands', 'text']]])
  await wrapper.setProps({ entries: ['people', 'extra hands', 'text'] })
  expect(area.element.value).toBe('people, extra hands\n text ,')
  await wrapper.setProps({ entries: ['people'] })
  expect(area.element.value).toBe('people')
})
