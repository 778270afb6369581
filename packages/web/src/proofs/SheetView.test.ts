import type { SheetProof } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { letterKeys } from '../keys/letters.ts'
import { useNotices } from '../notices/notices.ts'
import { aTrial } from '../trial/trial.test-support.ts'
import { aServer, aSheetProof, choose, emit, fill, IN_TIME, named, offered, press, valueOf, withRouter } from '../testing.test-support.ts'
import SheetView from './SheetView.vue'

const { call, told } = vi.hoisted(() => ({ call: vi.fn(), told: { all: [] as ((event: unknown) => void)[] } }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: (hear: (event: unknown) => void) => told.all.push(hear) }))

const many = (count: number, more: (i: number) => Partial<SheetProof> = () => ({})) => Array.from({ length: count }, (_, i) => aSheetProof(`p${i}`, more(i)))
let all: SheetProof[]
let server: ReturnType<typeof aServer>
beforeEach(() => {
  letterKeys.value = true
  told.all = []
  all = many(3)
  server = aServer(call, { readSheet: ({ query }: { query: { limit: number; offset: number } }) => ({ proofs: all.slice(query.offset, query.offset + query.limit), total: all.length }) })
})
afterEach(() => {
  vi.useRealTimers()
  dropPageData()
})
/** What draws the pictures is its own matter; here it is a list that tells what it was given. */
const ProofSheet = { name: 'ProofSheet', props: ['proofs', 'arrangement', 'height', 'selected'], emits: ['select', 'open', 'key'], methods: { focus: () => undefined }, template: '<ol class="sheet"><li v-for="one in proofs" :key="one.id">{{ one.id }} {{ one.verdict }}</li></ol>' }
async function sheet(query = '') {
  const { global, router } = await withRouter('/proofs/sheet', `/proofs/sheet${query}`)
  const wrapper = mount(SheetView, { global: { ...global, stubs: { ...global.stubs, ProofSheet, ImportButton: true } } })
  await flushPromises()
  return { wrapper, router }
}
type Shown = Awaited<ReturnType<typeof sheet>>['wrapper']
const drawn = (wrapper: Shown) => wrapper.getComponent(ProofSheet)
const select = async (wrapper: Shown, ...ids: string[]) => {
  emit(drawn(wrapper), 'select', new Set(ids))
  await flushPromises()
}
const lines = (wrapper: Shown) => wrapper.findAll('.sheet li').map((one) => one.text())
const key = async (wrapper: Shown, name: string, focused = all[0]!) => {
  emit(drawn(wrapper), 'key', new KeyboardEvent('keydown', { key: name }), focused)
  await flushPromises()
}
const status = (wrapper: Shown) => wrapper.get('h1 [role=status]').text()
const notices = () => useNotices().shown.map(({ text }) => text)

