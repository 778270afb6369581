import type { Run } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { useNotices } from '../notices/notices.ts'
import { aProof, aRun, aServer, choose, emit, IN_TIME, named, press, withRouter } from '../testing.test-support.ts'
import ProofsView from './ProofsView.vue'

const { call, told } = vi.hoisted(() => ({ call: vi.fn(), told: { all: [] as ((event: unknown) => void)[] } }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: (hear: (event: unknown) => void) => told.all.push(hear) }))

const runs = (count: number, from = 0): Run[] => Array.from({ length: count }, (_, i) => aRun({ id: `r${from + i}`, promptTitle: `Prompt ${from + i}`, proofs: [aProof({ id: `p${from + i}`, runId: `r${from + i}`, verdict: i === 0 ? 'keep' : null })] }))
let server: ReturnType<typeof aServer>
beforeEach(() => {
  told.all = []
  server = aServer(call, { recentRuns: runs(2), listTrials: [] })
})
afterEach(() => {
  vi.useRealTimers()
  dropPageData()
})
async function proofs(query = '') {
  const { global, router } = await withRouter('/proofs', `/proofs${query}`)
  const wrapper = mount(ProofsView, { global })
  await flushPromises()
  return { wrapper, router }
}
type Shown = Awaited<ReturnType<typeof proofs>>['wrapper']
const titles = (wrapper: Shown) => wrapper.findAll('.sheets h2').map((one) => one.text())
/** Lets the next call of an operation hang until it is told what to answer. */
const hanging = (id: string) => {
  let give: (value: unknown) => void = () => undefined
  server.answers[id] = () => new Promise((resolve) => (give = resolve))
  return (value: unknown) => give(value)
}

describe('the proofs by run', () => {
  it('goes on with those that wait for a verdict, on a sheet of them, and offers it no more when none does', async () => {
    const { wrapper } = await proofs('?project=j')
    const offer = () => wrapper.findAll('a.v-btn').find((one) => one.text().startsWith('Judge'))
    expect([offer()!.text(), offer()!.attributes('href')]).toEqual(['Judge 1 proof without a verdict', '/proofs/sheet?project=j&verdict=none'])
    server.answers['recentRuns'] = [aRun({ proofs: [aProof({ verdict: 'drop' }), aProof({ id: 'away', picture: null, verdict: null })] })]
    told.all.forEach((hear) => hear({ kind: 'run' }))
    await vi.waitUntil(() => offer() === undefined, IN_TIME)
  })

  it('shows where they will stand while they are read, then counts them', async () => {
    const give = hanging('recentRuns')
    const { wrapper } = await proofs()
    expect([wrapper.find('.v-skeleton-loader').exists(), wrapper.get('.finding [role=status]').text()]).toEqual([true, 'Looking …'])
    give(runs(2))
    await flushPromises()
    expect([wrapper.find('.v-skeleton-loader').exists(), wrapper.get('.finding [role=status]').text(), titles(wrapper)]).toEqual([false, '2 proofs', ['Prompt 0', 'Prompt 1']])
  })

  it('says what to do where there are none yet', async () => {
    server.answers['recentRuns'] = []
    const { wrapper } = await proofs()
    expect(wrapper.text()).toContain('No proofs here yet. Try a prompt on the Desk')
  })

  it('says why they could not be read', async () => {
    server.refuses('recentRuns', 'It went wrong on the server. Nothing was changed.', 'internal')
    await proofs()
    expect(useNotices().shown.map(({ text }) => text)).toEqual(['It went wrong on the server. Nothing was changed.'])
  })

  it('shows those of one verdict, and says where none has it', async () => {
    const { wrapper, router } = await proofs()
    await choose(wrapper, 'Verdict', 'keep')
    await vi.waitUntil(() => router.currentRoute.value.query['verdict'] === 'keep', IN_TIME)
    await flushPromises()
    expect([titles(wrapper), wrapper.get('.finding [role=status]').text()]).toEqual([['Prompt 0'], '1 proof'])
    await choose(wrapper, 'Verdict', 'drop')
    await vi.waitUntil(() => wrapper.text().includes('No proof on this page has that verdict.'), IN_TIME)
  })

  it('goes back further by pages, as long as there are more', async () => {
    const all = runs(20)
    server.answers['recentRuns'] = ({ query }: { query: { limit: number; offset: number } }) => all.slice(query.offset, query.offset + query.limit)
    const { wrapper } = await proofs()
    expect(titles(wrapper)).toHaveLength(15)
    await press(wrapper, 'Show earlier runs')
    expect(titles(wrapper)).toHaveLength(20)
    expect(named(wrapper, 'Show earlier runs')).toBeUndefined()
  })

  it('are those of one prompt or one run where its address says so', async () => {
    server.answers['listRuns'] = runs(3)
    const { wrapper } = await proofs('?prompt=x')
    expect([server.asked('listRuns')[0], wrapper.get('h1').text()]).toEqual([expect.objectContaining({ params: { prompt: 'x' } }), 'Proofs Prompt 0'])
    server.answers['readRun'] = runs(1)[0]
    const one = await proofs('?run=r0')
    expect([titles(one.wrapper), one.wrapper.get('h1').text()]).toEqual([['Prompt 0'], 'Proofs version 2 of Prompt 0'])
  })

  it('are read again once for a burst of events that concern them, and not for others', async () => {
    await proofs()
    vi.useFakeTimers()
    const before = server.asked('recentRuns').length
    for (const hear of told.all) hear({ kind: 'proof', runId: 'r99' })
    await vi.advanceTimersByTimeAsync(1_000)
    expect(server.asked('recentRuns')).toHaveLength(before)
    for (let i = 0; i < 5; i++) for (const hear of told.all) hear({ kind: 'proof', runId: 'r1' })
    await vi.advanceTimersByTimeAsync(1_000)
    expect(server.asked('recentRuns')).toHaveLength(before + 1)
  })

  it('show a verdict at once, wherever it was given', async () => {
    const { wrapper } = await proofs()
    emit(wrapper.findAllComponents({ name: 'RunRow' })[1]!, 'proofChanged', aProof({ id: 'p1', runId: 'r1', verdict: 'drop' }))
    await flushPromises()
    expect(wrapper.findAllComponents({ name: 'ProofTile' })[1]!.props('proof')).toMatchObject({ verdict: 'drop' })
  })
})
