import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { fieldOf, offered } from '../testing.test-support.ts'
import TagField from './TagField.vue'

const known = [{ tag: 'poster', count: 4 }, { tag: 'portrait', count: 2 }, { tag: 'winter', count: 1 }]
const field = (tags: string[] = []) => mount(TagField, { props: { tags, known }, attachTo: document.body })
/** The library's field hands on what was chosen and typed. */
const take = (wrapper: ReturnType<typeof field>, list: unknown[]) => fieldOf(wrapper, 'Tags').vm.$emit('update:modelValue', list)

describe('TagField', () => {
  it('shows the tags as words, and offers those in use', () => {
    const wrapper = field(['winter', 'bee'])
    expect(wrapper.text()).toMatch(/winter,\s*bee/)
    expect(offered(wrapper, 'Tags')).toEqual(['poster', 'portrait', 'winter'])
  })

  it('takes tags that are chosen or typed, with commas or one by one', () => {
    const wrapper = field(['winter'])
    take(wrapper, ['winter', 'portrait', ' bee , hive'])
    expect(wrapper.emitted('change')).toEqual([[['winter', 'portrait', 'bee', 'hive']]])
  })

  it('drops doubles and empty words, cuts what is too long, and says nothing when nothing changed', () => {
    const wrapper = field(['bee'])
    take(wrapper, ['bee', ' ', 'bee'])
    expect(wrapper.emitted('change')).toBeUndefined()
    take(wrapper, ['x'.repeat(500)])
    expect(wrapper.emitted('change')).toEqual([[['x'.repeat(60)]]])
  })

  it('shows what another window made of them', async () => {
    const wrapper = field(['bee'])
    await wrapper.setProps({ tags: ['wasp'] })
    expect(wrapper.text()).toContain('wasp')
  })

  it('has none left when all are removed', () => {
    const wrapper = field(['bee'])
    take(wrapper, [])
    expect(wrapper.emitted('change')).toEqual([[[]]])
  })
})
