import { changePrompt, changeProof, removePhrase, keepPhrase, listPhrases, type ProjectPhrase } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const keep = (project: string, text: string, facet: ProjectPhrase['facet']) => server.call(keepPhrase, { params: { project }, body: { text, facet } })
const list = (project: string) => server.call(listPhrases, { params: { project } })

describe('phrases of a project', () => {
  it('are kept once each, newest first, and forgotten again', async () => {
    const { id } = await server.project()
    const first = await keep(id, ' patched   coat ', 'detail')
    await keep(id, 'reed-choked river', 'setting')
    expect((await keep(id, 'Patched coat', 'detail')).id).toBe(first.id)
    expect((await list(id)).map(({ text, facet }) => [text, facet])).toEqual([['reed-choked river', 'setting'], ['patched coat', 'detail']])
    await server.call(removePhrase, { params: { project: id, phrase: first.id! } })
    expect((await list(id)).map(({ text }) => text)).toEqual(['reed-choked river'])
    expect((await server.ask(removePhrase, { params: { project: id, phrase: first.id! } })).status).toBe(404)
  })

  it('come from proven prompts, with their source, as that prompt’s best words said them', async () => {
    const project = await server.project()
    const prompt = await server.prompt('an old ferryman, reed-choked river, gouache', project.id)
    expect(await list(project.id)).toEqual([])
    const run = await server.ended(await server.run(prompt.id, 1))
    await server.call(changeProof, { params: { proof: run.proofs[0]!.id }, body: { verdict: 'keep' } })
    // The draft goes on; what was kept said something else.
    await server.edit(prompt.id, 1, { text: [{ from: 0, to: 15, insert: 'a young heron' }] })
    const found = await list(project.id)
    expect(found.find(({ facet }) => facet === 'subject')).toEqual({ id: null, text: 'old ferryman', facet: 'subject', from: { promptId: prompt.id, title: expect.any(String) as string, keepers: 1 } })
    expect(found.map(({ facet }) => facet)).toEqual(expect.arrayContaining(['setting', 'medium']))
  })

  it('leave out what is switched off, and name what is kept only as kept', async () => {
    const project = await server.project()
    const prompt = await server.prompt('a red fox, birch forest, linocut', project.id)
    await server.edit(prompt.id, 1, { marks: { remove: [], add: [{ from: 11, to: 23, kind: 'off' }] } })
    await server.call(changePrompt, { params: { prompt: prompt.id }, body: { status: 'proven' } })
    await keep(project.id, 'Linocut', 'medium')
    const found = await list(project.id)
    expect(found.map(({ text, id }) => [text, id !== null])).toEqual([['Linocut', true], ['red fox', false]])
  })

  it('need words and a project', async () => {
    const { id } = await server.project()
    expect((await server.ask(keepPhrase, { params: { project: id }, body: { text: '  ', facet: 'mood' } })).status).toBe(400)
    expect((await server.ask(keepPhrase, { params: { project: randomUUID() }, body: { text: 'x', facet: 'mood' } })).status).toBe(404)
    expect((await server.ask(listPhrases, { params: { project: randomUUID() } })).status).toBe(404)
  })
})
