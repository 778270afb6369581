import { deleteImport, type Import, type ImportPreview, listProjects, previewImport, readImport, readPrompt, searchShelf, startImport } from '@idolon/contract'
import type { Mapping } from '@idolon/core'
import { strToU8, zipSync } from 'fflate'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => { server = await TestServer.start() })
afterAll(() => server.stop())

async function take(name: string, body: string | Uint8Array, encoding?: string): Promise<{ status: number; body: Import & { detail: string } }> {
  const response = await fetch(`${server.address}/api/imports?name=${encodeURIComponent(name)}${encoding ? `&encoding=${encoding}` : ''}`, { method: 'POST', body: typeof body === 'string' ? body : Buffer.from(body), headers: { 'content-type': 'application/octet-stream' } })
  return { status: response.status, body: (await response.json()) as Import & { detail: string } }
}
const preview = (file: Import, mapping: Mapping = file.mapping): Promise<ImportPreview> => server.call(previewImport, { params: { import: file.id }, body: { mapping } })
async function bring(file: Import, more: { project?: string | null; duplicates?: boolean; tag?: string; mapping?: Mapping } = {}): Promise<Import> {
  await server.call(startImport, { params: { import: file.id }, body: { mapping: more.mapping ?? file.mapping, project: more.project ?? null, duplicates: more.duplicates ?? false, tag: more.tag ?? '' } })
  for (let i = 0; i < 200; i++) {
    const now = await server.call(readImport, { params: { import: file.id } })
    if (now.state !== 'asked') return now
    await sleep(50)
  }
  throw new Error('The file is not imported.')
}
const here = async (query: { project?: string; tag?: string } = {}) => (await server.call(searchShelf, { query: { ...query, each: true } })).rows

