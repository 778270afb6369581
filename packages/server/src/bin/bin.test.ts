import { addTerms, changeProofs, deletePrompt, dropAside, removePhrase, keepPhrase, listAsides, listBin, listPhrases, listTerms, putAside, restoreFromBin, readPrompt, readProof, deleteForGood, removeTerm } from '@idolon/contract'
import { emptyDraft } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())
const inBin = async (kind: string) => (await server.call(listBin, {})).filter((entry) => entry.kind === kind)

describe('the bin', () => {
  it('gives back prompts, proofs, phrases and terms as they were', async () => {
    const prompt = await server.prompt('a red fox at dusk')
    const project = prompt.projectId
    await server.edit(prompt.id, 1, { settings: { count: 1 } })
    const [proof] = (await server.ended(await server.run(prompt.id, 2))).proofs
    await server.call(changeProofs, { body: { proofs: [proof!.id], deleted: true } })
    expect((await server.ask(readProof, { params: { proof: proof!.id } })).status).toBe(404)
    const [binned] = await inBin('proof')
    expect(binned).toMatchObject({ id: proof!.id, name: expect.stringMatching(/version 1, Burin 2/) as string, picture: proof!.picture!.sha256, removable: false })
    await server.call(restoreFromBin, { params: { kind: 'proof', id: proof!.id } })
    expect(await server.call(readProof, { params: { proof: proof!.id } })).toMatchObject({ id: proof!.id })

    await server.call(deletePrompt, { params: { prompt: prompt.id } })
    await server.call(restoreFromBin, { params: { kind: 'prompt', id: prompt.id } })
    expect(await server.call(readPrompt, { params: { prompt: prompt.id } })).toMatchObject({ deletedAt: null })

    const phrase = await server.call(keepPhrase, { params: { project }, body: { text: 'soft rim light', facet: 'light' } })
    await server.call(removePhrase, { params: { project, phrase: phrase.id! } })
    await server.call(restoreFromBin, { params: { kind: 'phrase', id: (await inBin('phrase'))[0]!.id } })
    expect((await server.call(listPhrases, { params: { project } })).map(({ text }) => text)).toEqual(['soft rim light'])

    const [term] = await server.call(addTerms, { body: { projectId: project, entries: [{ term: 'mill blue', facet: 'colour', does: 'The blue of the mill.' }] } })
    await server.call(removeTerm, { params: { term: term!.id } })
    await server.call(addTerms, { body: { projectId: project, entries: [{ term: 'Mill blue', facet: 'colour', does: 'Another.' }] } })
    const [gone] = await inBin('term')
    expect((await server.ask(restoreFromBin, { params: { kind: 'term', id: gone!.id } })).body).toMatchObject({ type: '/problems/name-taken' })
    expect(await inBin('term')).toHaveLength(1)
    expect(await server.call(listTerms, { query: { project } })).toHaveLength(1)
  })

  it('removes nothing before thirty days, and then all but what the ledger says', async () => {
    const prompt = await server.prompt('a red fox at dusk')
    await server.edit(prompt.id, 1, { settings: { count: 1 } })
    const [proof] = (await server.ended(await server.run(prompt.id, 2))).proofs
    await server.call(deletePrompt, { params: { prompt: prompt.id } })
    const remove = () => server.ask(deleteForGood, { params: { kind: 'prompt', id: prompt.id } })
    expect((await remove()).body).toMatchObject({ type: '/problems/not-now' })
    await server.db('prompts').where({ id: prompt.id }).update({ deleted_at: server.db.raw(`now() - interval '31 days'`) })
    expect((await inBin('prompt')).find(({ id }) => id === prompt.id)?.removable).toBe(true)
    expect((await remove()).status).toBe(204)
    expect((await inBin('prompt')).map(({ id }) => id)).not.toContain(prompt.id)
    expect((await server.ledgerOf(prompt.id)).totals).toEqual([{ unit: 'credit', amount: 4 }])
    expect(await server.db('proofs').where({ id: proof!.id }).first<{ picture: null }>('picture')).toEqual({ picture: null })
  })
})

describe('changes put aside', () => {
  it('are kept with the prompt until they are taken up', async () => {
    const { id } = await server.prompt('a fox')
    const aside = { id: randomUUID(), says: '+ low angle', edit: { text: [{ from: 5, to: 5, insert: ', low angle' }] } }
    const body = { base: { ...emptyDraft(), text: 'a fox' }, asides: [aside] }
    await server.call(putAside, { params: { prompt: id }, body })
    await server.call(putAside, { params: { prompt: id }, body })
    expect(await server.call(listAsides, { params: { prompt: id } })).toMatchObject([{ ...aside, base: { text: 'a fox' } }])
    await server.call(dropAside, { params: { aside: aside.id } })
    expect(await server.call(listAsides, { params: { prompt: id } })).toEqual([])
  })
})
