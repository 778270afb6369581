import { addHelpers, changeHelper, deleteHelper, listBin, listCaseRuns, listHelpers, restoreFromBin, readCaseRun, readHelper, removeCase, saveCase, saveHelperVersion, startCaseRun, stopCaseRun, type CaseRun, type Problem } from '@idolon/contract'
import { SHIPPED_HELPERS } from '@idolon/core/helper'
import { randomUUID } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { LanguageStandin } from '../testing/language-standin.ts'
import { TestServer } from '../testing/test-server.ts'
import { shipHelpers } from './ship.ts'

let server: TestServer
let standin: LanguageStandin
beforeAll(async () => {
  standin = await LanguageStandin.start()
  server = await TestServer.start(undefined, standin.address)
})
afterAll(async () => {
  await server.stop()
  await standin.stop()
})
const fill = SHIPPED_HELPERS[0]!
async function ended(run: CaseRun): Promise<CaseRun> {
  const end = Date.now() + 60_000
  for (;;) {
    await sleep(80)
    const now = await server.call(readCaseRun, { params: { run: run.id } })
    if (now.results.every(({ state }) => state !== 'asked' && state !== 'answering')) return now
    if (Date.now() > end) throw new Error('The run of cases does not end.')
  }
}

describe('helpers', () => {
  it('ship with Idolon, and come once however often a server starts', async () => {
    await shipHelpers(server.db)
    const helpers = await server.call(listHelpers)
    expect(helpers.map(({ id }) => id)).toEqual(SHIPPED_HELPERS.map(({ id }) => id))
    expect(helpers[0]).toMatchObject({ current: 1, versions: 1, cases: fill.cases.length, shipped: true })
  })

  it('are changed by a new version with a reason; the old ones stay, and any may be used again', async () => {
    const changed = await server.call(saveHelperVersion, { params: { helper: 'explain' }, body: { body: { ...SHIPPED_HELPERS.find(({ id }) => id === 'explain')!.body, does: 'Says less.' }, why: 'Shorter answers', use: true } })
    expect(changed).toMatchObject({ helper: { current: 2, versions: 2 }, versions: [{ number: 2, why: 'Shorter answers' }, { number: 1 }] })
    expect((await server.call(changeHelper, { params: { helper: 'explain' }, body: { current: 1, why: { number: 2, text: 'It broke two cases' } } })).helper.current).toBe(1)
    await expect(server.db('helper_versions').where({ helper_id: 'explain', number: 2 }).update({ body: '{}' })).rejects.toThrow('never altered')
  })

  it('with an unclosed slot are not kept, and the place is named', async () => {
    const { status, body } = await server.ask(saveHelperVersion, { params: { helper: 'explain' }, body: { body: { ...fill.body, instruction: 'Fill out this:\n\n{{ prompt' }, why: '', use: true } })
    expect(status).toBe(422)
    expect((body as Problem).detail).toMatch(/opened with \{\{ and not closed.*line 3.*Nothing was kept/)
  })

  it('go out, come in under a free name, and are deleted into the bin and back', async () => {
    const [copy] = await server.call(addHelpers, { body: { format: 'idolon-helpers-1', helpers: [{ body: fill.body, why: 'A copy', cases: [...fill.cases] }] } })
    expect(copy).toMatchObject({ shipped: false, cases: fill.cases.length, body: { name: 'Fill out 2' } })
    await server.call(deleteHelper, { params: { helper: copy!.id } })
    expect((await server.ask(readHelper, { params: { helper: copy!.id } })).status).toBe(404)
    expect(await server.call(listBin)).toMatchObject([{ kind: 'helper', id: copy!.id, name: 'Fill out 2' }])
    await server.call(restoreFromBin, { params: { kind: 'helper', id: copy!.id } })
    expect((await server.call(readHelper, { params: { helper: copy!.id } })).cases).toHaveLength(fill.cases.length)
    expect((await server.ask(deleteHelper, { params: { helper: 'explain' } })).status).toBe(409)
  })

  it('have cases that are added, changed and taken away', async () => {
    const id = randomUUID()
    const one = { ...fill.cases[0]!, name: 'Mine' }
    const params = { helper: 'tighten', case: id }
    const before = (await server.call(readHelper, { params: { helper: 'tighten' } })).cases.length
    await server.call(saveCase, { params, body: one })
    const saved = await server.call(saveCase, { params, body: { ...one, name: 'Mine, changed' } })
    expect(saved.cases.map((each) => each.case.name)).toContain('Mine, changed')
    expect((await server.call(removeCase, { params })).cases).toHaveLength(before)
  })
})

describe('cases', () => {
  it('are run on two versions: passes, failures to read, cost, and what a changed instruction broke', async () => {
    const { body } = fill
    await server.call(saveHelperVersion, { params: { helper: fill.id }, body: { body: { ...body, instruction: 'Fill this out:\n\n{{ prompt }}' }, why: 'Shorter', use: false } })
    const project = await server.project()
    const run = await ended(await server.call(startCaseRun, { params: { helper: fill.id }, body: { id: randomUUID(), projectId: project.id, sides: [{ version: 1, model: 'flourish' }, { version: 2, model: 'flourish' }], seed: 3 } }))
    const passed = (side: number) => run.results.filter((result) => result.side === side && result.passed).length
    expect(run.results).toHaveLength(2 * fill.cases.length)
    expect(passed(0)).toBeGreaterThan(passed(1))
    const failure = run.results.find(({ side, passed: ok }) => side === 1 && ok === false)!
    expect(failure.verdicts.filter(({ pass }) => !pass).map(({ says }) => says).join('')).not.toBe('')
    expect(failure.answer).not.toBe('')
    expect(run.results.every(({ cost }) => (cost ?? 0) > 0)).toBe(true)
    expect((await server.call(listCaseRuns, { params: { helper: fill.id } }))[0]?.id).toBe(run.id)
  })

  it('are stopped half way; what waited costs nothing', async () => {
    await standin.set({ delayMs: 100 })
    const project = await server.project()
    const run = await server.call(startCaseRun, { params: { helper: fill.id }, body: { id: randomUUID(), projectId: project.id, sides: [{ version: 1, model: 'quoin' }], seed: 3 } })
    await sleep(900)
    await server.call(stopCaseRun, { params: { run: run.id } })
    const stopped = await ended(run)
    await standin.set({ delayMs: 0 })
    expect(stopped.stoppedAt).not.toBeNull()
    expect(stopped.results.filter(({ state, cost }) => state === 'stopped' && cost === 0).length).toBeGreaterThan(0)
  })
})
