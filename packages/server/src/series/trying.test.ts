import { changeSeries, chooseProofs, deleteScene, priceScenes, restoreFromBin, readNear, readRun, readSeries, runScenes, stopScenes } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
import { unzipSync } from 'fflate'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { aSeries } from '../testing/a-series.ts'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

describe('the scenes of a series', () => {
  it('are tried in several aspect ratios, chosen together in their own, and delivered in those', async () => {
    const { id, series } = await aSeries(server)
    const list = series.scenes.map((scene) => ({ sceneId: scene.id, run: randomUUID(), revision: scene.revision }))
    const own = series.scenes[0]!.aspectRatio!
    const ratios = ['3:2', '1:1']
    expect(ratios).toContain(own)
    const alone = await server.call(priceScenes, { params: { series: id }, body: { scenes: list.map(({ sceneId }) => sceneId) } })
    expect((await server.call(priceScenes, { params: { series: id }, body: { scenes: list.map(({ sceneId }) => sceneId), ratios } })).proofs).toBe(alone.proofs * 2)
    expect((await server.ask(priceScenes, { params: { series: id }, body: { scenes: [list[0]!.sceneId], ratios: ['7:5'] } })).body).toMatchObject({ detail: expect.stringMatching(/cannot be 7:5; it is one of/) as string })
    await server.call(runScenes, { params: { series: id }, body: { scenes: list, ratios } })
    for (const { run } of list) await server.ended(await server.call(readRun, { params: { run } }))
    const tried = await server.call(readSeries, { params: { series: id } })
    expect(tried.scenes.map(({ newest }) => newest!.output.settings['aspectRatio'])).toEqual([own, own])
    const chosen = tried.scenes.map((scene) => ({ sceneId: scene.id, proofId: scene.newest!.id }))
    expect((await server.ask(chooseProofs, { params: { series: id }, body: { chosen: [chosen[0]!, { ...chosen[1]!, proofId: chosen[0]!.proofId }] } })).status).toBe(404)
    expect((await server.call(readSeries, { params: { series: id } })).scenes.map((scene) => scene.chosen)).toEqual([null, null])
    expect((await server.call(chooseProofs, { params: { series: id }, body: { chosen } })).scenes.map((scene) => scene.chosen?.id)).toEqual(chosen.map(({ proofId }) => proofId))
    const zip = unzipSync(new Uint8Array(await (await fetch(`${server.address}/api/series/${id}/delivery/pictures.zip?ratios=1:1,16:9`)).arrayBuffer()))
    const said = new TextDecoder().decode(zip['where-they-come-from.txt'])
    expect(said).toMatch(/01-[a-z-]+-1x1\.png: The Mill, scene 1/)
    expect(said).toMatch(/01-[a-z-]+-16x9\.png: cut to 16:9 from 01-/)
  })

  it('stop together: what no engine was asked for yet costs nothing, what one has already still comes', async () => {
    const { id, series } = await aSeries(server)
    server.engine.answer = async (call, response) => {
      await sleep(600)
      await server.engine.giveAPicture(call, response)
    }
    const list = series.scenes.map((scene) => ({ sceneId: scene.id, run: randomUUID(), revision: scene.revision }))
    await server.call(runScenes, { params: { series: id }, body: { scenes: list, ratios: ['3:2', '1:1', '2:3', '16:9'] } })
    await sleep(250)
    await server.call(stopScenes, { params: { series: id } })
    const proofs = (await Promise.all(list.map(async ({ run }) => server.ended(await server.call(readRun, { params: { run } }))))).flatMap((run) => run.proofs)
    const count = (state: string) => proofs.filter((proof) => proof.state === state).length
    expect([count('stored') > 0, count('stopped') > 0, count('stored') + count('stopped')]).toEqual([true, true, proofs.length])
    expect((await server.call(readSeries, { params: { series: id } })).scenes.map(({ coming }) => coming)).toEqual([0, 0])
  })

  it('keep their proofs while they are reordered, and one of them is deleted, during a run', async () => {
    const { id, series } = await aSeries(server)
    const [a, b] = series.scenes.map((scene) => scene.id)
    const list = series.scenes.map((scene) => ({ sceneId: scene.id, run: randomUUID(), revision: scene.revision }))
    await server.call(runScenes, { params: { series: id }, body: { scenes: list } })
    const { revision } = await server.call(changeSeries, { params: { series: id }, body: { revision: series.revision, order: [b!, a!] } })
    await server.call(deleteScene, { params: { scene: b! } })
    const [first, second] = await Promise.all(list.map(async ({ run }) => server.ended(await server.call(readRun, { params: { run } }))))
    await server.call(restoreFromBin, { params: { kind: 'scene', id: b! } })
    const after = await server.call(readSeries, { params: { series: id } })
    const stored = (run: typeof first) => run!.proofs.filter(({ state }) => state === 'stored').length
    expect(after.scenes.map((scene) => [scene.id, scene.proofs])).toEqual([[b, stored(second)], [a, stored(first)]])
    expect(stored(first)).toBeGreaterThan(0)
    expect(after.revision).toBeGreaterThan(revision)
  })

  it('are never taken for one another, however much they have in common', async () => {
    const { series } = await aSeries(server)
    expect((await server.call(readNear, { params: { prompt: series.scenes[0]!.promptId } })).map(({ promptId }) => promptId)).not.toContain(series.scenes[1]!.promptId)
  })
})
