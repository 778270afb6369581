import { addTerms, listTerms, type OwnTerm, promptsThatSay, removeTerm } from '@idolon/contract'
import type { GlossaryEntry } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const entry = (term: string, does = 'It does something.'): GlossaryEntry => ({ term, facet: 'light', does })
const add = (projectId: string | null, ...entries: GlossaryEntry[]) => server.call(addTerms, { body: { projectId, entries } })
const terms = (list: OwnTerm[]) => list.map(({ entry: { term, does } }) => [term, does])

describe('own terms', () => {
  it('are of one project or of all, and one is replaced by another of its name', async () => {
    const { id } = await server.project()
    await add(null, entry('mill light'))
    await add(id, entry('kiln glow'), entry('soot light'))
    await add(id, entry('Kiln  glow', 'Red from below.'))
    expect(terms(await server.call(listTerms, { query: { project: id } }))).toEqual([['mill light', 'It does something.'], ['Kiln glow', 'Red from below.'], ['soot light', 'It does something.']])
    const [all] = await server.call(listTerms)
    await server.call(removeTerm, { params: { term: all!.id } })
    expect(await server.call(listTerms)).toEqual([])
    expect((await server.ask(removeTerm, { params: { term: all!.id } })).status).toBe(404)
  })

  it('are taken in all or not at all', async () => {
    const { id } = await server.project()
    const before = (await server.call(listTerms, { query: { project: id } })).length
    expect((await server.ask(addTerms, { body: { projectId: id, entries: [entry('one'), entry('One')] } })).status).toBe(400)
    expect((await server.ask(addTerms, { body: { projectId: id, entries: [entry('one'), { term: 'two', facet: 'smell', does: 'x' } as never] } })).status).toBe(400)
    expect((await server.ask(addTerms, { body: { projectId: randomUUID(), entries: [entry('one')] } })).status).toBe(404)
    expect(await server.call(listTerms, { query: { project: id } })).toHaveLength(before)
  })

  it('are found in the prompts that say them, as whole words', async () => {
    const { id } = await server.project()
    await server.prompt('a fox in Side-Light, gouache', id)
    await server.prompt('a hare in sidelights at dusk', id)
    await server.prompt('an inside lighthouse', id)
    const found = await server.call(promptsThatSay, { query: { words: 'side light\nsidelight', project: id } })
    expect(found.total).toBe(2)
    expect(found.rows.map(({ excerpt }) => excerpt)).toEqual(['a hare in sidelights at dusk', 'a fox in Side-Light, gouache'])
    expect((await server.call(promptsThatSay, { query: { words: '(.*', project: id } })).total).toBe(0)
  })
})
