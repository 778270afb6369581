import { changeProofs, goOnWithTrial, listRuns, listTrials, listVersions, readSheet, readTrial, setMoney, startTrial, stopTrial, sumLedger, type Trial } from '@idolon/contract'
import { blankSlot, type TrialBody } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterEach(() => {
  server.engine.answer = undefined
})
afterAll(() => server.stop())

const plan = (more: Partial<TrialBody> = {}): TrialBody => ({
  name: 'Birds by light',
  frame: 'a {{ bird }} in a barn, {{ light }}, gouache',
  slots: [blankSlot('bird', 'subject'), blankSlot('light', 'light')],
  values: {},
  factors: [
    { kind: 'words', slot: 'bird', options: ['owl', 'two swans', 'wren'] },
    { kind: 'words', slot: 'light', options: ['rim light', 'candlelight', ''] },
    { kind: 'engine', options: [{ engine: 'burin' }, { engine: 'tympan' }] },
  ],
  way: { kind: 'pairs' },
  skip: [[{ factor: 0, option: 2 }, { factor: 1, option: 2 }]],
  count: 1,
  ...more,
})
const start = (prompt: string, body: TrialBody, revision = 1) => server.ask(startTrial, { params: { prompt }, body: { id: randomUUID(), revision, body } })
const begun = async (prompt: string, body: TrialBody) => (await start(prompt, body)).body as Trial
async function ended({ id }: Trial): Promise<Trial> {
  for (;;) {
    const { trial } = await server.call(readTrial, { params: { trial: id } })
    if (!trial.states.asked && !trial.states.sent) return trial
    await sleep(50)
  }
}

describe('a trial plan', () => {
  it('tries each combination with one seed, and lies on a sheet by the names of its options', async () => {
    const { id: prompt, projectId } = await server.prompt('a wren in a barn, rim light, gouache')
    const trial = await ended(await begun(prompt, plan()))
    expect(trial).toMatchObject({ combinations: 8, states: { stored: 8, asked: 0 }, judged: 0 })
    const { proofs, total } = await server.call(readSheet, { query: { trial: trial.id } })
    expect(total).toBe(8)
    expect(new Set(proofs.map(({ seed }) => seed)).size).toBe(1)
    expect(proofs.map(({ options }) => options)).toContainEqual({ bird: expect.stringMatching(/^(owl|two swans)$/) as string, light: 'nothing', engine: 'Tympan 2' })
    expect(proofs.some(({ options }) => options?.['bird'] === 'wren' && options['light'] === 'nothing')).toBe(false)
    const texts = server.engine.calls.slice(-8).map(({ body }) => JSON.stringify(body))
    expect(texts.some((text) => /an owl/i.test(text)) && texts.some((text) => /two swans/i.test(text))).toBe(true)
    // The many texts of a plan are no steps of the work until one is kept.
    expect(await server.call(listVersions, { params: { prompt } })).toEqual([])
    expect(await server.call(listRuns, { params: { prompt } })).toEqual([])
    await server.call(changeProofs, { body: { proofs: [proofs[0]!.id], verdict: 'keep' } })
    expect(await server.call(listVersions, { params: { prompt } })).toHaveLength(1)
    expect((await server.call(listTrials, { query: { project: projectId } })).map(({ id, keepers }) => [id, keepers])).toEqual([[trial.id, 1]])
    const sums = await server.call(sumLedger, { params: { by: 'engine' }, query: { project: projectId } })
    expect(sums.reduce((sum, { proofs: n }) => sum + n, 0)).toBe(8)
  })

  it('says what its options did, from verdicts, and that it cannot tell before', async () => {
    const { id: prompt } = await server.prompt('a wren in a barn, rim light, gouache')
    const body = plan({ factors: plan().factors.slice(0, 2), way: { kind: 'all' }, skip: [], count: 3 })
    const trial = await ended(await begun(prompt, body))
    const { proofs } = await server.call(readSheet, { query: { trial: trial.id } })
    const before = await server.call(readTrial, { params: { trial: trial.id } })
    expect(before.verdicts.map(({ says }) => says)).toEqual(['Nothing is judged yet that tells of bird.', 'Nothing is judged yet that tells of light.'])
    const of = (option: string) => proofs.filter(({ options }) => options?.['bird'] === option).map(({ id }) => id)
    await server.call(changeProofs, { body: { proofs: of('owl'), verdict: 'keep' } })
    await server.call(changeProofs, { body: { proofs: [...of('two swans'), ...of('wren')], verdict: 'drop' } })
    const after = await server.call(readTrial, { params: { trial: trial.id } })
    expect(after.verdicts[0]).toMatchObject({ name: 'bird', told: 'owl', says: expect.stringMatching(/“owl” did best \(100 % of a keep on average, of 9\)/) as string })
    expect(after.verdicts[1]).toMatchObject({ name: 'light', told: null })
    expect(after.ranking).toBeNull()
  })

  it('is refused whole over the ceiling, or when it does not hold together', async () => {
    const { id: prompt, projectId } = await server.prompt('a wren in a barn, rim light, gouache')
    await server.call(setMoney, { params: { project: projectId }, body: { currency: 'EUR', rates: [], ceiling: { unit: 'credit', amount: 20 } } })
    expect((await start(prompt, plan())).body).toMatchObject({ type: '/problems/over-ceiling' })
    expect(await server.call(listTrials, { query: { prompt } })).toEqual([])
    const refused = async (more: Partial<TrialBody>, revision = 1) => ((await start(prompt, plan(more), revision)).body as { detail: string }).detail
    expect(await refused({}, 9)).toMatch(/changed since/)
    expect(await refused({ frame: 'a {{ bird' })).toMatch(/^Line 1: /)
    expect(await refused({ factors: [{ kind: 'setting', key: 'guidance', options: [3, 900] }], skip: [] })).toMatch(/Guidance of Burin cannot be 900/)
    expect(await refused({ factors: [...plan().factors.slice(0, 1), ...plan().factors.slice(0, 1)], skip: [] })).toMatch(/varies twice/)
    expect(await refused({ factors: Array.from({ length: 2 }, (_, i) => ({ kind: 'words' as const, slot: `s${i}`, options: Array.from({ length: 30 }, (__, k) => `o${k}`) })), way: { kind: 'all' }, skip: [] })).toMatch(/900 combinations; a plan tries at most 500/)
  })

  it('stops at no cost for what was not asked, and goes on', async () => {
    const { id: prompt, projectId } = await server.prompt('a wren in a barn, rim light, gouache')
    server.engine.answer = async (call, response) => {
      await sleep(250)
      await server.engine.giveAPicture(call, response)
    }
    const trial = await begun(prompt, plan({ way: { kind: 'all' }, skip: [], count: 2 }))
    await sleep(350)
    await server.call(stopTrial, { params: { trial: trial.id } })
    const stopped = await ended(trial)
    expect(stopped.states.stopped).toBeGreaterThan(10)
    expect(stopped.stoppedAt).not.toBeNull()
    const spent = async () => (await server.call(sumLedger, { params: { by: 'engine' }, query: { project: projectId } })).reduce((sum, { proofs }) => sum + proofs, 0)
    server.engine.answer = undefined
    await server.call(goOnWithTrial, { params: { trial: trial.id } })
    expect(await ended(trial)).toMatchObject({ states: { stored: 36, stopped: 0 }, stoppedAt: null })
    expect(await spent()).toBe(36)
    expect((await server.ask(goOnWithTrial, { params: { trial: trial.id } })).body).toMatchObject({ type: '/problems/not-now' })
  })
})
