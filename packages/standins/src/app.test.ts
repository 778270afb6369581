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

  it('takes what the leave-out list names out, and of “a second jar” only the second', async () => {
    const drawn = async (leaveOut: string) => {
      const answer = (await (await ask({ ...request, engine: 'brayer', revision: '2', prompt: 'two jars of honey and a cat on a table', leaveOut })).json()) as { testOnly: { drawn: { scene: { subject: { variant: string; count: number }; others: { variant: string }[] } }[] } }
      const { subject, others } = answer.testOnly.drawn[0]!.scene
      return [subject.variant, subject.count, ...others.map(({ variant }) => variant)]
    }
    expect(await drawn('')).toEqual(['jar', 2, 'cat', 'table'])
    expect(await drawn('animals, text')).toEqual(['jar', 2, 'table'])
    expect(await drawn('second jar')).toEqual(['jar', 1, 'cat', 'table'])
  })

  it('names the field and the range of what cannot be', async () => {
    const png64 = (await png({})).toString('base64')
    const said = async (body: object) => {
      const response = await ask({ ...request, ...body })
      return [response.status, response.headers.get('content-type'), ((await response.json()) as { detail: string }).detail]
    }
    const problem = expect.stringContaining('application/problem+json') as string
    expect(await said({ references: [{ role: 'layout', image: png64, strength: 101 }] })).toEqual([400, problem, 'references/0/strength must be from 0 to 100; this is 101.'])
    expect(await said({ settings: { guidance: 40 } })).toEqual([422, problem, 'settings/guidance must be a number from 0 to 12; this is 40.'])
    expect(await said({ prompt: 'x'.repeat(20_001) })).toEqual([400, problem, 'prompt must have from 1 to 20000 characters; this has 20001.'])
    expect(await said({ width: 256, references: [{ role: 'base', image: png64, strength: 50 }], mask: png64 })).toEqual([422, problem, 'mask must be 256 by 128 pixels as the picture is; this is 192 by 128.'])
    expect(await said({ references: [{ role: 'palette', image: 'bm8=', strength: 50 }] })).toEqual([422, problem, expect.stringMatching(/^references\/0\/image is no picture/)])
  })

  it('takes what a reference shows by its role: its palette, its finish, what lies under the mask', async () => {
    const red = (await sharp({ create: { width: 192, height: 128, channels: 3, background: '#c02018' } }).png().toBuffer()).toString('base64')
    const mean = async (bytes: Buffer) => (await sharp(bytes).stats()).channels.map(({ mean: value }) => value) as [number, number, number]
    const [r0, , b0] = await mean(await png({}))
    const [r1, , b1] = await mean(await png({ references: [{ role: 'palette', image: red, strength: 90 }] }))
    expect(r1 - b1).toBeGreaterThan(r0 - b0)
    const black = (await sharp({ create: { width: 192, height: 128, channels: 3, background: '#000' } }).png().toBuffer()).toString('base64')
    const [r2, g2] = await mean(await png({ references: [{ role: 'base', image: red, strength: 10 }], mask: black }))
    expect([Math.round(r2), Math.round(g2)]).toEqual([192, 32])
  })

  it('says when it knows nothing of what is named, and draws it honestly as shapes', async () => {
    const answer = (await (await ask({ ...request, prompt: 'qwertz yxcv, blue and gold' })).json()) as { notes: string[] }
    expect(answer.notes).toEqual([expect.stringContaining('Nothing in the text names a thing')])
  })

  it('draws anything without failing', async () => {
    for (const prompt of ['qwertz', '🐝🐝', '<svg onload=1>', 'twelve bees at night in rain, paper cut', 'crowd of people in a city, photograph', 'the words "A & <B>" on a poster']) {
      expect((await ask({ ...request, prompt })).status).toBe(200)
    }
  })
})
