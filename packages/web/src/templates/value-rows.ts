import { MAX_ROWS, readTable, type SlotValues } from '@idolon/core'
import { computed, ref, type Ref, shallowRef } from 'vue'

/** A row of values that becomes a draft. */
export interface ValueRow {
  /** Of the prompt it becomes, so that pressing twice makes it once. */
  id: string
  values: SlotValues
}

const fresh = (values: SlotValues = {}): ValueRow => ({ id: crypto.randomUUID(), values })
const isEmpty = ({ values }: ValueRow) => Object.values(values).every((value) => !value.trim())

/** The table of values that a template is filled with: one row at first, more by hand or from a sheet. */
export function useValueRows(slots: Ref<readonly string[]>) {
  const rows = shallowRef<ValueRow[]>([fresh()])
  /** What of the last sheet could not be used. */
  const said = ref<string[]>([])

  const filled = computed(() => rows.value.filter((row) => !isEmpty(row)))
  function set(row: number, slot: string, value: string): void {
    rows.value = rows.value.with(row, { ...rows.value[row]!, values: { ...rows.value[row]!.values, [slot]: value } })
  }
  function add(values: SlotValues = {}): void {
    if (rows.value.length < MAX_ROWS) rows.value = [...rows.value, fresh(values)]
  }
  function remove(row: number): void {
    const rest = rows.value.filter((_, i) => i !== row)
    rows.value = rest.length ? rest : [fresh()]
  }
  const clear = () => {
    rows.value = [fresh()]
    said.value = []
  }
  /** Rows of a sheet, in the place of the empty ones; from a cell on, its columns go from there. */
  function take(text: string, from?: { row: number; slot: string }): void {
    const columns = from ? slots.value.slice(slots.value.indexOf(from.slot)) : slots.value
    const read = readTable(text, columns)
    said.value = [...read.problems, ...(read.unknown.length ? [`No slot is called ${read.unknown.map((name) => `“${name}”`).join(', ')}; those columns were left out.`] : [])]
    if (!from) {
      const kept = rows.value.filter((row) => !isEmpty(row))
      rows.value = [...kept, ...read.rows.map(fresh)].slice(0, MAX_ROWS)
    } else {
      const next = [...rows.value]
      read.rows.forEach((values, i) => {
        const row = next[from.row + i]
        if (row) next[from.row + i] = { ...row, values: { ...row.values, ...values } }
        else if (next.length < MAX_ROWS) next.push(fresh(values))
      })
      rows.value = next
    }
    if (rows.value.length === 0) rows.value = [fresh()]
  }
  /** A row for each option of a slot, the rest as in the first row. */
  function eachOption(slot: string, options: readonly string[]): void {
    const first = rows.value[0]?.values ?? {}
    rows.value = options.slice(0, MAX_ROWS).map((option) => fresh({ ...first, [slot]: option }))
  }
  return { rows, filled, said, set, add, remove, clear, take, eachOption }
}
