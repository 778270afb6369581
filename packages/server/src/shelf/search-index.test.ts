import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'
import { SearchIndex } from './search-index.ts'

let server: TestServer
beforeAll(async () => { server = await TestServer.start() })
afterAll(() => server.stop())

it('is up to date only once what another is bringing up to date is there as well', async () => {
  const index = new SearchIndex(server.db)
  const { id } = await server.prompt('a heron, brass')
  const done: string[] = []
  let refreshing: Promise<unknown> = Promise.resolve()
  await server.db.transaction(async (other) => {
    // Stale for everybody, and held by another, who may first have to be quicker than the server's own round.
    let held: unknown[] = []
    while (held.length === 0) {
      await server.db('drafts').where({ prompt_id: id }).update({ search_stale: true })
      held = await other('drafts').where({ prompt_id: id, search_stale: true }).forUpdate().skipLocked().select('prompt_id')
    }
    refreshing = index.refresh().then(() => done.push('refreshed'))
    await sleep(200)
    done.push('other')
    await other('drafts').where({ prompt_id: id }).update({ search_stale: false })
  })
  await refreshing
  expect(done).toEqual(['other', 'refreshed'])
})
