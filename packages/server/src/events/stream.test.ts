import { createProject } from '@idolon/contract'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

/** Reads the stream until `enough`, and gives back its frames. */
async function listen(lastId: string | undefined, enough: (text: string) => boolean, during?: () => Promise<unknown>): Promise<string> {
  const stop = new AbortController()
  const response = await fetch(`${server.address}/api/events`, { headers: lastId ? { 'last-event-id': lastId } : {}, signal: stop.signal })
  let text = ''
  let begun = false
  for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
    text += Buffer.from(chunk).toString()
    if (!begun && (lastId || text.includes('event: hello'))) {
      begun = true
      await during?.()
    }
    if (enough(text)) break
  }
  stop.abort()
  return text
}
const make = (name: string) => server.call(createProject, { body: { name } })
const idsIn = (text: string) => [...text.matchAll(/^id: (\d+)$/gm)].map((match) => Number(match[1]))

it('tells a page what changes, and one that comes back what it missed', async () => {
  const first = await listen(undefined, (text) => text.includes('"project"'), () => make('one'))
  const last = idsIn(first).at(-1)!
  await make('two')
  await make('three')
  const second = await listen(String(last), (text) => text.split('"project"').length > 2)
  expect(idsIn(second)).toEqual([last + 1, last + 2])
})

it('tells a page to read everything again when what it missed is no longer kept', async () => {
  await server.db('events').delete()
  await make('four')
  expect(await listen('1', (text) => text.includes('reset'))).toContain('event: reset')
})
