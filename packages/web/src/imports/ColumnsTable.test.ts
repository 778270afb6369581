import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { choose, fieldOf } from '../testing.test-support.ts'
import ColumnsTable from './ColumnsTable.vue'

const columns = [{ name: 'Name', sample: 'Owl' }, { name: 'Words', sample: 'an owl at dusk' }, { name: 'Kind', sample: 'night' }]

it('says what each column is, and gives each thing to one column at most', async () => {
  const table = mount(ColumnsTable, { props: { columns, mapping: { title: 0, text: 1 } } })
  const value = (label: string) => (fieldOf(table, label).props() as { modelValue: string }).modelValue
  expect(['Name is', 'Words is', 'Kind is'].map(value)).toEqual(['title', 'text', ''])
  expect(table.text()).toContain('an owl at dusk')
  await choose(table, 'Kind is', 'title')
  expect(table.emitted('map')).toEqual([[{ text: 1, title: 2 }]])
  await choose(table, 'Words is', '')
  expect(table.emitted('map')![1]).toEqual([{ title: 0 }])
  await table.setProps({ mapping: { title: 0 } })
  expect(table.get('[role=alert]').text()).toContain('Say which column is the text')
})
