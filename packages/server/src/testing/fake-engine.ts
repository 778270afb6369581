import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import type { AddressInfo } from 'node:net'
import sharp from 'sharp'

export interface EngineCall {
  key: string
  body: { prompt: string; leaveOut?: string; seed: number; width: number; height: number; settings: Record<string, unknown> }
}

/** A picture engine whose every answer a test decides. Counts a key once, as the real ones do. */
export class FakeEngine {
  readonly calls: EngineCall[] = []
  readonly charged = new Set<string>()
  /** What to answer instead of a picture; undefined for a picture. */
  answer: ((call: EngineCall, response: ServerResponse, attempt: number) => void | Promise<void>) | undefined
  #server: Server | undefined
  address = ''

  async start(): Promise<this> {
    this.#server = createServer((request, response) => void this.#handle(request, response))
    await new Promise<void>((resolve) => this.#server?.listen(0, '127.0.0.1', resolve))
    this.address = `http://127.0.0.1:${(this.#server.address() as AddressInfo).port}`
    return this
  }

  async stop(): Promise<void> {
    this.#server?.closeAllConnections()
    await new Promise((resolve) => this.#server?.close(resolve))
  }

  async #handle(request: IncomingMessage, response: ServerResponse): Promise<void> {
    const chunks: Buffer[] = []
    for await (const chunk of request) chunks.push(chunk as Buffer)
    const call: EngineCall = { key: String(request.headers['idempotency-key']), body: JSON.parse(Buffer.concat(chunks).toString()) as EngineCall['body'] }
    const attempt = this.calls.filter(({ key }) => key === call.key).length + 1
    this.calls.push(call)
    if (this.answer) await this.answer(call, response, attempt)
    else await this.giveAPicture(call, response)
  }

  async giveAPicture(call: EngineCall, response: ServerResponse): Promise<void> {
    this.charged.add(call.key)
    const png = await picture(call.body.seed, 24, Math.max(1, Math.round((24 * call.body.height) / call.body.width)))
    response.setHeader('content-type', 'application/json').end(JSON.stringify({ pictures: [{ png: png.toString('base64'), seed: call.body.seed }] }))
  }
}

export const picture = (seed: number, width = 24, height = 16): Promise<Buffer> =>
  sharp({ create: { width, height, channels: 3, background: { r: seed % 256, g: (seed >> 8) % 256, b: 90 } } })
    .png()
    .toBuffer()
