import { addJudgement, changeProofs, countFaultsOf, judgementsOf, type Proof, readPrompt, readSheet, takeBackJudgement } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

async function proofs(count: number): Promise<Proof[]> {
  const { id } = await server.prompt('a red fox at dusk')
  await server.edit(id, 1, { settings: { count } })
  return (await server.ended(await server.run(id, 2))).proofs
}
const judge = (left: Proof, right: Proof, better: 'left' | 'right' | null) => server.call(addJudgement, { body: { id: randomUUID(), left: left.id, right: right.id, better } })

describe('judging blind', () => {
  it('adds up over sittings, and the best judged keeper becomes the best proof', async () => {
    const [a, b, c] = (await proofs(3)) as [Proof, Proof, Proof]
    await server.call(changeProofs, { body: { proofs: [a.id, b.id, c.id], verdict: 'keep' } })
    await judge(a, b, 'right')
    await judge(b, c, 'left')
    const last = await judge(c, a, null)
    expect(await server.call(judgementsOf, { body: { proofs: [a.id, b.id, c.id] } })).toHaveLength(3)
    expect(await server.call(judgementsOf, { body: { proofs: [a.id, b.id] } })).toHaveLength(1)
    await expect.poll(async () => (await server.call(readPrompt, { params: { prompt: a.promptId } })).bestProof?.id).toBe(b.id)
    await server.call(takeBackJudgement, { params: { judgement: last.id } })
    expect(await server.call(judgementsOf, { body: { proofs: [a.id, c.id] } })).toHaveLength(0)
    expect((await server.ask(addJudgement, { body: { id: randomUUID(), left: a.id, right: a.id, better: null } })).status).toBe(400)
  })
})

describe('many proofs at once', () => {
  it('get a verdict, faults and a note, and go to the bin and back', async () => {
    const list = await proofs(4)
    const ids = list.map(({ id }) => id)
    const sheet = async (query: object = {}) => server.call(readSheet, { query: { prompt: list[0]!.promptId, ...query } as never })
    expect(await server.call(changeProofs, { body: { proofs: ids, verdict: 'drop', addFaults: ['clutter', 'extra-people'], note: 'too busy' } })).toEqual({ changed: 4 })
    await server.call(changeProofs, { body: { proofs: ids.slice(0, 1), verdict: null, removeFaults: ['clutter'], note: 'and dark' } })
    const { proofs: now } = await sheet()
    expect(now.map(({ verdict, faults, note }) => [verdict, faults, note])).toEqual([[null, ['extra-people'], 'too busy\nand dark'], ...Array.from({ length: 3 }, () => ['drop', ['clutter', 'extra-people'], 'too busy'])])
    expect((await sheet({ fault: 'clutter', verdict: 'drop' })).total).toBe(3)
    expect((await sheet({ fault: 'none' })).total).toBe(0)
    const counts = await server.call(countFaultsOf, { query: { project: list[0]!.projectId } })
    expect(counts).toContainEqual({ engine: 'burin', revision: '2', fault: 'extra-people', count: 4, of: 4 })
    await server.call(changeProofs, { body: { proofs: ids.slice(0, 2), deleted: true } })
    expect((await sheet()).total).toBe(2)
    await server.call(changeProofs, { body: { proofs: ids.slice(0, 2), deleted: false } })
    expect((await sheet()).total).toBe(4)
  })
})
