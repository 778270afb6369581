import type { LedgerEntry } from '@idolon/contract'
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { withEngines } from '../testing.test-support.ts'
import LedgerEntries from './LedgerEntries.vue'

const entry = (id: string, more: Partial<LedgerEntry> = {}): LedgerEntry => ({ id, at: '2026-01-01T10:00:00Z', kind: 'reserve', promptId: 'x', promptTitle: 'A fox', engine: 'Burin 1', amount: 4, unit: 'credit', note: null, ...more }) as unknown as LedgerEntry
const table = (entries: LedgerEntry[] | undefined) => mount(LedgerEntries, { props: { entries }, global: withEngines() })
const rows = (wrapper: ReturnType<typeof table>) => wrapper.findAll('tbody tr').map((row) => row.findAll('td').map((cell) => cell.text()).slice(1)).filter((cells) => cells.length)

describe('the newest entries of a ledger', () => {
  it('say what was set aside and settled, of which prompt and engine', () => {
    expect(rows(table([entry('a'), entry('b', { kind: 'settle', amount: -4, note: 'failed' } as never), entry('c', { kind: 'settle', amount: 0 }), entry('d', { promptId: null, promptTitle: null, amount: 1_200 } as never)]))).toEqual([
      ['A fox', 'Burin 1', 'set aside', '4 credits'],
      ['A fox', 'Burin 1', 'settled, failed', '-4 credits'],
      ['A fox', 'Burin 1', 'settled', 'as set aside'],
      ['no prompt', 'Burin 1', 'set aside', '1,200 credits'],
    ])
  })

  it('show that they are being read, and that there are none', () => {
    expect(table(undefined).find('[role=progressbar]').exists()).toBe(true)
    expect(table([]).text()).toContain('Nothing spent.')
  })

  it('sort by what a head says', async () => {
    const wrapper = table([entry('a', { amount: 9 }), entry('b', { amount: 4 })])
    await wrapper.findAll('th').find((one) => one.text() === 'Amount')!.trigger('click')
    expect(rows(wrapper).map((row) => row.at(-1))).toEqual(['4 credits', '9 credits'])
  })
})
