import { changeProof, changeVersion, createPrompt, listVersions, readPrompt, saveEdits } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const versionsOf = (prompt: string) => server.call(listVersions, { params: { prompt } })
/** A prompt tried twice: version 1 “a fox” with seed 5, version 2 “a fox at dusk” with seed 9. */
async function triedTwice() {
  const { id } = await server.prompt('a fox')
  await server.edit(id, 1, { settings: { count: 1, seed: 5 } })
  const first = await server.ended(await server.run(id, 2))
  await server.edit(id, 3 - 1, { text: [{ from: 5, to: 5, insert: ' at dusk' }], settings: { seed: 9 } })
  const second = await server.ended(await server.run(id, 3))
  return { id, first, second }
}

describe('versions', () => {
  it('go on from an old one: the next remembers its parent, and nothing of the newer is lost', async () => {
    const { id } = await triedTwice()
    const edits = [{ text: [{ from: 5, to: 13, insert: ' in snow' }] }]
    await server.call(saveEdits, { params: { prompt: id }, body: { client: randomUUID(), first: 1, base: 3, edits, goOnFrom: 1 } })
    expect((await server.call(readPrompt, { params: { prompt: id } })).parent).toBe(1)
    await server.ended(await server.run(id, 4))
    expect((await versionsOf(id)).map(({ number, parent, body }) => [number, parent, body.text])).toEqual([
      [3, 1, 'a fox in snow'],
      [2, 1, 'a fox at dusk'],
      [1, null, 'a fox'],
    ])
  })

  it('are not made anew when the draft is back at the one it goes on from', async () => {
    const { id } = await triedTwice()
    await server.edit(id, 3, { text: [{ from: 0, to: 1, insert: 'one' }] })
    await server.edit(id, 4, { text: [{ from: 0, to: 3, insert: 'a' }] })
    expect((await server.ended(await server.run(id, 5))).version).toBe(2)
    expect(await versionsOf(id)).toHaveLength(2)
  })

  it('keep a line on why they were made, and nothing else can be changed', async () => {
    const { id } = await triedTwice()
    const [version] = await versionsOf(id)
    expect(await server.call(changeVersion, { params: { version: version!.id }, body: { why: 'the light was dull' } })).toMatchObject({ why: 'the light was dull', number: 2 })
    const { status } = await server.ask(changeVersion, { params: { version: version!.id }, body: { why: '', body: { text: 'else' } } as never })
    expect(status).toBe(400)
    expect((await server.ask(changeVersion, { params: { version: randomUUID() }, body: { why: 'x' } })).status).toBe(404)
  })
})

describe('reuse', () => {
  it('takes the version of the best proof, with the engine and settings it was made with, and remembers it', async () => {
    const { id, first } = await triedTwice()
    await server.call(changeProof, { params: { proof: first.proofs[0]!.id }, body: { verdict: 'keep' } })
    const other = await server.project()
    const copy = await server.call(createPrompt, { body: { projectId: other.id, from: { promptId: id } } })
    expect(copy).toMatchObject({ projectId: other.id, copiedFrom: { promptId: id, version: 1 }, draft: { text: 'a fox', settings: { seed: 5 } }, versions: 0, proofs: 0 })
  })

  it('takes the newest version when no proof is kept, the one asked for when one is, the draft when there is none', async () => {
    const { id } = await triedTwice()
    const { projectId } = await server.call(readPrompt, { params: { prompt: id } })
    const copied = async (from: { promptId: string; versionId?: string }) => (await server.call(createPrompt, { body: { projectId, from } })).draft.text
    expect(await copied({ promptId: id })).toBe('a fox at dusk')
    expect(await copied({ promptId: id, versionId: (await versionsOf(id))[1]!.id })).toBe('a fox')
    const untried = await server.prompt('a hare')
    expect(await copied({ promptId: untried.id })).toBe('a hare')
  })

  it('refuses a version of another prompt, and leaves no prompt behind', async () => {
    const [mine, theirs] = [await triedTwice(), await triedTwice()]
    const project = await server.project()
    const { status } = await server.ask(createPrompt, { body: { projectId: project.id, from: { promptId: mine.id, versionId: (await versionsOf(theirs.id))[0]!.id } } })
    expect(status).toBe(404)
    expect(await server.db('prompts').where({ project_id: project.id })).toEqual([])
  })
})
