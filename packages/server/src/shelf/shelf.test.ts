import { changePrompt, changePrompts, changeProof, createPrompt, deletePrompt, deleteSearch, saveSearch, listSearches, listTags, restorePrompt, type QueryOf, readEvidence, readNear, readPrompt, renameTag, searchShelf } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
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

  it('never loses what is written just while it brings something up to date', async () => {
    const { id } = await server.prompt('a quiet lake, changed again and again')
    for (let i = 0; i < 40; i++) {
      const tag = `turn${i}`
      await Promise.all([server.call(changePrompt, { params: { prompt: id }, body: { tags: [tag] } }), ...Array.from({ length: 4 }, () => server.call(searchShelf, { query: { q: 'quiet lake' } }))])
      expect((await server.call(searchShelf, { query: { tag } })).rows.map((row) => row.id)).toEqual([id])
    }
    await server.call(deletePrompt, { params: { prompt: id } })
  })

  it('filters by tag, status and project, and lists the last changed first', async () => {
    expect((await found({})).names).toEqual(['jar', 'train', 'fox'])
    expect((await found({ tag: 'poster' })).names).toEqual(['train'])
    expect((await found({ status: 'proven', q: 'a' })).names).toEqual(['fox'])
    expect((await server.call(listTags)).map(({ tag, count }) => [tag, count])).toEqual([['animal', 1], ['poster', 1], ['winter', 1]])
  })

  it('finds what has just been written, and nothing that was deleted until it is restored', async () => {
    await server.edit(ids['jar']!, 1, { text: [{ from: 0, to: 0, insert: 'Sunlit. ' }] })
    expect((await found({ q: 'sunlit' })).names).toEqual(['jar'])
    await server.call(deletePrompt, { params: { prompt: ids['jar']! } })
    expect((await found({ q: 'sunlit' })).names).toEqual([])
    await server.call(restorePrompt, { params: { prompt: ids['jar']! } })
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
    expect((await found({ kept: 1 })).names).toEqual(['train'])
  })

  it('finds by what a facet says once drafts are read, and by engine, colour, counts and date', async () => {
    const until = async (query: QueryOf<typeof searchShelf>, wanted: string[]) => {
      for (let i = 0; i < 100; i++) {
        const { names } = await found(query)
        if (JSON.stringify(names) === JSON.stringify(wanted)) return names
        await sleep(100)
      }
      return (await found(query)).names
    }
    expect(await until({ q: 'medium: linocut' }, ['fox'])).toEqual(['fox'])
    expect((await found({ q: 'setting: linocut' })).names).toEqual([])
    expect((await found({ q: 'red, medium: lino' })).names).toEqual(['fox'])
    expect((await found({ engine: 'burin', tried: true })).names).toEqual(['train'])
    expect((await found({ tried: false })).names).toEqual(['jar', 'fox'])
    expect((await found({ kept: 2 })).names).toEqual([])
    const { bestProof } = (await server.call(searchShelf, { query: { q: 'viaduct' } })).rows[0]!
    expect(bestProof).not.toBeNull()
    const colours = ['red', 'orange', 'yellow', 'green', 'blue', 'purple', 'pink', 'brown', 'beige', 'grey', 'black', 'white']
    for (let i = 0; i < 50; i++) {
      const any = (await Promise.all(colours.map((colour) => found({ colour })))).flatMap(({ names }) => names)
      if (any.length) {
        expect(new Set(any)).toEqual(new Set(['train']))
        break
      }
      await sleep(100)
      expect(i).toBeLessThan(49)
    }
    const today = new Date().toISOString().slice(0, 10)
    expect((await found({ since: today })).names).toHaveLength(3)
    expect((await found({ until: '2020-01-01' })).names).toEqual([])
  })

  it('says why it found a prompt where its row does not show it', async () => {
    const why = async (q: string) => (await server.call(searchShelf, { query: { q } })).rows.map((row) => row.why)
    expect(await why('winter')).toEqual([['tagged winter']])
    expect(await why('cafe')).toEqual([['in a note: for the café in Tärrow']])
    expect(await why('fox, medium: linocut')).toEqual([['medium: linocut']])
    expect(await why('honey')).toEqual([[]])
  })

  it('renames tags, joins two into one, and changes many prompts at once', async () => {
    const tags = async () => (await server.call(listTags)).map(({ tag, count }) => [tag, count])
    await server.call(changePrompts, { body: { prompts: [ids['fox']!, ids['train']!], addTags: ['print', 'animal'], removeTags: ['winter'], status: 'testing' } })
    expect(await tags()).toEqual([['animal', 2], ['print', 2], ['poster', 1]])
    expect((await server.call(renameTag, { body: { from: 'poster', to: 'print' } })).changed).toEqual([ids['train']])
    expect(await tags()).toEqual([['animal', 2], ['print', 2]])
    await server.call(renameTag, { body: { from: 'animal', to: '' } })
    expect((await found({ status: 'testing', tag: 'print' })).names.sort()).toEqual(['fox', 'train'])
    expect((await server.ask(renameTag, { body: { from: 'print', to: 'a,b' } })).status).toBe(400)
    const project = await server.project()
    await server.call(changePrompts, { body: { prompts: [ids['jar']!], project: project.id } })
    expect((await found({ project: project.id })).names).toEqual(['jar'])
    await server.call(changePrompts, { body: { prompts: [ids['jar']!], deleted: true } })
    expect((await found({ project: project.id })).names).toEqual([])
    await server.call(changePrompts, { body: { prompts: [ids['jar']!], deleted: false } })
    expect((await found({ project: project.id })).names).toEqual(['jar'])
  })

  it('keeps a search under a name', async () => {
    const search = randomUUID()
    await server.call(saveSearch, { params: { search }, body: { name: ' Prints ', query: { tag: 'print', q: 'light: rim' } } })
    expect(await server.call(listSearches)).toMatchObject([{ id: search, name: 'Prints', query: { tag: 'print', q: 'light: rim' } }])
    await server.call(deleteSearch, { params: { search } })
    expect(await server.call(listSearches)).toEqual([])
  })

  it('says what a prompt has shown: kept of tried by engine, and what it came from and led to', async () => {
    const prompt = ids['train']!
    const { projectId } = await server.call(readPrompt, { params: { prompt } })
    const copy = await server.call(createPrompt, { body: { projectId, from: { promptId: prompt } } })
    const again = await server.call(createPrompt, { body: { projectId, from: { promptId: copy.id } } })
    const evidence = await server.call(readEvidence, { params: { prompt: copy.id } })
    expect(evidence.family.map(({ promptId, steps, keepers }) => [promptId, steps, keepers])).toEqual([[prompt, -1, 1], [again.id, 1, 0]])
    expect(await server.call(readEvidence, { params: { prompt } })).toMatchObject({ engines: [{ name: 'Burin 2', tried: 4, kept: 1 }], lastUsed: expect.any(String) as string })
  })

  it('lets what a search finds leave as CSV, JSON and Markdown', async () => {
    const take = async (ending: string, query = '') => fetch(`${server.address}/api/shelf.${ending}?${query}`)
    const csv = await take('csv', 'q=viaduct')
    expect([csv.headers.get('content-type'), csv.headers.get('content-disposition')]).toEqual(['text/csv; charset=utf-8', expect.stringMatching(/^attachment; filename="?prompts\.csv"?$/) as string])
    expect((await csv.text()).split('\r\n')[1]).toMatch(/^Viaduct at noon,"A rack railway train over a viaduct, travel poster",/)
    const { prompts } = (await (await take('json')).json()) as { prompts: { title: string; draft: { text: string } }[] }
    expect(prompts).toHaveLength(5)
    expect(prompts.map(({ draft }) => draft.text)).toContain('A red fox in a snowy forest, linocut print')
    expect(await (await take('md', 'q=viaduct')).text()).toContain('## Viaduct at noon')
    const none = await take('csv', 'q=zzzzzz')
    expect([none.status, await none.json()]).toMatchObject([422, { detail: expect.stringMatching(/nothing to take out/) as string }])
    expect((await take('csv', 'kept=many')).status).toBe(400)
  })

  it('finds the same prompt in other words, and not one of another number, place or medium', async () => {
    const first = await server.prompt('an old ferryman mending a net on a stone quay at dawn, soft mist, watercolour')
    const again = await server.prompt('Watercolor: at daybreak an elderly ferryman repairs a net on a quay of stone in soft mist', first.projectId)
    for (const other of ['two old ferrymen mending a net on a stone quay at dawn, soft mist, watercolour', 'an old ferryman mending a net in a dark kitchen at dawn, watercolour', 'an old ferryman mending a net on a stone quay at dawn, soft mist, linocut']) await server.prompt(other, first.projectId)
    const near = async () => (await server.call(readNear, { params: { prompt: first.id } })).map(({ promptId }) => promptId)
    for (let i = 0; i < 60 && (await found({ q: 'subject: ferryman' })).names.length < 4; i++) await sleep(100)
    expect(await near()).toEqual([again.id])
  })
})
