import { setApiKey, listEngines, type Problem, previewRequest, readRun, saveEngine, startRun, stopRun, switchEngine, tryEngine } from '@idolon/contract'
import { type EngineProfile, SHIPPED_ENGINES } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { picture } from '../testing/fake-engine.ts'
import { TestServer } from '../testing/test-server.ts'

/** A service of quite another shape: it takes a request, is asked until it is done, and names an address for the picture. */
class JobService {
  readonly heard: { method: string; path: string; authorization: string | undefined; body: unknown }[] = []
  looks = 2
  #server: Server | undefined
  address = ''
  end: (looks: number) => unknown = () => ({ status: 'ready', output: [{ href: '/files/one.png' }], used: { seed: 99 }, price: { credits: 2.2 } })

  async start(): Promise<this> {
    let asked = 0
    this.#server = createServer((request, response) => {
      void (async () => {
        let text = ''
        for await (const chunk of request) text += String(chunk)
        const path = request.url ?? ''
        this.heard.push({ method: request.method ?? '', path, authorization: request.headers.authorization, body: text ? JSON.parse(text) : undefined })
        if (path === '/files/one.png') {
          response.end(await picture(99, 24, 16))
          return
        }
        response.setHeader('content-type', 'application/json')
        if (request.method === 'POST') asked = 0
        response.end(JSON.stringify(request.method === 'POST' ? { job: { id: 'j/7' } } : ++asked < this.looks ? { status: 'working' } : this.end(asked)))
      })()
    }).listen(0, '127.0.0.1')
    await new Promise((resolve) => this.#server?.once('listening', resolve))
    this.address = `http://127.0.0.1:${(this.#server.address() as AddressInfo).port}`
    return this
  }

  stop(): Promise<unknown> {
    this.#server?.closeAllConnections()
    return new Promise((resolve) => this.#server?.close(resolve))
  }
}

let server: TestServer
let service: JobService
let profile: EngineProfile
const at = () => ({ engine: 'press', revision: '1' })
beforeAll(async () => {
  server = await TestServer.start()
  service = await new JobService().start()
  profile = {
    ...SHIPPED_ENGINES[0]!,
    id: 'press',
    name: 'Press',
    simulated: false,
    honoursIdempotencyKey: false,
    connection: {
      url: `${service.address}/jobs`,
      headers: { authorization: 'Bearer {apiKey}' },
      body: { input: { text: '{prompt}', size: '{width}x{height}', options: { seed: '{seed}', strictness: '{settings/guidance}' } }, model: '{engine}' },
      answer: { picture: { at: '/output/0/href', as: 'url' }, seed: '/used/seed', cost: '/price/credits', error: '/why' },
      poll: { id: '/job/id', url: `${service.address}/jobs/{id}`, state: '/status', done: ['ready'], failed: ['broken'], everyMs: 100 },
      cancel: { method: 'DELETE', url: `${service.address}/jobs/{id}` },
    },
  }
  await server.call(saveEngine, { params: at(), body: profile })
})
afterAll(async () => {
  await server.stop()
  await service.stop()
})
beforeEach(() => {
  service.heard.length = 0
  service.looks = 2
})

async function promptFor(text: string) {
  const prompt = await server.prompt(text)
  await server.edit(prompt.id, 1, { engines: { at: 0, remove: 1, insert: [{ engine: 'press' }] }, settings: { count: 1, guidance: 7.5 } })
  return prompt
}