describe('a proof sheet', () => {
  it('shows the beginning of a long one at once, and all of it when it has come', async () => {
    all = many(300)
    let give: () => void = () => undefined
    const first = server.answers['readSheet'] as (given: unknown) => unknown
    server.answers['readSheet'] = (given: { query: { offset: number } }) => (given.query.offset === 0 ? first(given) : new Promise((resolve) => (give = () => resolve(first(given)))))
    const { wrapper } = await sheet()
    expect([lines(wrapper).length, status(wrapper)]).toEqual([120, '120 of 300 proofs'])
    give()
    await flushPromises()
    expect([lines(wrapper).length, status(wrapper)]).toEqual([300, '300 proofs'])
  })

  it('shows where the pictures come until the first have', async () => {
    let give: () => void = () => undefined
    server.answers['readSheet'] = () => new Promise((resolve) => (give = () => resolve({ proofs: all, total: 3 })))
    const { wrapper } = await sheet()
    expect([wrapper.find('.coming').exists(), status(wrapper), lines(wrapper)]).toEqual([true, 'Looking …', []])
    give()
    await flushPromises()
    expect([wrapper.find('.coming').exists(), lines(wrapper).length]).toEqual([false, 3])
  })

  it('goes to the same proofs by run, narrowed down as they are', async () => {
    const { wrapper } = await sheet('?project=j&verdict=keep&by=version-engine')
    const [byRun, here] = wrapper.findAll('.view-tabs a')
    expect([byRun!.text(), byRun!.attributes('href'), here!.text(), here!.attributes('aria-current')]).toEqual(['By run', '/proofs?project=j&verdict=keep', 'As a sheet', 'page'])
  })

  it('says that none is like that, with the way to all of them', async () => {
    all = []
    const { wrapper } = await sheet('?verdict=keep')
    expect(wrapper.get('.empty').text()).toBe('No proof is like that. Show all')
    expect(wrapper.get('.empty a').attributes('href')).toBe('/proofs/sheet')
  })

  it('says what to do where there is none at all', async () => {
    all = []
    expect((await sheet()).wrapper.get('.empty').text()).toBe('No proof is like that. Try a prompt on the Desk')
  })

  it('says why it could not be read', async () => {
    server.refuses('readSheet', 'It went wrong on the server. Nothing was changed.', 'internal')
    const { wrapper } = await sheet()
    expect([notices(), wrapper.find('.empty').exists()]).toEqual([['It went wrong on the server. Nothing was changed.'], true])
  })

  it('keeps what it shows in its address', async () => {
    const { wrapper, router } = await sheet()
    await choose(wrapper, 'Fault', 'clutter')
    await vi.waitUntil(() => router.currentRoute.value.query['fault'] === 'clutter', IN_TIME)
    await flushPromises()
    expect(server.asked('readSheet').at(-1)!.query).toMatchObject({ fault: 'clutter' })
  })

  it('offers to lay out by what is not the same for all', async () => {
    all = many(4, (i) => ({ settings: { guidance: i % 2 ? 3 : 6, steps: 20, seed: i } }))
    const { wrapper } = await sheet()
    expect(offered(wrapper, 'Rows and columns')).toEqual(['as they came', 'versions by engines', 'prompts by engines', 'guidance by seeds'])
  })

  it('of a trial plan is laid out by its options, engines across', async () => {
    server.answers['readTrial'] = { trial: aTrial(), verdicts: [], ranking: null }
    const { wrapper } = await sheet('?trial=tr1')
    expect(valueOf(wrapper, 'Rows and columns')).toBe('options')
    expect(drawn(wrapper).props('arrangement')).toMatchObject({ kind: 'options', columns: 'engine', rows: 'subject' })
    expect(wrapper.get('h1').text()).toContain('a trial plan of A fox')
  })
})