describe('bringing prompts in', () => {
  it('shows what a file holds, takes duplicates and rejects apart, and then brings it in whole', async () => {
    const project = (await server.project()).id
    await server.prompt('an owl at dusk', project)
    const { body: file } = await take('mine.csv', 'Name,Prompt,Negative words,Tags,State,Cost\r\nOwl,an owl at dusk,,night,,3\r\nFox,"a fox, in snow",people,"winter; red",proven,4\r\nFox again,"a fox, in snow",people,,,\r\nEmpty,,,,,\r\nSum,\'=a goat,,,unheard of,\r\n')
    expect(file).toMatchObject({ format: 'csv', rows: 5, columns: [{ name: 'Name', sample: 'Owl' }, { name: 'Prompt' }, { name: 'Negative words', sample: 'people' }, { name: 'Tags' }, { name: 'State' }, { name: 'Cost' }], mapping: { title: 0, text: 1, leaveOut: 2, tags: 3, status: 4 } })
    const looked = await preview(file)
    expect(looked.coming.first.map(({ place, title, text }) => [place, title, text])).toEqual([['line 3', 'Fox', 'a fox, in snow'], ['line 6', 'Sum', '=a goat']])
    expect(looked.duplicates.first.map(({ place, of }) => [place, of.title])).toEqual([['line 2', 'an owl at dusk'], ['line 4', 'line 3']])
    expect(looked.rejected.first).toEqual([{ place: 'line 5', reason: 'it has no text' }])
    expect(looked.notes.first).toEqual([{ place: 'line 6', note: '“unheard of” is no status; it comes in as rough' }])
    expect(await here({ project })).toHaveLength(1)
    expect(await bring(file, { project, tag: 'came in' })).toMatchObject({ state: 'done', made: 2 })
    const [fox] = (await here({ project, tag: 'came in' })).filter(({ title }) => title === 'Fox')
    expect(fox).toMatchObject({ status: 'proven', tags: ['winter', 'red', 'came in'] })
    const { draft } = await server.call(readPrompt, { params: { prompt: fox!.id } })
    expect(draft).toMatchObject({ text: 'a fox, in snow', leaveOut: ['people'] })
    expect(draft.engines.length).toBeGreaterThan(0)
    expect((await server.ask(startImport, { params: { import: file.id }, body: { mapping: file.mapping, project, duplicates: true, tag: '' } })).status).toBe(409)
  })

  it('reads columns as the writer says', async () => {
    const { body: file } = await take('odd.csv', 'a,b\nshort,an owl on a post\nother,a fox in the snow\n')
    expect(file.mapping).toEqual({ text: 1 })
    expect((await preview(file, { text: 0, note: 1 })).coming.first).toMatchObject([{ text: 'short', says: 'with a note' }, { text: 'other' }])
    await server.call(deleteImport, { params: { import: file.id } })
    expect((await server.ask(readImport, { params: { import: file.id } })).status).toBe(404)
  })

  it('makes the projects that a file names, and finds those that are here', async () => {
    const { name } = await server.project()
    const { body: file } = await take('named.json', JSON.stringify([{ text: 'one', project: name.toUpperCase() }, { text: 'two', project: 'Quite new' }, { text: 'three' }]))
    expect(await bring(file)).toMatchObject({ state: 'done', made: 3 })
    const projects = await server.call(listProjects)
    expect(projects.find((one) => one.name === name)?.prompts).toBe(1)
    expect(projects.filter((one) => ['Quite new', 'Brought in'].includes(one.name)).map(({ prompts }) => prompts)).toEqual([1, 1])
  })

  it('takes a folder of texts as an archive, and what was taken out comes back the same', async () => {
    const { body: folder } = await take('folder.zip', zipSync({ 'bees/01_old_hives.txt': strToU8('straw hives at dawn\n\nLeave out: people, text\n'), 'bees/.DS_Store': strToU8('x'), 'pictures/a.png': strToU8('x') }))
    expect((await preview(folder)).coming.first).toMatchObject([{ place: 'bees/01_old_hives.txt', title: 'old hives', tags: ['bees'], says: 'leaves out people, text' }])
    const project = (await server.project()).id
    await server.prompt('a heron, brass', project)
    for (const ending of ['csv', 'json', 'md', 'texts.zip']) {
      const taken = await fetch(`${server.address}/api/shelf.${ending}?project=${project}`)
      const { body: back } = await take(`back.${ending}`, new Uint8Array(await taken.arrayBuffer()))
      expect([ending, (await preview(back)).duplicates.count]).toEqual([ending, 1])
    }
  })

  it.each([
    ['quotes.csv', 'text\n"an owl\nend', /Line 2: a quote is opened/],
    ['latin.csv', Buffer.from('text\ncaf\xe9\n', 'latin1'), /Line 2: it is not in UTF-8/],
    ['newer.json', '{"format":"idolon-prompts-9","prompts":[]}', /a newer Idolon/],
    ['climbs.zip', zipSync({ '../a.txt': strToU8('x') }), /leads out of it/],
    ['bomb.zip', zipSync({ 'a.txt': [new Uint8Array(3_000_000), { level: 9 }] }), /unfolds to more/],
    ['empty.csv', '', /it is empty/],
    ['pictures.zip', zipSync({ 'a.png': strToU8('x') }), /no text file/],
  ])('refuses %s and keeps nothing of it', async (name, body, says) => {
    const { status, body: problem } = await take(name, body)
    expect(status).toBe(422)
    expect(problem.detail).toMatch(says)
    expect((await server.db('imports').where({ name })).length).toBe(0)
  })

  it('reads another encoding where the writer names it', async () => {
    const { body: file } = await take('latin.csv', Buffer.from('text\ncaf\xe9 at dusk\n', 'latin1'), 'windows-1252')
    expect((await preview(file)).coming.first[0]?.text).toBe('café at dusk')
  })

  it('brings in all or nothing', async () => {
    const archived = await server.project()
    await server.db('projects').where({ id: archived.id }).update({ archived_at: new Date() })
    const before = (await here()).length
    const { body: file } = await take('some.json', JSON.stringify([{ text: 'first of them', project: 'Another new one' }, { text: 'second', project: archived.name }]))
    const failed = await bring(file)
    expect(failed).toMatchObject({ state: 'failed', made: null, progress: 0 })
    expect(failed.problem).toContain('archived')
    expect(await here()).toHaveLength(before)
    expect((await server.call(listProjects)).some(({ name }) => name === 'Another new one')).toBe(false)
  })
})
