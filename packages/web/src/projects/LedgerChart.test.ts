import type { Project } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { aServer, IN_TIME, press, withRouter } from '../testing.test-support.ts'
import LedgerChart from './LedgerChart.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const sum = (key: string, label: string, amount: number, more = {}) => ({ key, label, unit: 'credit', amount, proofs: 2, keepers: 1, ...more })
const DAYS = [sum('2026-01-01', '2026-01-01', 8), sum('2026-01-02', '2026-01-02', 4, { keepers: 0 })]
let server: ReturnType<typeof aServer>
beforeEach(() => {
  server = aServer(call, { sumLedger: ({ params }: { params: { by: string } }) => (params.by === 'day' ? DAYS : [sum('x', 'A hen', 2), sum('y', 'A fox', 10), sum('', 'no prompt', 1, { unit: 'token' })]) })
})
afterEach(dropPageData)
async function chart(rates: { unit: string; price: number }[] = []) {
  const { global, router } = await withRouter('/projects/:project', '/projects/j')
  const wrapper = mount(LedgerChart, { props: { project: { id: 'j', currency: 'EUR', rates } as unknown as Project }, global })
  await flushPromises()
  return { wrapper, router }
}
type Shown = Awaited<ReturnType<typeof chart>>['wrapper']
const rows = (wrapper: Shown) => wrapper.findAll('tbody tr').map((row) => row.findAll('td').map((cell) => cell.text()))
const bars = (wrapper: Shown) => wrapper.findAll('tbody rect').map((one) => Math.round(Number(one.attributes('width'))))

describe('what was spent', () => {
  it('stands day by day, with bars on one scale and what a kept picture cost', async () => {
    const { wrapper } = await chart()
    expect(rows(wrapper)).toEqual([['1 Jan', '8 credits', '', '2 proofs, 1 kept', '8 credits'], ['2 Jan', '4 credits', '', '2 proofs', '']])
    expect(bars(wrapper)).toEqual([220, 110])
  })

  it('says what it is worth where units have prices', async () => {
    const { wrapper } = await chart([{ unit: 'credit', price: 0.5 }])
    expect(rows(wrapper)[0]![1]).toContain('4')
    expect(rows(wrapper)[0]![1]).toMatch(/€|EUR/)
  })

  it('stands by prompt with the dearest first, each of which can be opened', async () => {
    const { wrapper, router } = await chart()
    await press(wrapper, 'by prompt')
    expect(rows(wrapper).map(([name]) => name)).toEqual(['A fox', 'A hen', 'no prompt'])
    await press(wrapper, 'A fox')
    await vi.waitUntil(() => router.currentRoute.value.path === '/desk/y', IN_TIME)
  })

  it('says of which unit the bars are where nothing adds units up', async () => {
    const { wrapper } = await chart()
    await press(wrapper, 'by prompt')
    expect(wrapper.text()).toContain('The bars are of credits alone')
  })

  it('is sorted by a press on a head, what led to no kept picture last', async () => {
    const { wrapper } = await chart()
    await wrapper.findAll('th').find((one) => one.text() === 'Per kept picture')!.trigger('click')
    expect(rows(wrapper).map(([name]) => name)).toEqual(['1 Jan', '2 Jan'])
  })

  it('says that nothing was spent yet', async () => {
    server.answers['sumLedger'] = []
    const { wrapper } = await chart()
    expect([wrapper.find('table').exists(), wrapper.text()]).toEqual([false, expect.stringContaining('Nothing spent yet.')])
  })
})
