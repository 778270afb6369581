import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import TagField from './TagField.vue'

const known = [{ tag: 'poster', count: 4 }, { tag: 'portrait', count: 2 }, { tag: 'winter', count: 1 }]
function field(tags: string[] = []) {
  const wrapper = mount(TagField, { props: { tags, known, label: 'Tags' }, attachTo: document.body })
  const input = wrapper.get('input')
  return { wrapper, input, offered: () => wrapper.findAll('li').map((li) => li.text().split(' ')[0]) }
}

describe('TagField', () => {
  it('completes the last word from the tags in use, by keys', async () => {
    const { wrapper, input, offered } = field()
    await input.trigger('focus')
    await input.setValue('winter, po')
    expect(offered()).toEqual(['poster', 'portrait'])
    await input.trigger('keydown', { key: 'ArrowDown' })
    await input.trigger('keydown', { key: 'ArrowDown' })
    expect(wrapper.get('[aria-selected="true"]').text()).toContain('portrait')
    await input.trigger('keydown', { key: 'Enter' })
    await input.trigger('blur')
    expect(wrapper.emitted('change')).toEqual([[['winter', 'portrait']]])
  })

  it('drops doubles and empty words, and says nothing when nothing changed', async () => {
    const { wrapper, input } = field(['bee'])
    await input.trigger('focus')
    await input.setValue(' bee , ,bee,')
    await input.trigger('blur')
    expect(wrapper.emitted('change')).toBeUndefined()
    expect(input.element.value).toBe('bee')
  })

  it('takes back what was typed on Escape', async () => {
    const { wrapper, input } = field(['bee'])
    await input.trigger('focus')
    await input.setValue('wasp')
    await input.trigger('keydown', { key: 'Escape' })
    expect(input.element.value).toBe('bee')
    expect(wrapper.emitted('change')).toBeUndefined()
  })
})
