import { changePrompt, readPrompt, saveEdits } from '@idolon/contract'
import { MAX_TEXT } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const insert = (at: number, text: string) => ({ text: [{ from: at, to: at, insert: text }] })
const draftNow = async (prompt: string) => {
  const { draft, revision } = await server.call(readPrompt, { params: { prompt } })
  return { text: draft.text, revision }
}

describe('saving a draft', () => {
  it('applies the same edits once, however often they are sent', async () => {
    const { id } = await server.prompt('a fox')
    const body = { client: randomUUID(), first: 1, base: 1, edits: [insert(5, ' at'), insert(8, ' dusk')] }
    for (let i = 0; i < 3; i++) await server.call(saveEdits, { params: { prompt: id }, body })
    expect(await draftNow(id)).toEqual({ text: 'a fox at dusk', revision: 3 })
    // One of them had arrived before the answer was lost; the other two follow.
    await server.call(saveEdits, { params: { prompt: id }, body: { ...body, first: 2, base: 2, edits: [body.edits[1]!, insert(13, '!')] } })
    expect(await draftNow(id)).toEqual({ text: 'a fox at dusk!', revision: 4 })
  })

  it('refuses edits made on a draft that has changed meanwhile, and keeps what is there', async () => {
    const { id } = await server.prompt('a fox')
    await server.edit(id, 1, insert(0, 'one: '))
    const { status, body } = await server.ask(saveEdits, { params: { prompt: id }, body: { client: randomUUID(), first: 1, base: 1, edits: [insert(0, 'other: ')] } })
    expect(status).toBe(409)
    expect(body).toMatchObject({ type: '/problems/draft-moved', revision: 2 })
    expect((await draftNow(id)).text).toBe('one: a fox')
  })

  it('lets one of two simultaneous writers through', async () => {
    const { id } = await server.prompt('x')
    const answers = await Promise.all(
      Array.from({ length: 6 }, (_, i) => server.ask(saveEdits, { params: { prompt: id }, body: { client: randomUUID(), first: 1, base: 1, edits: [insert(0, String(i))] } })),
    )
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(1)
    expect((await draftNow(id)).text).toHaveLength(2)
  })

  it('takes 20,000 characters of anything, and says when it is more', async () => {
    const odd = '\u0000 \ud800 🐝 \r\n عربي '.repeat(2_000).slice(0, MAX_TEXT)
    const { id } = await server.prompt(odd)
    expect((await draftNow(id)).text).toBe(odd)
    const full = await server.prompt('x'.repeat(MAX_TEXT))
    const { body } = await server.ask(saveEdits, { params: { prompt: full.id }, body: { client: randomUUID(), first: 1, base: 1, edits: [insert(0, 'y')] } })
    expect(body).toMatchObject({ type: '/problems/text-too-long' })
    expect((await draftNow(full.id)).text).toHaveLength(MAX_TEXT)
  })

  it('refuses an edit that does not fit whole, with those before it', async () => {
    const { id } = await server.prompt('abc')
    const { status } = await server.ask(saveEdits, { params: { prompt: id }, body: { client: randomUUID(), first: 1, base: 1, edits: [insert(0, 'ok '), insert(99, 'far')] } })
    expect(status).toBe(422)
    expect(await draftNow(id)).toEqual({ text: 'abc', revision: 1 })
  })

  it('names a prompt by its first words until it has a title', async () => {
    const { id } = await server.prompt('A red train, at noon')
    expect(await server.call(readPrompt, { params: { prompt: id } })).toMatchObject({ title: 'A red train', named: false })
    expect(await server.call(changePrompt, { params: { prompt: id }, body: { title: 'Noon' } })).toMatchObject({ title: 'Noon', named: true })
  })
})
