import { deleteWritingStyle, listBin, listWritingStyles, restoreFromBin, saveWritingStyle } from '@idolon/contract'
import type { WritingStyleBody } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const body: WritingStyleBody = { name: 'Two colours', style: 'list', facets: [{ facet: 'medium', share: 1, words: 1, joined: false, terms: ['linocut'] }], always: [{ text: 'linocut', facet: 'medium' }], words: { low: 8, middle: 10, high: 14 }, separator: ', ', capital: false, stop: false, examples: ['linocut, an owl', 'linocut, a fox', 'linocut, a hare'] }

it('a writing style is kept, corrected, refused where it contradicts itself, and comes back out of the bin', async () => {
  const { id: projectId } = await server.project()
  const writingStyle = randomUUID()
  const save = (more: Partial<WritingStyleBody> = {}) => server.ask(saveWritingStyle, { params: { writingStyle }, body: { projectId, body: { ...body, ...more } } })
  expect((await save()).status).toBe(200)
  await save({ stop: true })
  expect((await server.call(listWritingStyles, { query: { project: projectId } })).map((one) => [one.id, one.body.stop])).toEqual([[writingStyle, true]])
  expect(await server.call(listWritingStyles, { query: { project: (await server.project()).id } })).toEqual([])
  expect((await save({ words: { low: 20, middle: 10, high: 14 } })).body).toMatchObject({ detail: expect.stringMatching(/go up/) as string })
  expect((await save({ facets: [body.facets[0]!, body.facets[0]!] })).status).toBe(400)
  await server.call(deleteWritingStyle, { params: { writingStyle } })
  const [binned] = (await server.call(listBin)).filter(({ kind }) => kind === 'writing-style')
  expect(binned).toMatchObject({ name: 'Two colours' })
  await server.call(restoreFromBin, { params: { kind: 'writing-style', id: binned!.id } })
  expect((await server.call(listWritingStyles, { query: {} })).map((one) => one.body)).toEqual([{ ...body, stop: true }])
})
