import { chatConnection, type ModelConnection } from '@idolon/core/helper'
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterEach, describe, expect, it } from 'vitest'
import { AllowedAddresses } from './allowed-addresses.ts'
import { BrokenOff, LanguageModels } from './language-model.ts'
import { ServiceFailure } from './service-failure.ts'

let server: Server | undefined
afterEach(() => {
  server?.closeAllConnections()
  server?.close()
})
async function service(answer: (response: ServerResponse, request: IncomingMessage, body: string) => void): Promise<string> {
  server = createServer((request, response) => {
    let body = ''
    request.on('data', (chunk: Buffer) => (body += chunk.toString())).on('end', () => answer(response, request, body))
  }).listen(0, '127.0.0.1')
  await new Promise((resolve) => server?.once('listening', resolve))
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}`
}
const MESSAGES = [{ role: 'system' as const, content: 'Be brief.' }, { role: 'user' as const, content: 'A fox?' }]
const ask = (address: string, more: { connection?: ModelConnection; apiKey?: string; heard?: (text: string) => void; pictures?: string[]; signal?: AbortSignal } = {}) =>
  new LanguageModels(new AllowedAddresses('', address)).ask({ connection: chatConnection(`${address}/v1`, false), apiKey: undefined, messages: MESSAGES, values: { model: 'm', temperature: 0.5, seed: 3, mostOut: 100 }, timeoutMs: 600, ...more })
const failure = async (...asked: Parameters<typeof ask>): Promise<ServiceFailure> => {
  const error: unknown = await ask(...asked).then(() => undefined, (reason: unknown) => reason)
  if (!(error instanceof ServiceFailure)) throw new Error(`Expected a failure, not ${String(error)}`)
  return error
}
const stream = (response: ServerResponse, pieces: readonly string[]) => {
  response.writeHead(200, { 'content-type': 'text/event-stream' })
  for (const content of pieces) response.write(`data: ${JSON.stringify({ choices: [{ delta: { content } }] })}\n\n`)
}

describe('asking a model', () => {
  it('sends messages with what the profile names, and hears the answer as it grows', async () => {
    let sent: Record<string, unknown> = {}
    const heard: string[] = []
    const address = await service((response, _request, body) => {
      sent = JSON.parse(body) as typeof sent
      stream(response, ['{"prompt":', '"a fox"}'])
      response.end(`data: ${JSON.stringify({ choices: [], usage: { prompt_tokens: 12, completion_tokens: 4 } })}\n\ndata: [DONE]\n\n`)
    })
    expect(await ask(address, { heard: (text) => heard.push(text) })).toEqual({ text: '{"prompt":"a fox"}', tokensIn: 12, tokensOut: 4 })
    expect(heard).toEqual(['{"prompt":', '{"prompt":"a fox"}'])
    expect(sent).toMatchObject({ model: 'm', messages: MESSAGES, seed: 3, temperature: 0.5, stream: true })
  })

  it('takes an answer that comes whole, though a stream was asked for', async () => {
    const address = await service((response) => response.setHeader('content-type', 'application/json').end(JSON.stringify({ choices: [{ message: { content: 'a fox' } }] })))
    expect(await ask(address)).toEqual({ text: 'a fox' })
  })

  it('sends pictures with the first question', async () => {
    let sent = ''
    const address = await service((response, _request, body) => {
      sent = body
      response.setHeader('content-type', 'application/json').end(JSON.stringify({ choices: [{ message: { content: 'a fox' } }] }))
    })
    await ask(address, { pictures: ['data:image/png;base64,AAAA'] })
    expect(JSON.parse(sent)).toMatchObject({ messages: [MESSAGES[0], { role: 'user', content: [{ type: 'text', text: 'A fox?' }, { type: 'image_url', image_url: { url: 'data:image/png;base64,AAAA' } }] }] })
  })

  it.each([
    [401, {}, { error: { message: 'bad key' } }, /refused the key.*bad key/, false, 'no'],
    [429, { 'retry-after': '2' }, { error: { message: 'slow down' } }, /busy/, true, 'no'],
    [429, {}, { error: { message: 'You exceeded your current quota' } }, /quota is used up/, false, 'no'],
    [402, {}, {}, /quota is used up/, false, 'no'],
    [500, {}, {}, /failed \(status 500\)/, true, 'no'],
    [302, { location: 'http://127.0.0.1:1/' }, {}, /does not follow/, false, 'no'],
    [400, {}, { error: 'no such model' }, /no such model/, false, 'no'],
  ])('says what status %d means', async (status, headers, body, says, again, charged) => {
    const address = await service((response) => response.writeHead(status, headers as Record<string, string>).end(JSON.stringify(body)))
    const { reason, more } = await failure(address)
    expect(reason).toMatch(says)
    expect(more).toMatchObject({ again, charged })
  })

  it('keeps what had come of an answer that broke off, in the middle, by its own word, or by being stopped', async () => {
    let address = await service((response) => {
      stream(response, ['a fox ', 'in the'])
      setTimeout(() => response.destroy(), 30)
    })
    const broke = await failure(address)
    expect(broke).toBeInstanceOf(BrokenOff)
    expect(broke).toMatchObject({ text: 'a fox in the' })
    address = await service((response) => {
      stream(response, ['a fox'])
      response.end(`data: ${JSON.stringify({ error: { message: 'overloaded' } })}\n\n`)
    })
    expect((await failure(address)).reason).toContain('overloaded')
    address = await service((response) => stream(response, ['a fox']))
    const stop = new AbortController()
    setTimeout(() => stop.abort(), 150)
    expect(await failure(address, { signal: stop.signal })).toMatchObject({ reason: 'The asking was stopped.', text: 'a fox' })
  })

  it('gives up on one that never answers, and goes to no address that is not allowed', async () => {
    const address = await service(() => undefined)
    expect((await failure(address)).reason).toMatch(/no answer within/)
    expect((await failure(address, { connection: chatConnection('http://127.0.0.1:9999/v1', false) })).reason).toMatch(/Nothing was sent/)
  })

  it('sends a key only where the profile says so, and not at all without one', async () => {
    let key: string | undefined
    const address = await service((response, request) => {
      key = request.headers.authorization
      response.setHeader('content-type', 'application/json').end(JSON.stringify({ choices: [{ message: { content: 'ok' } }] }))
    })
    await ask(address, { connection: chatConnection(`${address}/v1`, true), apiKey: 's3' })
    expect(key).toBe('Bearer s3')
    expect((await failure(address, { connection: chatConnection(`${address}/v1`, true) })).reason).toContain('needs an API key')
  })
})
