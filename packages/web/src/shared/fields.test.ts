import { mount, type VueWrapper } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { choose, fieldOf, fill } from '../testing.test-support.ts'
import DayField from './DayField.vue'
import NumberField from './NumberField.vue'
import TagField from './TagField.vue'

describe('a number', () => {
  const field = (value: number | string | undefined, more = {}) => mount(NumberField, { props: { value, label: 'Results', min: 1, max: 8, ...more } })
  const told = (wrapper: ReturnType<typeof field>) => wrapper.emitted('set')?.at(-1)?.[0]

  it('is set while it is typed, and none is no number', async () => {
    const wrapper = field(4)
    await fill(wrapper, 'Results', '6')
    expect(told(wrapper)).toBe(6)
    await fill(wrapper, 'Results', ' ')
    expect(told(wrapper)).toBeUndefined()
  })

  it.each(['0', '9', 'many', '1e9'])('of which nothing can be made (%s) sets nothing, and the bounds stand under the field', async (typed) => {
    const wrapper = field(4)
    await fill(wrapper, 'Results', typed)
    expect(wrapper.emitted('set')).toBeUndefined()
    expect(wrapper.text()).toContain('A number from 1 to 8.')
  })

  it('is whole where only whole ones are meant', async () => {
    const wrapper = field(4, { integer: true })
    await fill(wrapper, 'Results', '2.5')
    expect([wrapper.emitted('set'), wrapper.text()]).toEqual([undefined, expect.stringContaining('A whole number.')])
  })

  it('follows what is set elsewhere, but is not written over while it means the same', async () => {
    const wrapper = field(1)
    await fill(wrapper, 'Results', '1.')
    await wrapper.setProps({ value: 1 })
    expect(wrapper.get('input').element.value).toBe('1.')
    await wrapper.setProps({ value: 3 })
    expect(wrapper.get('input').element.value).toBe('3')
  })
})

describe('tags', () => {
  const field = (tags: string[]) => mount(TagField, { props: { tags, known: [{ tag: 'night', count: 3 }, { tag: 'bees', count: 1 }] } })

  it('come as words with commas, each once, without what stands around them', async () => {
    const wrapper = field(['night'])
    await choose(wrapper, 'Tags', ['night', ' lantern, bees ,', 'bees'])
    expect(wrapper.emitted('change')).toEqual([[['night', 'lantern', 'bees']]])
  })

  it('that are as they were are no change', async () => {
    const wrapper = field(['night'])
    await choose(wrapper, 'Tags', ['night'])
    expect(wrapper.emitted('change')).toBeUndefined()
  })

  it('are cut where one is longer than may be kept', async () => {
    const wrapper = field([])
    await choose(wrapper, 'Tags', ['x'.repeat(500)])
    expect((wrapper.emitted('change')![0]![0] as string[])[0]).toHaveLength(60)
  })

  it('follow what another window made of them', async () => {
    const wrapper = field(['night'])
    await wrapper.setProps({ tags: ['dawn'] })
    expect(fieldOf(wrapper, 'Tags').props('modelValue')).toEqual(['dawn'])
  })
})

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
