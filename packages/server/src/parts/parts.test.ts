import { addPart, makeSheet, previewPart, readPart, readPrompt, readSceneOffers, readSheetLists, searchShelf, takeSceneOffers } from '@idolon/contract'
import { blankPart, SHEET_TAG, sheetPlaces } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { aSeries, renewPart } from '../testing/a-series.ts'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

describe('a character', () => {
  it('says in which series it is, and gets a sheet that a trial plan can go through', async () => {
    const { who, where, style, id, projectId } = await aSeries(server)
    const { promptId } = await server.call(makeSheet, { params: { part: who.id }, body: { style: style.id } })
    const lists = await server.call(readSheetLists, { params: { part: who.id } })
    expect(lists.map(({ name }) => name)).toEqual(['pose', 'expression', 'dress', 'angle'])
    const { draft, tags } = await server.call(readPrompt, { params: { prompt: promptId } })
    expect(draft.text).toMatch(/^A tall miller with a grey braid in a floury apron, standing upright, a calm face, seen from the front, on a plain pale ground\..* Linocut, two colours\.$/)
    expect([tags, draft.leaveOut]).toEqual([[SHEET_TAG], ['beard']])
    const places = sheetPlaces(draft.text, lists)
    expect(places.map(({ start, end, options }) => draft.text.slice(start, end) === options[0])).toEqual([true, true, true, true])
    expect(await server.call(readPart, { params: { part: who.id } })).toMatchObject({ series: [{ id, name: 'The Mill', scenes: 2 }], sheets: [{ promptId, title: 'Orla: sheet' }] })
    expect((await server.ask(makeSheet, { params: { part: where.id }, body: { style: null } })).status).toBe(400)
    const mute = await server.call(addPart, { body: { id: randomUUID(), projectId, body: blankPart('character', 'Pim'), why: '' } })
    expect((await server.ask(makeSheet, { params: { part: mute.id }, body: { style: null } })).body).toMatchObject({ detail: expect.stringMatching(/Nothing is said of Pim yet/) as string })
  })

  it('has a picture that goes along, which every scene is offered, though no word changes', async () => {
    const { who, id } = await aSeries(server)
    const references = [{ reference: 'a'.repeat(64), role: 'person' as const, strength: 60 }]
    const preview = await server.call(previewPart, { params: { series: id }, body: { part: who.id, body: { ...who.body, references } } })
    expect(preview.map(({ changed, besides }) => [changed, besides])).toEqual([[[], ['reference pictures']], [[], ['reference pictures']]])
    await renewPart(server, who, { references })
    const offers = await server.call(readSceneOffers, { params: { series: id } })
    const { series } = await server.call(takeSceneOffers, { params: { series: id }, body: { take: offers.map(({ sceneId, partId, revision }) => ({ sceneId, partId, revision })), leave: [] } })
    expect((await server.call(readPrompt, { params: { prompt: series.scenes[1]!.promptId } })).draft.references).toEqual(references)
  })

  it('is what the Shelf finds prompts by', async () => {
    const { who, where, series, projectId } = await aSeries(server)
    const found = async (part: string) => (await server.call(searchShelf, { query: { part, project: projectId, each: true } })).rows.map(({ id }) => id)
    await expect.poll(() => found(who.id)).toHaveLength(2)
    expect(await found(where.id)).toEqual([series.scenes[0]!.promptId])
    expect(await found(randomUUID())).toEqual([])
  })
})
