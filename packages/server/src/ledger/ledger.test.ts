import { askAgain, readLedger } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
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

describe('the ledger', () => {
  it('sets each proof’s cost aside before it is asked for and settles it after, newest entry first', async () => {
    const { id } = await server.prompt('a fox')
    await server.edit(id, 1, { settings: { count: 2 } })
    await server.ended(await server.run(id, 2))
    const { totals, entries } = await server.ledgerOf(id)
    expect(totals).toEqual([{ unit: 'credit', amount: 8 }])
    const kinds = entries.map(({ kind, amount }) => [kind, amount])
    expect(kinds).toHaveLength(4)
    expect(kinds.slice(2)).toEqual([['reserve', 4], ['reserve', 4]])
    expect(kinds.slice(0, 2)).toEqual([['settle', 0], ['settle', 0]])
    expect(entries[0]).toMatchObject({ promptId: id, promptTitle: 'a fox' })
  })

  it('gives back what a refused picture did not cost, and charges the second asking once', async () => {
    const { id } = await server.prompt('a fox')
    await server.edit(id, 1, { settings: { count: 1 } })
    server.engine.answer = (_call, response) => void response.writeHead(400).end()
    const run = await server.ended(await server.run(id, 2))
    expect((await server.ledgerOf(id)).totals).toEqual([{ unit: 'credit', amount: 0 }])
    server.engine.answer = undefined
    await server.call(askAgain, { params: { proof: run.proofs[0]!.id } })
    expect((await server.ended(run)).proofs.map(({ state }) => state)).toEqual(['stored'])
    expect((await server.ledgerOf(id)).totals).toEqual([{ unit: 'credit', amount: 4 }])
  })

  it('only ever grows: the database itself refuses to change or remove an entry', async () => {
    const { id } = await server.prompt('a fox')
    await server.ended(await server.run(id, 1))
    const before = (await server.ledgerOf(id)).entries
    await expect(server.db('ledger').where({ prompt_id: id }).update({ amount: 0 })).rejects.toThrow(/append|ledger/i)
    await expect(server.db('ledger').where({ prompt_id: id }).delete()).rejects.toThrow(/append|ledger/i)
    expect((await server.ledgerOf(id)).entries).toEqual(before)
  })

  it('is a project’s own', async () => {
    expect(await server.call(readLedger, { params: { project: (await server.project()).id } })).toEqual({ totals: [], entries: [] })
    expect((await server.ask(readLedger, { params: { project: randomUUID() } })).status).toBe(404)
  })
})
