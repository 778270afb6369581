import { type Connection, standinConnection } from '@idolon/core'
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterEach, describe, expect, it } from 'vitest'
import { boundedBody } from './bounded-body.ts'
import { ServiceFailure } from './service-failure.ts'
import { AllowedAddresses } from './allowed-addresses.ts'
import { PictureEngines } from './picture-engine.ts'

let server: Server | undefined
afterEach(() => {
  server?.closeAllConnections()
  server?.close()
})
async function engine(answer: (response: ServerResponse, request: IncomingMessage) => void): Promise<string> {
  server = createServer((request, response) => answer(response, request)).listen(0, '127.0.0.1')
  await new Promise((resolve) => server?.once('listening', resolve))
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}`
}
const values = { prompt: 'a fox', width: 768, height: 512, seed: 3, settings: {} }
const asking = (address: string, change: Partial<Connection> = {}) => ({ connection: { ...standinConnection(address), ...change }, apiKey: undefined, values, seed: 3, key: 'k', timeoutMs: 400 })
const ask = (address: string, change: Partial<Connection> = {}) => new PictureEngines(new AllowedAddresses('', address)).ask(asking(address, change))
const failure = async (address: string, change: Partial<Connection> = {}): Promise<ServiceFailure> => {
  const error: unknown = await ask(address, change).then(() => undefined, (reason: unknown) => reason)
  if (!(error instanceof ServiceFailure)) throw new Error(`Expected an engine failure, not ${String(error)}`)
  return error
}

describe('asking an engine', () => {
  it('names the asking by its key, and sends what the draft says as fields', async () => {
    let seen: { key: unknown; body: string } = { key: '', body: '' }
    const address = await engine((response, request) => {
      let body = ''
      request.on('data', (chunk: Buffer) => (body += chunk.toString()))
      request.on('end', () => {
        seen = { key: request.headers['idempotency-key'], body }
        response.end(JSON.stringify({ pictures: [{ png: 'aGk=' }] }))
      })
    })
    expect(await ask(address)).toEqual({ bytes: Buffer.from('hi'), seed: 3 })
    expect(seen.key).toBe('k')
    expect(JSON.parse(seen.body)).toMatchObject({ prompt: 'a fox', count: 1, seed: 3, width: 768, height: 512 })
  })

  it('waits as long as a busy engine says, but not longer than half a minute', async () => {
    const busy = (wait: string) => engine((response) => response.writeHead(429, { 'retry-after': wait }).end())
    expect((await failure(await busy('2'))).more).toEqual({ charged: 'no', again: true, busy: true, waitSeconds: 2 })
    expect((await failure(await busy('90000'))).more.waitSeconds).toBe(30)
    expect((await failure(await busy('soon'))).more.waitSeconds).toBeUndefined()
  })

  it('knows when it may have been charged: not when nothing was reached, perhaps when no answer came', async () => {
    const address = await engine((response) => response.destroy())
    expect((await failure(address)).more.charged).toBe('perhaps')
    const silent = await engine(() => undefined)
    expect((await failure(silent)).reason).toMatch(/no answer within/)
    const gone = await engine(() => undefined)
    await new Promise((resolve) => server?.close(resolve))
    expect((await failure(gone)).more).toEqual({ charged: 'no', again: true })
  })

  it('follows no redirect, which could lead anywhere', async () => {
    const address = await engine((response) => response.writeHead(302, { location: 'http://127.0.0.1:1/elsewhere' }).end())
    expect(await failure(address)).toMatchObject({ reason: expect.stringMatching(/elsewhere/) as string, more: { charged: 'no', again: false } })
  })

  it('sends an API key in its header, and nothing at all while none is kept', async () => {
    let seen: unknown
    const address = await engine((response, request) => {
      seen = request.headers['authorization']
      response.end(JSON.stringify({ pictures: [{ png: 'aGk=' }] }))
    })
    const headers = { authorization: 'Bearer {apiKey}' }
    expect((await failure(address, { headers })).reason).toMatch(/needs an API key/)
    expect(seen).toBeUndefined()
    await new PictureEngines(new AllowedAddresses('', address)).ask({ ...asking(address, { headers }), apiKey: 'tok' })
    expect(seen).toBe('Bearer tok')
  })

  it('stops waiting when it is stopped, and tells the service', async () => {
    const heard: string[] = []
    const address = await engine((response, request) => {
      heard.push(`${request.method ?? ''} ${request.url ?? ''}`)
      response.end(JSON.stringify({ id: 'a/1', state: 'working' }))
    })
    const stop = new AbortController()
    const waiting = new PictureEngines(new AllowedAddresses('', address)).ask({ ...asking(address, { poll: { id: '/id', url: `${address}/jobs/{id}`, state: '/state', done: ['done'], failed: ['failed'], everyMs: 100 }, cancel: { method: 'DELETE', url: `${address}/jobs/{id}` } }), timeoutMs: 5_000, signal: stop.signal })
    setTimeout(() => stop.abort(), 250)
    await expect(waiting).rejects.toThrow('The asking was stopped.')
    expect(heard.at(-1)).toBe('DELETE /jobs/a%2F1')
  })

  it('quotes what the engine said, on one line and not all of it', async () => {
    const address = await engine((response) => response.writeHead(400).end(JSON.stringify({ detail: `too\n\nwide ${'x'.repeat(900)}` })))
    const { reason } = await failure(address)
    expect(reason).toContain('too wide')
    expect(reason.length).toBeLessThan(420)
  })
})

describe('boundedBody', () => {
  it('stops reading an endless answer at its limit', async () => {
    let sent = 0
    const endless = new Response(new ReadableStream({ pull: (stream) => { stream.enqueue(new Uint8Array(1_000)); sent += 1_000 } }))
    await expect(boundedBody(endless, 5_000)).rejects.toThrow(/larger than/)
    expect(sent).toBeLessThan(20_000)
  })
  it('gives a short one whole, and an empty one as nothing', async () => {
    expect((await boundedBody(new Response('four'), 4)).toString()).toBe('four')
    expect(await boundedBody(new Response(null), 4)).toHaveLength(0)
  })
})
