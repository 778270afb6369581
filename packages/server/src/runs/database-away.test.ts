import { listProjects } from '@idolon/contract'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Cuttable } from '../testing/cuttable.ts'
import { picture as aPicture } from '../testing/fake-engine.ts'
import { TestServer } from '../testing/test-server.ts'

/** IDOLON_TEST_FULL=1 keeps the database away for the whole half minute. */
const AWAY_MS = process.env['IDOLON_TEST_FULL'] === '1' ? 30_000 : 4_000
let server: TestServer
let way: Cuttable
beforeAll(async () => {
  server = await TestServer.start(async (url) => (way = await Cuttable.to(url)).url)
})
afterAll(async () => {
  await server.stop()
  await way.close()
})

const counted = async (project: string) => (await server.db('ledger').where({ project_id: project }).sum<{ sum: string }[]>('amount'))[0]?.sum

describe('trouble with the database in the middle of a run', () => {
  it('away: it is said, nothing is lost or charged twice, and the run goes on when it is back', async () => {
    const prompt = await server.prompt('a red fox at dusk')
    await server.edit(prompt.id, 1, { settings: { count: 6 } })
    server.engine.answer = async (call, response) => {
      await sleep(300)
      await server.engine.giveAPicture(call, response)
    }
    const charged = server.engine.charged.size
    const run = await server.run(prompt.id, 2)
    await sleep(450)
    way.cut()
    const answer = await server.ask(listProjects)
    expect(answer).toMatchObject({ status: 503, body: { type: '/problems/unavailable', detail: expect.stringMatching(/kept in the browser/) as string } })
    await sleep(AWAY_MS)
    way.mend()
    const ended = await server.ended(run, 40_000)
    expect(ended.proofs.map(({ state }) => state)).toEqual(Array.from({ length: 6 }, () => 'stored'))
    expect(server.engine.charged.size - charged).toBe(6)
    expect(Number(await counted(prompt.projectId))).toBe(24)
    // The next run is woken, not only polled for.
    server.engine.answer = undefined
    expect((await server.ended(await server.run(prompt.id, 2))).proofs).toHaveLength(6)
  })

  it('no room on the disk: what the engine made is asked for again by its key, and stored once there is room', async () => {
    const prompt = await server.prompt('a red fox at dusk')
    await server.edit(prompt.id, 1, { settings: { count: 2 } })
    await server.db.raw(`create function no_room() returns trigger language plpgsql as $$ begin raise exception 'could not extend file' using errcode = '53100'; end $$`)
    await server.db.raw('create trigger no_room before insert on pictures for each row execute function no_room()')
    const charged = server.engine.charged.size
    const run = await server.run(prompt.id, 2)
    await sleep(1_500)
    const picture = await fetch(`${server.address}/api/pictures`, { method: 'POST', body: new Uint8Array(await aPicture(9)) })
    expect([picture.status, await picture.json()]).toMatchObject([503, { detail: expect.stringMatching(/no room left/) as string }])
    await server.db.raw('drop trigger no_room on pictures')
    const ended = await server.ended(run, 40_000)
    expect(ended.proofs.map(({ state }) => state)).toEqual(['stored', 'stored'])
    expect(server.engine.charged.size - charged).toBe(2)
    expect(Number(await counted(prompt.projectId))).toBe(8)
  })
})
