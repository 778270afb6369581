import { listEngines, type Problem, removeEngine, saveEngine, startRun } from '@idolon/contract'
import { type EngineProfile, SHIPPED_ENGINES } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const list = () => server.call(listEngines)
const at = ({ id, revision }: Pick<EngineProfile, 'id' | 'revision'>) => ({ engine: id, revision })
const [burin] = SHIPPED_ENGINES as [EngineProfile]
const own: EngineProfile = { ...burin, id: 'press', name: 'Press', simulated: true, notes: 'Ours.' }

describe('engines', () => {
  it('ship with Idolon, are changed, and have the changes taken back', async () => {
    expect((await list()).map(({ profile, origin, connected }) => [profile.id, origin, connected])).toEqual(SHIPPED_ENGINES.map(({ id }) => [id, 'shipped', true]))
    await server.call(saveEngine, { params: at(burin), body: { ...burin, notes: 'Slow on Mondays.' } })
    expect((await list())[0]).toMatchObject({ origin: 'changed', connected: true, profile: { notes: 'Slow on Mondays.' } })
    await server.call(removeEngine, { params: at(burin) })
    expect((await list())[0]).toMatchObject({ origin: 'shipped', profile: { notes: burin.notes } })
    expect((await server.ask(removeEngine, { params: at(burin) })).status).toBe(404)
  })

  it('are added to be written for; a run on one that is not connected costs nothing', async () => {
    expect(await server.call(saveEngine, { params: at(own), body: own })).toMatchObject({ origin: 'own', connected: false, profile: { simulated: false } })
    const prompt = await server.prompt('a red fox, linocut')
    await server.edit(prompt.id, 1, { engines: { at: 0, remove: 1, insert: [{ engine: 'press' }] } })
    const { status, body } = await server.ask(startRun, { params: { prompt: prompt.id }, body: { id: randomUUID(), revision: 2 } })
    expect([status, (body as Problem).type]).toEqual([422, '/problems/not-connected'])
    await server.call(removeEngine, { params: at(own) })
    expect(await list()).toHaveLength(SHIPPED_ENGINES.length)
  })

  it('are refused with the place when their profile contradicts itself or is another’s', async () => {
    const wrong = { ...own, sizes: [{ aspectRatio: '3:2', width: 512, height: 512, cost: 1 }] }
    const { status, body } = await server.ask(saveEngine, { params: at(own), body: wrong })
    expect(status).toBe(422)
    expect((body as Problem).errors).toEqual([{ where: '/body/sizes/0', message: '512 by 512 pixels is not 3:2.' }])
    expect((await server.ask(saveEngine, { params: at(burin), body: own })).status).toBe(400)
    expect((await server.ask(saveEngine, { params: at(own), body: { ...own, sizes: [] } })).status).toBe(400)
    expect(await list()).toHaveLength(SHIPPED_ENGINES.length)
  })
})
