import { addComments, countPhrases, changeProofs, listClientSheets, makeClientSheet, readProof } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

it('goes out as PDF, and comments come back by number', async () => {
  const { id } = await server.prompt('a red fox at dusk')
  await server.edit(id, 1, { settings: { count: 3 } })
  const { proofs } = await server.ended(await server.run(id, 2))
  const order = [proofs[2]!.id, proofs[0]!.id]
  const sheet = await server.call(makeClientSheet, { body: { id: randomUUID(), title: 'Foxes, first round', proofs: order, captions: ['title', 'seed'], prompts: true } })
  const pdf = await fetch(`${server.address}/api/client-sheets/${sheet.id}.pdf`)
  expect(pdf.headers.get('content-type')).toBe('application/pdf')
  expect(Buffer.from(await pdf.arrayBuffer()).subarray(0, 5).toString()).toBe('%PDF-')
  expect(await server.call(addComments, { params: { sheet: sheet.id }, body: { text: '1: darker\n9: not there\n2. lovely' } })).toEqual({ added: 2, unplaced: ['9: not there'] })
  expect((await server.call(readProof, { params: { proof: proofs[2]!.id } })).note).toBe('darker')
  expect((await server.call(listClientSheets, {}))[0]?.proofs).toEqual(order)
  expect((await server.ask(makeClientSheet, { body: { id: randomUUID(), title: 'x', proofs: [randomUUID()], captions: [], prompts: false } })).status).toBe(404)
})

it('counts kept of tried for a phrase, whatever its case and articles', async () => {
  const prompt = await server.prompt('A red fox at dusk, low angle')
  await server.edit(prompt.id, 1, { settings: { count: 3 } })
  const { proofs } = await server.ended(await server.run(prompt.id, 2))
  await server.call(changeProofs, { body: { proofs: [proofs[0]!.id], verdict: 'keep' } })
  await server.call(changeProofs, { body: { proofs: [proofs[1]!.id], verdict: 'drop' } })
  const counts = () => server.call(countPhrases, { params: { project: prompt.projectId }, body: { phrases: ['Low angle', 'a barn'] } })
  await expect.poll(counts).toEqual([{ phrase: 'Low angle', engine: 'burin', revision: '2', kept: 1, tried: 2 }])
})
