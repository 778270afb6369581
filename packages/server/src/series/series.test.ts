import { addPart, changeProof, changeScene, changeSeries, deletePart, deleteScene, deleteSeries, duplicateScene, joinScene, listBin, listSeries, type Part, previewPart, priceScenes, restoreFromBin, readContinuity, readPrompt, readRun, readSceneOffers, readSeries, runScenes, type Series, setMoney, splitScene, splitStory, takeSceneOffers } from '@idolon/contract'
import { blankPart, type PartBody, type SceneBody } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { aSeries, orla, renewPart, STORY } from '../testing/a-series.ts'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const begun = () => aSeries(server)
const renew = (part: Part, body: Partial<PartBody>) => renewPart(server, part, body)
const texts = ({ scenes }: Series) => scenes.map(({ text }) => text)

describe('a series', () => {
  it('begins with a story that is split, and scenes that are composed from their parts', async () => {
    const split = await server.call(splitStory, { body: { story: STORY } })
    expect(split.scenes.map(({ cast, place, moment }) => [cast, place?.text, moment?.text])).toEqual([[['Orla'], 'mill', 'dawn'], [['Orla', 'heron'], 'lake', 'evening']])
    expect((await server.call(splitStory, { body: { story: STORY, starts: [39] } })).scenes).toHaveLength(2)
    const { series, projectId } = await begun()
    expect(texts(series)).toEqual(['A tall miller with a grey braid in a floury apron fills sacks, in a stone mill, at dawn. Linocut, two colours.', 'A tall miller with a grey braid in a floury apron rows, on a lake, in the evening. Linocut, two colours.'])
    expect(series.scenes[0]!.leaveOut).toEqual(['beard'])
    expect((await server.call(listSeries, { query: { project: projectId } }))[0]).toMatchObject({ name: 'The Mill', scenes: 2, chosen: 0 })
    expect(await server.call(readPrompt, { params: { prompt: series.scenes[1]!.promptId } })).toMatchObject({ title: 'The Mill: Orla rows' })
  })

  it('follows a change of a scene into its text, but not over what was written by hand', async () => {
    const { series } = await begun()
    const [scene] = series.scenes
    const change = (body: Partial<SceneBody>, anew?: true) => server.call(changeScene, { params: { scene: scene!.id }, body: { body: { ...scene!.body, ...body }, ...(anew ? { anew } : {}) } })
    expect((await change({ cast: [{ part: scene!.body.cast[0]!.part, variants: ['v2'] }] })).scenes[0]!.text).toContain('in a blue coat fills sacks')
    const { draft, revision } = await server.call(readPrompt, { params: { prompt: scene!.promptId } })
    const at = draft.text.indexOf('fills sacks')
    await server.edit(scene!.promptId, revision, { text: [{ from: at, to: at + 11, insert: 'sleeps on sacks' }] })
    const own = await change({ words: 'Orla counts sacks' })
    expect(own.scenes[0]).toMatchObject({ apart: true, text: expect.stringContaining('sleeps on sacks') as string })
    expect((await change({ words: 'Orla counts sacks' }, true)).scenes[0]).toMatchObject({ apart: false, text: expect.stringContaining('counts sacks') as string })
  })

  it('offers a changed character to every scene, marks what is stale, and alters nothing that was kept', async () => {
    const { id, who, series } = await begun()
    const run = await server.ended(await server.run(series.scenes[0]!.promptId, series.scenes[0]!.revision))
    const proof = run.proofs[0]!.id
    await server.call(changeProof, { params: { proof }, body: { verdict: 'keep' } })
    expect((await server.call(changeScene, { params: { scene: series.scenes[0]!.id }, body: { chosen: proof } })).scenes[0]).toMatchObject({ chosen: { id: proof }, stale: false })
    const at = series.scenes[1]!.text.indexOf('with a grey braid')
    await server.edit(series.scenes[1]!.promptId, series.scenes[1]!.revision, { text: [{ from: at, to: at + 17, insert: 'with a cropped head' }] })
    const body = { ...who.body, says: [{ key: 'p1', text: 'a tall miller' }, { key: 'p2', text: 'with two black braids' }] }
    const preview = await server.call(previewPart, { params: { series: id }, body: { part: who.id, body } })
    expect(preview.map(({ changed, overrides, stales }) => [changed, overrides, stales])).toEqual([[[{ before: 'with a grey braid', after: 'with two black braids' }], [], true], [[], [{ given: 'with a grey braid', text: null }], false]])
    expect(await server.call(readSceneOffers, { params: { series: id } })).toEqual([])
    await renew(who, body)
    const offers = await server.call(readSceneOffers, { params: { series: id } })
    expect((await server.call(readSeries, { params: { series: id } })).scenes.map(({ behind, overrides }) => [behind.length, overrides.map(({ given }) => given)])).toEqual([[1, []], [1, ['with a grey braid']]])
    const { taken, series: after } = await server.call(takeSceneOffers, { params: { series: id }, body: { take: [{ sceneId: offers[0]!.sceneId, partId: who.id, revision: offers[0]!.revision }], leave: [{ sceneId: offers[1]!.sceneId, partId: who.id }] } })
    expect(taken).toBe(1)
    expect(after.scenes[0]).toMatchObject({ stale: true, behind: [], text: expect.stringContaining('with two black braids in a floury apron') as string })
    expect(after.scenes[0]!.chosen!.output.text).toContain('grey braid')
    expect(await server.call(readSceneOffers, { params: { series: id } })).toEqual([])
  })

  it('tries scenes together: all of them or, over the ceiling, none; what comes lands at its scene', async () => {
    const { id, projectId, series } = await begun()
    const list = series.scenes.map((scene) => ({ sceneId: scene.id, run: randomUUID(), revision: scene.revision }))
    const { costs, proofs } = await server.call(priceScenes, { params: { series: id }, body: { scenes: list.map(({ sceneId }) => sceneId) } })
    expect(proofs).toBeGreaterThan(1)
    const money = (amount: number) => server.call(setMoney, { params: { project: projectId }, body: { currency: 'EUR', rates: [], ceiling: { unit: costs[0]!.unit, amount } } })
    const run = () => server.ask(runScenes, { params: { series: id }, body: { scenes: list } })
    await money(costs[0]!.amount - 1)
    expect((await run()).body).toMatchObject({ type: '/problems/over-ceiling' })
    expect((await server.call(readSeries, { params: { series: id } })).scenes.map(({ coming }) => coming)).toEqual([0, 0])
    await money(costs[0]!.amount)
    expect((await run()).status).toBe(200)
    expect((await run()).status).toBe(200)
    for (const one of list) await server.ended(await server.call(readRun, { params: { run: one.run } }))
    const after = await server.call(readSeries, { params: { series: id } })
    expect(after.scenes.map(({ proofs: n, coming, newest }) => [n, coming, newest?.state])).toEqual([[proofs / 2, 0, 'stored'], [proofs / 2, 0, 'stored']])
  })

  it('says where it does not hold together, with a fix that holds', async () => {
    const { id, series } = await begun()
    expect((await server.call(readContinuity, { params: { series: id } })).slips).toEqual([])
    const [first, second] = series.scenes
    await server.call(changeScene, { params: { scene: second!.id }, body: { body: { ...second!.body, moment: 'noon' } } })
    await server.call(changeScene, { params: { scene: first!.id }, body: { body: { ...first!.body, moment: 'evening' } } })
    const { slips } = await server.call(readContinuity, { params: { series: id } })
    expect(slips).toMatchObject([{ kind: 'time', sceneId: second!.id, againstId: first!.id, reason: 'It is noon after evening, and nothing says that it is another day.' }])
    // Let stand with a reason, it is still told, and comes back when it is looked at again.
    const { kind, reason } = slips[0]!
    await server.call(changeScene, { params: { scene: second!.id }, body: { body: { ...second!.body, moment: 'noon', dismissed: [{ kind, reason, because: 'She dreams it.' }] } } })
    expect((await server.call(readContinuity, { params: { series: id } })).slips).toMatchObject([{ kind, dismissed: 'She dreams it.' }])
    await server.call(changeScene, { params: { scene: second!.id }, body: { body: slips[0]!.fix!.body! } })
    expect((await server.call(readContinuity, { params: { series: id } })).slips).toEqual([])
  })

  it('offers the first words of somebody who had none to the scenes they are in', async () => {
    const { id, projectId, series } = await begun()
    const mute = await server.call(addPart, { body: { id: randomUUID(), projectId, body: blankPart('character', 'Pim'), why: '' } })
    const [scene] = series.scenes
    await server.call(changeScene, { params: { scene: scene!.id }, body: { body: { ...scene!.body, words: 'Orla fills sacks beside Pim', cast: [...scene!.body.cast, { part: mute.id, variants: [] }] } } })
    expect(await server.call(readSceneOffers, { params: { series: id } })).toEqual([])
    await renew(mute, { says: [{ key: 'p1', text: 'small dog' }] })
    const [offer, ...more] = await server.call(readSceneOffers, { params: { series: id } })
    expect(more).toEqual([])
    expect(offer).toMatchObject({ partId: mute.id, changed: [{ before: '', after: 'a small dog' }] })
    const { series: after } = await server.call(takeSceneOffers, { params: { series: id }, body: { take: [{ sceneId: offer!.sceneId, partId: mute.id, revision: offer!.revision }], leave: [] } })
    expect(after.scenes[0]).toMatchObject({ behind: [], text: expect.stringContaining('fills sacks beside a small dog') as string })
  })

  it('takes passages along with the story, and says which scenes a rewriting touches', async () => {
    const { id, series } = await begun()
    const change = (story: string, revision: number) => server.ask(changeSeries, { params: { series: id }, body: { revision, story } })
    expect((await change(`Once. ${STORY.replace('lake', 'wide lake')}`, series.revision)).status).toBe(200)
    const { scenes, revision, story } = await server.call(readSeries, { params: { series: id } })
    expect(scenes.map(({ story: range, touched }) => [story.slice(range!.start, range!.end), touched])).toEqual([[STORY.slice(0, 48), false], [STORY.slice(50).replace('lake', 'wide lake'), true]])
    expect((await change('other', revision - 1)).body).toMatchObject({ type: '/problems/draft-moved' })
    await change('Another story.', revision)
    expect((await server.call(readSeries, { params: { series: id } })).scenes).toHaveLength(2)
  })

  it('is reordered, split, joined, doubled and emptied, and everything comes back out of the bin', async () => {
    const { id, series, who } = await begun()
    const [a, b] = series.scenes.map((scene) => scene.id)
    const ordered = await server.call(changeSeries, { params: { series: id }, body: { revision: series.revision, order: [b!, a!] } })
    expect(ordered.scenes.map((scene) => scene.id)).toEqual([b, a])
    expect((await server.ask(changeSeries, { params: { series: id }, body: { revision: ordered.revision, order: [a!] } })).status).toBe(409)
    const second = randomUUID()
    const split = await server.call(splitScene, { params: { scene: a! }, body: { id: second, at: 39 } })
    expect(split.scenes.map(({ id: one, story }) => [one, STORY.slice(story!.start, story!.end)])).toEqual([[b, STORY.slice(50)], [a, 'At dawn Orla filled sacks in the mill.'], [second, 'She sang.']])
    expect((await server.ask(splitScene, { params: { scene: a! }, body: { id: randomUUID(), at: 0 } })).status).toBe(400)
    const joined = await server.call(joinScene, { params: { scene: a! } })
    expect(joined.scenes.map(({ id: one, story }) => [one, story && story.end - story.start])).toEqual([[b, STORY.length - 50], [a, 48]])
    const copy = randomUUID()
    expect((await server.call(duplicateScene, { params: { scene: b! }, body: { id: copy } })).scenes.map((scene) => scene.id)).toEqual([b, copy, a])
    await server.call(deleteScene, { params: { scene: copy } })
    await server.call(deletePart, { params: { part: who.id } })
    expect((await server.call(readSeries, { params: { series: id } })).scenes[0]!.text).toContain('tall miller')
    await server.call(deleteSeries, { params: { series: id } })
    const bin = await server.call(listBin)
    expect(bin.filter(({ kind }) => kind === 'series' || kind === 'part').map(({ name }) => name)).toEqual(expect.arrayContaining(['The Mill', 'Orla']))
    await server.call(restoreFromBin, { params: { kind: 'series', id } })
    await server.call(restoreFromBin, { params: { kind: 'scene', id: copy } })
    await server.call(restoreFromBin, { params: { kind: 'part', id: who.id } })
    const back = await server.call(readSeries, { params: { series: id } })
    expect(back.scenes).toHaveLength(3)
    expect(back.parts).toHaveLength(3)
    expect((await server.call(readPrompt, { params: { prompt: back.scenes[0]!.promptId } })).deletedAt).toBeNull()
  })

  it('refuses a part that contradicts itself, and one of another project', async () => {
    const { projectId, id } = await begun()
    expect((await server.ask(addPart, { body: { id: randomUUID(), projectId, body: { ...orla, never: ['braid'] }, why: '' } })).body).toMatchObject({ detail: expect.stringMatching(/must never be said/) as string })
    expect((await server.ask(changeSeries, { params: { series: id }, body: { revision: 0, style: randomUUID() } })).status).toBe(404)
  })
})
