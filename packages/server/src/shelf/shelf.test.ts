import { changePrompt, changeProof, deletePrompt, listTags, putBackPrompt, type QueryOf, searchShelf } from '@idolon/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
const ids: Record<string, string> = {}
beforeAll(async () => {
  server = await TestServer.start()
  const add = async (name: string, text: string, change: { title?: string; tags?: string[]; note?: string; status?: 'proven' } = {}) => {
    const { id } = await server.prompt(text)
    ids[name] = id
    if (Object.keys(change).length) await server.call(changePrompt, { params: { prompt: id }, body: change })
  }
  await add('fox', 'A red fox in a snowy forest, linocut print', { tags: ['animal', 'winter'], status: 'proven' })
  await add('train', 'A rack railway train over a viaduct, travel poster', { title: 'Viaduct at noon', tags: ['poster'] })
  await add('jar', 'A jar of honey on the sill', { note: 'for the café in Tärrow' })
})
afterAll(() => server.stop())

const found = async (query: QueryOf<typeof searchShelf>) => {
  const { rows, read } = await server.call(searchShelf, { query })
  return { names: rows.map(({ id }) => Object.keys(ids).find((name) => ids[name] === id)), read }
}

describe('the Shelf', () => {
  it('finds by words of text, title, tag and note, from their first letters, accents or not', async () => {
    expect((await found({ q: 'snow for' })).names).toEqual(['fox'])
    expect((await found({ q: 'NOON' })).names).toEqual(['train'])
    expect((await found({ q: 'winter' })).names).toEqual(['fox'])
    expect((await found({ q: 'cafe tarrow' })).names).toEqual(['jar'])
    expect((await found({ q: 'fox viaduct' })).names).toEqual([])
    expect((await found({ q: `'); drop table --` })).names).toEqual([])
  })

  it('reads a word with a slip in it as the nearest one, and says so', async () => {
    expect(await found({ q: 'vidauct' })).toEqual({ names: ['train'], read: [{ typed: 'vidauct', as: 'viaduct' }] })
    expect((await found({ q: 'linocot foxx' })).names).toEqual(['fox'])
    expect((await found({ q: 'zzzzzz' })).names).toEqual([])
  })

  it('filters by tag, status and project, and lists the last changed first', async () => {
    expect((await found({})).names).toEqual(['jar', 'train', 'fox'])
    expect((await found({ tag: 'poster' })).names).toEqual(['train'])
    expect((await found({ status: 'proven', q: 'a' })).names).toEqual(['fox'])
    expect((await server.call(listTags)).map(({ tag, count }) => [tag, count])).toEqual([['animal', 1], ['poster', 1], ['winter', 1]])
  })

  it('finds what has just been written, and nothing that was deleted until it is put back', async () => {
    await server.edit(ids['jar']!, 1, { text: [{ from: 0, to: 0, insert: 'Sunlit. ' }] })
    expect((await found({ q: 'sunlit' })).names).toEqual(['jar'])
    await server.call(deletePrompt, { params: { prompt: ids['jar']! } })
    expect((await found({ q: 'sunlit' })).names).toEqual([])
    await server.call(putBackPrompt, { params: { prompt: ids['jar']! } })
    expect((await found({ q: 'sunlit' })).names).toEqual(['jar'])
  })

  it('shows the best proof: the writer’s choice, else the newest keeper', async () => {
    const prompt = ids['train']!
    const run = await server.ended(await server.run(prompt, 1))
    const [first, second] = run.proofs
    const best = async () => (await server.call(searchShelf, { query: { q: 'viaduct' } })).rows[0]?.bestProof?.id ?? null
    expect(await best()).toBeNull()
    await server.call(changeProof, { params: { proof: first!.id }, body: { verdict: 'keep' } })
    expect(await best()).toBe(first!.id)
    await server.call(changePrompt, { params: { prompt }, body: { bestProofId: second!.id } })
    expect(await best()).toBe(second!.id)
    expect((await found({ kept: true })).names).toEqual(['train'])
  })
})
