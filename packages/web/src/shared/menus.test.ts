import { mdiDeleteOutline, mdiDownload } from '@mdi/js'
import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { named, press, withEngines } from '../testing.test-support.ts'
import ActsMenu from './ActsMenu.vue'
import ChoiceMenu from './ChoiceMenu.vue'
import FoldOut from './FoldOut.vue'

const items = (wrapper: ReturnType<typeof mount>) => wrapper.findAll('[role=menuitem]').map((one) => one.text())

describe('a menu of acts', () => {
  const run = vi.fn()
  const menu = () =>
    mount(ActsMenu, {
      props: {
        label: 'This prompt',
        acts: [
          { name: 'Duplicate', says: 'With its leave-out list', icon: mdiDownload, run },
          { name: 'Export', icon: mdiDownload, href: '/api/prompts/x.json' },
          { name: 'Merge', icon: mdiDownload, disabled: true, run },
          { name: 'Delete', icon: mdiDeleteOutline, last: true, run },
        ],
      },
      global: withEngines(),
    })

  it('runs the one that is pressed, says more under it, and keeps what takes away apart', async () => {
    const wrapper = menu()
    expect(items(wrapper)).toEqual(['DuplicateWith its leave-out list', 'Export', 'Merge', 'Delete'])
    await wrapper.findAll('[role=menuitem]')[0]!.trigger('click')
    expect(run).toHaveBeenCalledTimes(1)
    const [rule] = wrapper.findAll('hr')
    expect(rule!.element.compareDocumentPosition(named(wrapper, 'Delete')!.element) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy()
  })

  it('downloads by a link, and does nothing for what cannot be done now', async () => {
    const wrapper = menu()
    run.mockClear()
    expect(named(wrapper, 'Export')!.attributes()).toMatchObject({ href: '/api/prompts/x.json', download: '' })
    await press(wrapper, 'Merge')
    expect(run).not.toHaveBeenCalled()
  })
})

describe('a menu of choices', () => {
  it('tells the value of what is chosen; headings are none', async () => {
    const wrapper = mount(ChoiceMenu, { props: { label: 'Add', items: [{ title: 'characters' }, { title: 'Corin', value: 'c' }, { title: 'Hedda', value: 'h' }] }, global: withEngines() })
    expect(items(wrapper)).toEqual(['Corin', 'Hedda'])
    await press(wrapper, 'Hedda')
    expect(wrapper.emitted('choose')).toEqual([['h']])
  })

  it('cannot be opened where there is nothing to choose', () => {
    expect(mount(ChoiceMenu, { props: { label: 'Add', items: [] }, global: withEngines() }).get('button').attributes('disabled')).toBeDefined()
  })
})

it('what folds out is shown by a press of its name, and its model says so', async () => {
  const wrapper = mount(FoldOut, { props: { title: 'What it is sent', modelValue: false }, slots: { default: 'The request' } })
  expect(wrapper.get('button').attributes('aria-expanded')).toBe('false')
  await wrapper.get('button').trigger('click')
  expect(wrapper.emitted('update:modelValue')).toEqual([[true]])
})
