import type { Turn } from '@idolon/contract'
import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import { useNotices } from '../notices/notices.ts'
import { aDraft, aServer, aTurn } from '../testing.test-support.ts'
import { useAsking } from './asking.ts'

const { call, following } = vi.hoisted(() => ({ call: vi.fn(), following: { of: new Map<string, { text: (now: string) => void; end: (turn: unknown) => void; gone: () => void }>(), ended: [] as string[] } }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('./follow-turn.ts', () => ({
  followTurn: (id: string, hears: { text: (now: string) => void; end: (turn: unknown) => void; gone: () => void }) => {
    following.of.set(id, hears)
    return () => following.ended.push(id)
  },
}))

interface Sent {
  id: string
  helper: string
  model: string
  seed: number
  parentId: string | null
  further: string | null
  takes: string[]
}
let server: ReturnType<typeof aServer>
beforeEach(() => {
  setActivePinia(createPinia())
  following.of.clear()
  following.ended = []
  server = aServer(call, {
    askHelper: ({ body }: { body: Sent }) => aTurn('prompt', null, { id: body.id, helper: { id: body.helper, version: 1, name: 'Fill out' }, model: { id: body.model, name: body.model, simulated: true }, seed: body.seed, parentId: body.parentId, further: body.further, state: 'asked' } as Partial<Turn>),
    listTurns: [],
  })
})
function asking(promptId: string | null = 'x') {
  const scope = effectScope()
  return { scope, ...scope.run(() => useAsking({ projectId: 'j', promptId, draft: () => aDraft('a fox') }))! }
}
const sent = () => server.asked('askHelper').map(({ body }) => body as unknown as Sent)
/** The turn is answered. */
const answer = (turn: Turn | undefined, value: unknown = { text: 'a red fox' }) => following.of.get(turn!.id)!.end({ ...turn!, state: 'done', value, proposed: null })
const ONE = { helper: 'fill-out', models: ['quoin'], values: { length: 40 } }
const TWO = { ...ONE, models: ['quoin', 'flourish'] }

describe('asking a helper', () => {
  it('sends the draft as it stands, and follows what is written until it is answered', async () => {
    const one = asking()
    await one.ask(ONE)
    expect([sent()[0], one.busy.value]).toMatchObject([{ helper: 'fill-out', model: 'quoin', draft: { text: 'a fox' }, projectId: 'j', promptId: 'x', parentId: null }, true])
    following.of.get(one.turn.value!.id)!.text('a red')
    expect(one.texts[one.turn.value!.id]).toBe('a red')
    answer(one.turn.value)
    expect([one.turn.value!.state, one.busy.value]).toEqual(['done', false])
  })

  it('asks two models with one seed, and shows them as a pair', async () => {
    const one = asking()
    await one.ask(TWO)
    expect([sent().map(({ model }) => model), new Set(sent().map(({ seed }) => seed)).size, one.turn.value!.model.id, one.other.value!.model.id, one.takes.value.length]).toEqual([['quoin', 'flourish'], 1, 'quoin', 'flourish', 1])
  })

  it('goes on from both of a pair, each from its own answer', async () => {
    const one = asking()
    await one.ask(TWO)
    const [first, second] = [one.turn.value!, one.other.value!]
    answer(first)
    answer(second)
    await one.goOn('shorter')
    expect(sent().slice(2).map(({ model, parentId, further }) => [model, parentId, further])).toEqual([['quoin', first.id, 'shorter'], ['flourish', second.id, 'shorter']])
  })

  it('asks for two more that are unlike what there is, each with a seed of its own', async () => {
    const one = asking()
    await one.ask(ONE)
    answer(one.turn.value, { prompt: 'a red fox' })
    await one.twoMore()
    const [first, ...more] = sent()
    expect(more.map(({ seed }) => seed)).toEqual([first!.seed + 2, first!.seed + 1].sort((a, b) => more[0]!.seed === first!.seed + 1 ? a - b : b - a))
    expect(one.takes.value).toHaveLength(3)
  })

  it('asks again with the next seed in the same place of a pair', async () => {
    const one = asking()
    await one.ask(TWO)
    const [first, second] = [one.turn.value!, one.other.value!]
    answer(first)
    answer(second)
    await one.again(one.other.value!)
    expect([sent()[2]!.model, sent()[2]!.seed, one.turn.value!.id, one.other.value!.id !== second.id]).toEqual(['flourish', second.seed + 1, first.id, true])
  })

  it('stops what is still open', async () => {
    const one = asking()
    await one.ask(TWO)
    answer(one.turn.value)
    await one.stop()
    expect(server.asked('stopTurn').map(({ params }) => params)).toEqual([{ turn: one.other.value!.id }])
  })

  it('drops a turn that is gone from the server', async () => {
    const one = asking()
    await one.ask(ONE)
    following.of.get(one.turn.value!.id)!.gone()
    expect([one.turns.value, one.turn.value]).toEqual([[], undefined])
  })

  it('shows what was there before where the server refuses, and says why', async () => {
    const one = asking()
    await one.ask(ONE)
    const before = one.turn.value!.id
    server.refuses('askHelper', 'The ceiling of the project is reached. Nothing was asked.')
    await one.ask(ONE)
    expect([one.turn.value!.id, useNotices().shown.map(({ text }) => text)]).toEqual([before, ['The ceiling of the project is reached. Nothing was asked.']])
  })

  it('puts an answer away for good as decided, and stops following', async () => {
    const one = asking()
    await one.ask(TWO)
    const open = one.other.value!.id
    answer(one.turn.value)
    one.putAway()
    await flushPromises()
    expect([server.asked('decideTurn').map(({ body }) => body), following.ended, one.turns.value]).toEqual([[{ taken: 0, left: 0 }], [open], []])
  })

  it('stops following when the page is left', async () => {
    const one = asking()
    await one.ask(ONE)
    one.scope.stop()
    expect(following.ended).toHaveLength(1)
  })
})

describe('what was open when the page was left', () => {
  const now = () => new Date().toISOString()
  it('is taken up again, two models as the pair they were', async () => {
    server.answers['listTurns'] = [aTurn('prompt', null, { id: 'second', askedAt: now(), model: { id: 'flourish', name: 'Flourish', simulated: true } }), aTurn('prompt', null, { id: 'first', askedAt: now() })]
    const one = asking()
    await one.reopen()
    expect([one.turn.value!.id, one.other.value!.id]).toEqual(['first', 'second'])
  })

  it.each([
    ['it was decided', { taken: { taken: 1, left: 0 } }],
    ['it was stopped', { state: 'stopped' as const }],
    ['it is long ago', { askedAt: '2020-01-01T10:00:00Z' }],
  ])('is not where %s', async (_, more) => {
    server.answers['listTurns'] = [aTurn('prompt', null, { askedAt: now(), ...more })]
    const one = asking()
    await one.reopen()
    expect(one.turn.value).toBeUndefined()
  })

  it('is not asked for without a prompt', async () => {
    await asking(null).reopen()
    expect(server.asked('listTurns')).toEqual([])
  })
})
