import { mount, type VueWrapper } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import DayField from './DayField.vue'

describe('a day', () => {
  const field = (day: string) => mount(DayField, { props: { label: 'Changed from', day } })
  const inner = (wrapper: ReturnType<typeof field>) => wrapper.findComponent({ name: 'VDateInput' }) as VueWrapper

  it('is kept as the writer’s own day, whatever the hour', () => {
    const wrapper = field('')
    inner(wrapper).vm.$emit('update:modelValue', new Date(2026, 10, 3, 23, 59))
    inner(wrapper).vm.$emit('update:modelValue', new Date(2026, 10, 3, 0, 0))
    expect(wrapper.emitted('choose')).toEqual([['2026-11-03'], ['2026-11-03']])
  })

  it('that is cleared or no day is none', () => {
    const wrapper = field('2026-11-03')
    inner(wrapper).vm.$emit('update:modelValue', null)
    inner(wrapper).vm.$emit('update:modelValue', new Date(Number.NaN))
    expect(wrapper.emitted('choose')).toEqual([[''], ['']])
  })

  it('shows nothing for what an address makes of it by mistake', () => {
    expect(['', 'soon', '2026'].map((day) => (inner(field(day)).props() as { modelValue: unknown }).modelValue)).toEqual([null, null, null])
    expect((inner(field('2026-11-03')).props() as { modelValue: unknown }).modelValue).toEqual(new Date(2026, 10, 3))
  })
})
