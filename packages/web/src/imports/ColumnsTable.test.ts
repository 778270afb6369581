import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import ColumnsTable from './ColumnsTable.vue'

const columns = [{ name: 'Name', sample: 'Owl' }, { name: 'Words', sample: 'an owl at dusk' }, { name: 'Kind', sample: 'night' }]

it('says what each column is, and gives each thing to one column at most', async () => {
  const table = mount(ColumnsTable, { props: { columns, mapping: { title: 0, text: 1 } } })
  const values = () => table.findAll('select').map(({ element }) => element.value)
  expect(values()).toEqual(['title', 'text', ''])
  expect(table.text()).toContain('an owl at dusk')
  await table.findAll('select')[2]!.setValue('title')
  expect(table.emitted('map')).toEqual([[{ text: 1, title: 2 }]])
  await table.findAll('select')[1]!.setValue('')
  expect(table.emitted('map')![1]).toEqual([{ title: 0 }])
  await table.setProps({ mapping: { title: 0 } })
  expect(table.get('[role=alert]').text()).toContain('Say which column is the text')
})
