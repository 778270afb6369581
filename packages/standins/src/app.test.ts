import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { createStandin } from './app.ts'

let server: Server
let address = ''
beforeAll(async () => {
  server = createStandin().listen(0, '127.0.0.1')
  await new Promise((resolve) => server.once('listening', resolve))
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(() => new Promise((resolve) => server.close(resolve)))

const request = { engine: 'burin', revision: '1', prompt: 'a red fox at dusk, gouache', width: 192, height: 128, seed: 7 }
const ask = (body: unknown, key?: string) =>
  fetch(`${address}/v1/pictures`, { method: 'POST', headers: { 'content-type': 'application/json', ...(key ? { 'idempotency-key': key } : {}) }, body: JSON.stringify(body) })
const png = async (body: object) => {
  const answer = (await (await ask({ ...request, ...body })).json()) as { pictures: { png: string }[] }
  return Buffer.from(answer.pictures[0]!.png, 'base64')
}

/** Mean brightness of a picture, 0 to 255. */
const brightness = async (bytes: Buffer): Promise<number> => {
  const { channels } = await sharp(bytes).stats()
  return channels.reduce((sum, { mean }) => sum + mean, 0) / channels.length
}

describe('the simulated engine', () => {
  it('gives the same bytes for the same request, and others for another seed', async () => {
    const [a, b, c] = [await png({}), await png({}), await png({ seed: 8 })]
    expect(a.equals(b)).toBe(true)
    expect(a.equals(c)).toBe(false)
  })

  it('answers to words: night is darker than noon, on every seed', async () => {
    for (const seed of [1, 2, 3]) {
      const noon = await brightness(await png({ prompt: 'a fox in a meadow at noon', seed }))
      const night = await brightness(await png({ prompt: 'a fox in a meadow at night', seed }))
      expect(night).toBeLessThan(noon * 0.7)
    }
  })

  it('says in the picture that an algorithm made it, and from what', async () => {
    const text = (await sharp(await png({ prompt: 'a fox & "friends" <3' })).metadata()).xmpAsString ?? ''
    expect(text).toContain('digitalsourcetype/algorithmicMedia')
    expect(text).toContain('(simulated), seed 7')
    expect(text).toContain('a fox &amp; &quot;friends&quot; &lt;3')
  })

  it('counts a key once and gives its answer again', async () => {
    const usage = async () => ((await (await fetch(`${address}/v1/usage`)).json()) as { charged: number }).charged
    const before = await usage()
    const [a, b] = await Promise.all([ask(request, 'k1'), ask(request, 'k1')])
    expect(await a.text()).toBe(await b.text())
    expect(await usage()).toBe(before + 1)
  })

  it('refuses what it cannot do, naming the field', async () => {
    const refused = async (body: object) => {
      const response = await ask({ ...request, ...body })
      return [response.status, ((await response.json()) as { detail: string }).detail]
    }
    expect(await refused({ prompt: '' })).toEqual([400, expect.stringContaining('prompt')])
    expect(await refused({ width: 9_000 })).toEqual([400, expect.stringContaining('width')])
    expect(await refused({ engine: 'nobody' })).toEqual([404, expect.stringContaining('nobody')])
  })

  it('misbehaves on request, for as long as it is told to', async () => {
    await fetch(`${address}/v1/standin`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ fault: 'busy', times: 1 }) })
    const busy = await ask(request)
    expect([busy.status, busy.headers.get('retry-after')]).toEqual([429, '1'])
    expect((await ask(request)).status).toBe(200)
  })

  it('draws anything without failing', async () => {
    for (const prompt of ['qwertz', '🐝🐝', '<svg onload=1>', 'twelve bees at night in rain, paper cut', 'crowd of people in a city, photograph', 'the words "A & <B>" on a poster']) {
      expect((await ask({ ...request, prompt })).status).toBe(200)
    }
  })
})
