import { changePrompt, changeProof, deletePrompt, mergePrompts, type QueryOf, readEvidence, readNear, readPrompt, saySame, searchShelf, unmergePrompt } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'
import { groupsOf } from './families.ts'

let server: TestServer
let project: string
const ids: Record<string, string> = {}
const TEXTS = {
  otter: 'An otter asleep on a flat stone by the river at dusk, gouache illustration',
  sameOtter: 'gouache illustration of an otter sleeping on a flat stone, by the river, dusk',
  otterAgain: 'At dusk an otter asleep on a flat stone beside the river, gouache illustration',
  twoOtters: 'Two otters asleep on a flat stone by the river at dusk, gouache illustration',
  train: 'A rack railway train on a viaduct, travel poster',
}
beforeAll(async () => {
  server = await TestServer.start()
  project = (await server.project()).id
  for (const [name, text] of Object.entries(TEXTS)) ids[name] = (await server.prompt(text, project)).id
  await settled()
})
afterAll(() => server.stop())

/** Until everything is read, has a vector, and was looked at for what is the same. */
async function settled(): Promise<void> {
  for (let i = 0; i < 300; i++) {
    const { rows } = await server.db.raw<{ rows: { open: number }[] }>('select (select count(*) from drafts where search_stale)::int + (select count(*) from shelf where (said_stale or vector_stale or near_stale) and not deleted)::int as open')
    if (rows[0]!.open === 0) return
    await sleep(100)
  }
  throw new Error('The Shelf does not settle.')
}
const nameOf = (id: string) => Object.keys(ids).find((name) => ids[name] === id)!
const rows = async (query: QueryOf<typeof searchShelf> = {}) => (await server.call(searchShelf, { query: { project, ...query } })).rows
const near = async (name: string) => (await server.call(readNear, { params: { prompt: ids[name]! } })).map(({ promptId, said, merged }) => [nameOf(promptId), said, merged])

describe('prompts that say the same', () => {
  it('stand together on the Shelf, and each on its own where that is asked for', async () => {
    const together = await rows()
    expect(together.map(({ id, alike }) => [nameOf(id), alike])).toEqual([['train', 0], ['twoOtters', 0], ['otterAgain', 2]])
    const family = together[2]!.family!
    expect((await rows({ family, each: true })).map(({ id }) => nameOf(id)).sort()).toEqual(['otter', 'otterAgain', 'sameOtter'])
    expect(await rows({ each: true })).toHaveLength(5)
  })

  it('are found by meaning, with how close they are, also within a filter', async () => {
    const found = await rows({ q: 'sleeping river otter dusk', by: 'meaning', each: true })
    expect(found.slice(0, 3).map(({ id }) => nameOf(id))).toContain('sameOtter')
    expect(found[0]!.why[0]).toBe('close in meaning')
    const other = await server.project()
    expect(await rows({ q: 'sleeping river otter dusk', by: 'meaning', project: other.id })).toEqual([])
  })

  it('are told apart by the writer, and linked', async () => {
    await server.call(saySame, { params: { prompt: ids['otter']! }, body: { prompts: [ids['sameOtter']!, ids['otterAgain']!], as: 'other' } })
    expect((await rows()).map(({ id, alike }) => [nameOf(id), alike])).toEqual([['train', 0], ['twoOtters', 0], ['otterAgain', 1], ['otter', 0]])
    expect((await near('otter')).map(([, said]) => said)).toEqual(['other', 'other'])
    await server.call(saySame, { params: { prompt: ids['train']! }, body: { prompts: [ids['twoOtters']!], as: 'same' } })
    expect((await rows())[0]).toMatchObject({ id: ids['train'], alike: 1 })
    expect(await near('train')).toEqual([['twoOtters', 'same', false]])
    await server.call(saySame, { params: { prompt: ids['train']! }, body: { prompts: [ids['twoOtters']!], as: null } })
    await server.call(saySame, { params: { prompt: ids['otter']! }, body: { prompts: [ids['sameOtter']!, ids['otterAgain']!], as: null } })
    expect((await rows()).map(({ alike }) => alike)).toEqual([0, 0, 2])
    expect((await server.ask(saySame, { params: { prompt: ids['otter']! }, body: { prompts: [randomUUID()], as: 'same' } })).status).toBe(404)
  })

  it('follow a draft that comes to say something else', async () => {
    await server.edit(ids['otterAgain']!, 1, { text: [{ from: 0, to: TEXTS.otterAgain.length, insert: 'A glass jar of heather honey, product photograph' }] })
    await rows()
    await settled()
    expect((await rows({ each: true })).filter(({ family }) => family !== null)).toHaveLength(2)
    await server.edit(ids['otterAgain']!, 2, { text: [{ from: 0, to: 47, insert: TEXTS.otterAgain }] })
    await rows()
    await settled()
    expect((await rows({ each: true })).filter(({ family }) => family !== null)).toHaveLength(3)
  })

  it('are merged without losing anything, and taken apart again', async () => {
    const into = ids['otter']!
    const other = ids['sameOtter']!
    await server.call(changePrompt, { params: { prompt: into }, body: { tags: ['river'], note: 'first' } })
    await server.call(changePrompt, { params: { prompt: other }, body: { tags: ['river', 'night'], note: 'second' } })
    const run = await server.ended(await server.run(other, 1))
    await server.call(changeProof, { params: { proof: run.proofs[0]!.id }, body: { verdict: 'keep' } })
    await server.call(mergePrompts, { params: { prompt: into }, body: { prompts: [other] } })
    // The Shelf follows within moments; a busy machine takes longer over it.
    await expect.poll(async () => (await rows({ each: true })).map(({ id }) => nameOf(id))).not.toContain('sameOtter')
    const row = (await rows({ kept: 1 }))[0]
    expect(row).toMatchObject({ id: into, tags: ['river', 'night'], note: 'first\n\nsecond', proofs: run.proofs.length, keepers: 1 })
    expect((await server.call(readEvidence, { params: { prompt: into } })).engines[0]).toMatchObject({ tried: run.proofs.length, kept: 1 })
    expect(await near('otter')).toContainEqual(['sameOtter', null, true])
    expect(await server.call(readPrompt, { params: { prompt: other } })).toMatchObject({ mergedInto: { id: into } })
    // What is judged later counts for the one it was merged into.
    await server.call(changeProof, { params: { proof: run.proofs[1]!.id }, body: { verdict: 'keep' } })
    expect(await rows({ kept: 2 })).toHaveLength(1)
    expect((await server.ask(mergePrompts, { params: { prompt: other }, body: { prompts: [ids['train']!] } })).status).toBe(400)
    await server.call(unmergePrompt, { params: { prompt: other } })
    expect((await rows({ each: true })).map(({ id }) => nameOf(id))).toContain('sameOtter')
    expect((await rows({ kept: 1 })).map(({ id }) => id)).toEqual([other])
    await server.call(deletePrompt, { params: { prompt: other } })
    expect((await near('otter')).map(([name]) => name)).toEqual(['otterAgain'])
  })
})

it('groups what hangs together', () => {
  expect(groupsOf(['a', 'b', 'c', 'd'], [{ one: 'a', other: 'b' }, { one: 'b', other: 'c' }, { one: 'x', other: 'a' }])).toEqual([['a', 'b', 'c'], ['d']])
})
