import { changePrompt, createPrompt, readPrompt } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

describe('a prompt', () => {
  it('starts ready to be tried: with an engine, a ratio and a number of results', async () => {
    const project = await server.project()
    const { draft, status, revision } = await server.call(createPrompt, { body: { projectId: project.id } })
    expect({ draft, status, revision }).toMatchObject({ status: 'rough', revision: 0, draft: { text: '', engines: [{ engine: 'burin' }], settings: { aspectRatio: '3:2', count: 4 } } })
  })

  it('keeps tags as they were typed, each once and without stray spaces', async () => {
    const { id } = await server.prompt('a fox')
    const { tags } = await server.call(changePrompt, { params: { prompt: id }, body: { tags: [' winter', 'winter', 'Night', ' '] } })
    expect([...tags].sort()).toEqual(['Night', 'winter'])
  })

  it('changes only what was sent', async () => {
    const { id } = await server.prompt('a fox')
    await server.call(changePrompt, { params: { prompt: id }, body: { note: 'for the cover', status: 'testing' } })
    expect(await server.call(changePrompt, { params: { prompt: id }, body: { title: 'Cover' } })).toMatchObject({ note: 'for the cover', status: 'testing', title: 'Cover' })
    expect(await server.call(changePrompt, { params: { prompt: id }, body: { title: ' ' } })).toMatchObject({ title: 'a fox', named: false })
  })

  it('takes only a proof of its own as its best', async () => {
    const [mine, other] = [await server.prompt('a fox'), await server.prompt('a hare')]
    const run = await server.ended(await server.run(other.id, 1))
    const take = (bestProofId: string | null) => server.ask(changePrompt, { params: { prompt: mine.id }, body: { bestProofId } })
    expect((await take(run.proofs[0]!.id)).status).toBe(404)
    expect((await take(randomUUID())).status).toBe(404)
    expect((await take(null)).status).toBe(200)
    expect((await server.call(readPrompt, { params: { prompt: mine.id } })).bestProof).toBeNull()
  })

  it('is not made in a project that is not there, nor from a prompt that is not', async () => {
    expect((await server.ask(createPrompt, { body: { projectId: randomUUID() } })).status).toBe(404)
    const project = await server.project()
    expect((await server.ask(createPrompt, { body: { projectId: project.id, from: { promptId: randomUUID() } } })).status).toBe(404)
  })
})
