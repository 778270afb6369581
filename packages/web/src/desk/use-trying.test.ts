import type { Engine, Run } from '@idolon/contract'
import { emptyDraft, type Finding, SHIPPED_ENGINES } from '@idolon/core'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ref, shallowRef } from 'vue'
import { ApiProblem } from '../api/problem.ts'
import { useNotices } from '../notices/notices.ts'
import { useEngines } from '../stores/engines.ts'
import { aRun, aServer, IN_TIME } from '../testing.test-support.ts'
import type { DraftSession } from './draft-session.ts'
import type { PromptFacts } from './prompt-facts.ts'
import type { Findings } from './use-findings.ts'
import { useTrying } from './use-trying.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const stop = (reason: string): Finding => ({ kind: 'contradiction', severity: 'stop', where: { in: 'text', start: 0, end: 1 }, reason })
const BURIN = SHIPPED_ENGINES.findLast(({ id }) => id === 'burin')!
let server: ReturnType<typeof aServer>
beforeEach(() => {
  setActivePinia(createPinia())
  useEngines().all = [{ profile: BURIN }] as Engine[]
  server = aServer(call, { startRun: () => aRun() })
  vi.stubGlobal('navigator', { clipboard: { writeText: () => Promise.resolve() } })
})
// The files of a worker share one window.
afterEach(() => vi.unstubAllGlobals())
function trying({ text = 'a fox', found = [] as Finding[], runs = [] as Run[] } = {}) {
  const draft = shallowRef({ ...emptyDraft(), text })
  const all = shallowRef(found)
  const conflict = shallowRef<object>()
  const runChanged = vi.fn()
  const session = { draft, conflict, saver: { settled: () => Promise.resolve(), acknowledged: 7 }, reading: { ask: () => Promise.resolve({ text: 'A fox.', leaveOut: 'people' }) } } as unknown as DraftSession
  const findings = { all, current: ref(true), check: () => Promise.resolve() } as unknown as Findings
  const facts = { runs: shallowRef(runs), runChanged, loadVersionsAndKnown: () => Promise.resolve() } as unknown as PromptFacts
  return { ...useTrying({ id: 'x' }, session, findings, facts), draft, all, conflict, runChanged }
}
const asked = () => server.asked('startRun').map(({ body }) => body as { revision: number; seed?: number | null; byHand?: object })
const said = () => useNotices().shown.map(({ text }) => text)

describe('a try', () => {
  it('is of the draft as the server has it, one at a time, and of none while nothing is written', async () => {
    const { tryIt, starting, runChanged, draft } = trying()
    const [first] = [tryIt({ seed: 5 }), tryIt()]
    expect(starting.value).toBe(true)
    await first
    expect([asked(), starting.value, runChanged.mock.calls.length]).toEqual([[expect.objectContaining({ revision: 7, seed: 5 })], false, 1])
    draft.value = { ...draft.value, text: '  ' }
    await tryIt()
    expect(asked()).toHaveLength(1)
  })

  it('asks once about what would waste it, and again about something else', async () => {
    const { tryIt, tryAnyway, starting, stopsOpen, all } = trying({ found: [stop('Two hours.')] })
    await tryIt({ seed: 9 })
    expect([stopsOpen.value, asked()]).toEqual([true, []])
    stopsOpen.value = false
    tryAnyway()
    await vi.waitUntil(() => asked().length === 1 && !starting.value, IN_TIME)
    await tryIt({ seed: 4 })
    expect([stopsOpen.value, asked().map(({ seed }) => seed)]).toEqual([false, [9, 4]])
    all.value = [stop('Two places.')]
    await tryIt()
    expect([stopsOpen.value, asked().length]).toEqual([true, 2])
  })

  it('waits while another window’s draft is to be decided upon', async () => {
    const { tryIt, conflict, starting } = trying()
    conflict.value = {}
    await tryIt()
    expect([asked(), starting.value]).toEqual([[], false])
  })

  it('that is refused says why, and can be made again', async () => {
    server.answers['startRun'] = () => Promise.reject(new ApiProblem('over-ceiling', 'The ceiling would be passed. Nothing was asked for or charged.'))
    const { tryIt, starting } = trying()
    await tryIt()
    expect([said(), starting.value]).toEqual([['The ceiling would be passed. Nothing was asked for or charged.'], false])
    server.answers['startRun'] = () => aRun()
    await tryIt()
    expect(asked()).toHaveLength(2)
  })

  it('knows the first seed of the last run that has one', () => {
    const run = (...seeds: (number | null)[]) => aRun({ proofs: seeds.map((seed, index) => ({ index, seed }) as unknown as Run['proofs'][number]) })
    expect([trying().lastSeed.value, trying({ runs: [run(null), run(null, 8), run(3)] }).lastSeed.value]).toEqual([undefined, 8])
  })
})

describe('a copy for an engine that is worked by hand', () => {
  it('puts its text on the clipboard and freezes the version', async () => {
    const { copyFor } = trying()
    await copyFor({ engine: 'burin' })
    expect([asked()[0]!.byHand, said()]).toEqual([{ engine: { engine: 'burin' } }, [`The text for ${BURIN.name} is on the clipboard, the leave-out list under it.`]])
  })

  it('says where the text is when the browser does not let it be copied', async () => {
    vi.stubGlobal('navigator', { clipboard: { writeText: () => Promise.reject(new Error('denied')) } })
    const { copyFor } = trying()
    await copyFor({ engine: 'burin' })
    expect([asked().length, said()[0]]).toEqual([1, `The browser does not let Idolon copy. The version is frozen; take the text for ${BURIN.name} from Output.`])
  })

  it('is not made of an engine that is not there, nor of nothing', async () => {
    await trying().copyFor({ engine: 'gone' })
    await trying({ text: '' }).copyFor({ engine: 'burin' })
    expect(asked()).toEqual([])
  })
})