describe('what is done with many proofs', () => {
  it('is offered once some are selected, and says how to select before', async () => {
    const { wrapper } = await sheet()
    expect(wrapper.get('.acts').text()).toContain('Click or Space selects')
    await select(wrapper, 'p0', 'p2')
    expect(wrapper.get('.acts').text()).toContain('2 proofs selected')
    await press(wrapper, 'Select none')
    expect(drawn(wrapper).props('selected')).toEqual(new Set())
  })

  it('judges them all at once, shown before the server answers', async () => {
    const { wrapper } = await sheet()
    await select(wrapper, 'p0', 'p1')
    let give: () => void = () => undefined
    server.answers['changeProofs'] = () => new Promise<void>((resolve) => (give = resolve))
    await wrapper.get('.acts .keep').trigger('click')
    await flushPromises()
    expect([lines(wrapper), server.asked('changeProofs')[0]!.body]).toEqual([['p0 keep', 'p1 keep', 'p2'], { proofs: ['p0', 'p1'], verdict: 'keep' }])
    give()
  })

  it('takes a verdict back that all of them have', async () => {
    all = many(2, () => ({ verdict: 'drop' }))
    const { wrapper } = await sheet()
    await select(wrapper, 'p0', 'p1')
    await key(wrapper, 'd')
    expect(server.asked('changeProofs')[0]!.body).toEqual({ proofs: ['p0', 'p1'], verdict: null })
  })

  it('shows again what the server has where it refuses, and says why', async () => {
    const { wrapper } = await sheet()
    server.refuses('changeProofs', 'The project is archived. Nothing was changed.')
    await key(wrapper, 'k')
    expect([lines(wrapper)[0], notices()]).toEqual(['p0', ['The project is archived. Nothing was changed.']])
  })

  it('goes by the one that keys have reached where none is selected', async () => {
    const { wrapper } = await sheet()
    await key(wrapper, 'l', all[1])
    expect(server.asked('changeProofs')[0]!.body).toEqual({ proofs: ['p1'], addFaults: ['clutter'] })
  })

  it('adds a note to each', async () => {
    const { wrapper } = await sheet()
    await key(wrapper, 'n', all[1])
    await fill(wrapper, 'Note to add', ' warmer ')
    await press(wrapper, 'Add')
    expect(server.asked('changeProofs')[0]!.body).toEqual({ proofs: ['p1'], note: 'warmer' })
  })

  it('puts them into the bin, with the way back; what is gone is no longer selected', async () => {
    const { wrapper } = await sheet()
    await select(wrapper, 'p0', 'p1')
    server.answers['changeProofs'] = ({ body }: { body: { deleted: boolean; proofs: string[] } }) => void (all = body.deleted ? all.filter(({ id }) => !body.proofs.includes(id)) : many(3))
    await press(wrapper, 'Delete')
    expect([lines(wrapper), drawn(wrapper).props('selected'), notices()]).toEqual([['p2'], new Set(), ['2 proofs are in the bin.']])
    useNotices().shown[0]!.action!.run()
    await flushPromises()
    expect(lines(wrapper)).toHaveLength(3)
  })

  it('puts two to four side by side, and says so of others', async () => {
    all = many(6)
    const { wrapper, router } = await sheet()
    await select(wrapper, 'p0')
    expect(named(wrapper, 'Side by side')!.attributes('disabled')).toBeDefined()
    await select(wrapper, 'p0', 'p1', 'p2', 'p3', 'p4')
    expect(named(wrapper, 'Side by side')!.attributes('disabled')).toBeDefined()
    await select(wrapper, 'p3', 'p1')
    await press(wrapper, 'Side by side')
    await vi.waitUntil(() => router.currentRoute.value.fullPath === '/proofs/side-by-side?ids=p1,p3', IN_TIME)
  })

  it('judges blind what is selected, else all of a sheet that is no longer than a sitting', async () => {
    all = many(101)
    const { wrapper } = await sheet()
    expect(named(wrapper, 'Judge all of these blind')!.attributes('disabled')).toBeDefined()
    all = many(100, (i) => (i < 2 ? { picture: null } : {}))
    const short = await sheet('?prompt=x')
    await press(short.wrapper, 'Judge all of these blind')
    await vi.waitUntil(() => short.router.currentRoute.value.path === '/proofs/judge', IN_TIME)
    expect(String(short.router.currentRoute.value.query['ids']).split(',')).toHaveLength(98)
  })

  it('opens one large', async () => {
    const { wrapper, router } = await sheet()
    emit(drawn(wrapper), 'open', all[2])
    await vi.waitUntil(() => router.currentRoute.value.path === '/proofs/p2', IN_TIME)
  })

  it('is read once for a burst of pictures that come', async () => {
    await sheet()
    vi.useFakeTimers()
    const before = server.asked('readSheet').length
    for (let i = 0; i < 20; i++) {
      for (const hear of told.all) hear({ kind: 'proof' })
      await vi.advanceTimersByTimeAsync(10)
    }
    await vi.advanceTimersByTimeAsync(2_000)
    expect(server.asked('readSheet')).toHaveLength(before + 1)
  })
})