describe('a service of another shape, connected by its profile alone', () => {
  it('asks for nothing while no API key is kept, and says so', async () => {
    const prompt = await promptFor('a fox')
    const ended = await server.ended(await server.run(prompt.id, 2))
    expect(ended.proofs[0]).toMatchObject({ state: 'failed', reason: expect.stringMatching(/needs an API key/) as string })
    expect(service.heard).toEqual([])
    expect((await server.ledgerOf(prompt.id)).totals[0]?.amount ?? 0).toBe(0)
  })

  it('is given a request, asked until it is done, and its picture fetched without the API key; it costs what it says', async () => {
    expect(await server.call(setApiKey, { params: at(), body: { apiKey: 'tok-5' } })).toMatchObject({ hasApiKey: true })
    const prompt = await promptFor('a red fox')
    const ended = await server.ended(await server.run(prompt.id, 2))
    expect(ended.proofs[0]).toMatchObject({ state: 'stored', seed: 99, cost: { unit: 'credit', amount: 3 } })
    expect((await server.ledgerOf(prompt.id)).totals[0]?.amount).toBe(3)
    const [first, ...rest] = service.heard
    expect(first).toMatchObject({ method: 'POST', path: '/jobs', authorization: 'Bearer tok-5', body: { input: { text: expect.stringMatching(/red fox/i) as string, size: '768x512', options: { strictness: 7.5 } }, model: 'press' } })
    expect(rest.map(({ path }) => path)).toEqual(['/jobs/j%2F7', '/jobs/j%2F7', '/files/one.png'])
    expect(rest.at(-1)?.authorization).toBeUndefined()
  })

  it('gives its API key to nobody', async () => {
    const engines = JSON.stringify(await server.call(listEngines))
    const preview = await server.call(previewRequest, { body: { profile, text: 'a fox' } })
    expect(engines + JSON.stringify(preview)).not.toContain('tok-5')
    expect(preview).toMatchObject({ problem: null, request: { headers: { authorization: 'Bearer {apiKey}' }, body: { input: { text: expect.stringMatching(/fox/i) as string } } } })
    expect(JSON.stringify(await server.db('engine_states').select())).not.toContain('tok-5')
  })

  it('gives up, and says what the service said', async () => {
    service.end = () => ({ status: 'broken', why: 'out of ink' })
    const prompt = await promptFor('a fox')
    const ended = await server.ended(await server.run(prompt.id, 2))
    expect(ended.proofs[0]).toMatchObject({ state: 'unknown', reason: expect.stringMatching(/gave up \(broken\). It said: out of ink/) as string })
  })

  it('is told when a run is stopped', async () => {
    service.looks = 1_000
    const prompt = await promptFor('a fox')
    const run = await server.run(prompt.id, 2)
    while (!service.heard.some(({ method }) => method === 'GET')) await sleep(30)
    await server.call(stopRun, { params: { run: run.id } })
    await server.ended(run)
    expect(service.heard.at(-1)).toMatchObject({ method: 'DELETE', path: '/jobs/j%2F7' })
    expect((await server.call(readRun, { params: { run: run.id } })).proofs[0]).toMatchObject({ state: 'unknown', reason: expect.stringMatching(/was stopped/) as string })
  })

  it('makes one picture to try it, which is counted and not kept; switched off, it is asked for nothing', async () => {
    service.looks = 1
    service.end = () => ({ status: 'ready', output: [{ href: '/files/one.png' }] })
    const tried = await server.call(tryEngine, { params: at(), body: { text: 'a fox' } })
    expect(tried).toMatchObject({ problem: null, width: 24, height: 16, cost: 4 })
    expect(tried.picture).toMatch(/^data:image\/webp;base64,/)
    const press = async () => (await server.call(listEngines)).find(({ profile: { id } }) => id === 'press')!
    expect((await press()).usage).toMatchObject({ stored: 2, spent: expect.any(Number) as number })
    expect(await server.call(switchEngine, { params: at(), body: { off: true } })).toMatchObject({ off: true, connected: false })
    const prompt = await promptFor('a fox')
    const { status, body } = await server.ask(startRun, { params: { prompt: prompt.id }, body: { id: randomUUID(), revision: 2 } })
    expect([status, (body as Problem).detail]).toEqual([422, expect.stringMatching(/switched off/)])
    await server.call(switchEngine, { params: at(), body: { off: false } })
    expect((await press()).connected).toBe(true)
  })
})
