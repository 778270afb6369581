import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { useValueRows } from './value-rows.ts'

const rowsOf = (table: ReturnType<typeof useValueRows>) => table.rows.value.map(({ values }) => values)
const table = () => useValueRows(ref(['subject', 'place', 'moment']))

describe('the table a template is filled with', () => {
  it('takes a sheet in the place of empty rows and beside those that are filled', () => {
    const one = table()
    one.take('fox\tbarn\nowl\tmill')
    expect(rowsOf(one)).toEqual([{ subject: 'fox', place: 'barn' }, { subject: 'owl', place: 'mill' }])
    one.take('place\tprice\nloft\t4')
    expect(rowsOf(one)[2]).toEqual({ place: 'loft' })
    expect(one.said.value).toEqual(['No slot is called “price”; those columns were left out.'])
  })

  it('takes cells pasted into a cell from there on, over what is there', () => {
    const one = table()
    one.set(0, 'subject', 'fox')
    one.take('barn\tdusk\nmill\tdawn', { row: 0, slot: 'place' })
    expect(rowsOf(one)).toEqual([{ subject: 'fox', place: 'barn', moment: 'dusk' }, { place: 'mill', moment: 'dawn' }])
  })

  it('makes a row of each option, the rest alike, and always keeps one row', () => {
    const one = table()
    one.set(0, 'place', 'barn')
    one.eachOption('subject', ['fox', 'owl'])
    expect(rowsOf(one)).toEqual([{ subject: 'fox', place: 'barn' }, { subject: 'owl', place: 'barn' }])
    one.remove(0)
    one.remove(0)
    expect(rowsOf(one)).toEqual([{}])
    expect(one.filled.value).toEqual([])
  })
})
