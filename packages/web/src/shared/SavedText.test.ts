import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import SavedText from './SavedText.vue'

beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  vi.useRealTimers()
})
const field = () => mount(SavedText, { props: { value: 'Noon', label: 'Title', maxlength: 200 }, attachTo: document.body })

describe('SavedText', () => {
  it('saves within half a second of the last keystroke, once', async () => {
    const wrapper = field()
    await wrapper.get('input').setValue('Noo')
    await wrapper.get('input').setValue('Noon in')
    vi.advanceTimersByTime(500)
    await wrapper.get('input').trigger('blur')
    expect(wrapper.emitted('save')).toEqual([['Noon in']])
  })

  it('saves what is typed when it goes away', async () => {
    const save = vi.fn()
    const wrapper = mount(SavedText, { props: { value: 'Noon', label: 'Title', maxlength: 200, onSave: save } })
    await wrapper.get('input').setValue('Dusk')
    wrapper.unmount()
    expect(save.mock.calls).toEqual([['Dusk']])
  })

  it('shows what comes from elsewhere, but not while someone types', async () => {
    const wrapper = field()
    await wrapper.setProps({ value: 'Noon, renamed' })
    expect(wrapper.get('input').element.value).toBe('Noon, renamed')
    await wrapper.get('input').trigger('focus')
    await wrapper.get('input').setValue('Noon, mine')
    await wrapper.setProps({ value: 'Noon, again' })
    expect(wrapper.get('input').element.value).toBe('Noon, mine')
  })
})
