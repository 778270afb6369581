import type { RequestHandler, Response } from 'express'
import type { Database } from '../database/connect.ts'
import { type EventListener, eventsAfter, newestEventId, type NumberedEvent } from './events.ts'

const BEAT_MS = 15_000

const write = (response: Response, { id, body }: NumberedEvent) =>
  response.write(`${id === undefined ? '' : `id: ${id}\n`}data: ${JSON.stringify(body)}\n\n`)

/**
 * Server-sent events. A page that comes back with Last-Event-ID gets what it
 * missed; when that is no longer kept it gets `event: reset` and reads everything again.
 */
export class EventStreams {
  readonly #open = new Set<Response>()

  constructor(
    private readonly db: Database,
    private readonly listener: () => EventListener,
  ) {}

  readonly handle: RequestHandler = async (request, response) => {
    const given = Number(request.headers['last-event-id'])
    response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' })
    response.write('retry: 1000\n\n')
    let sentTo = -1
    let waiting: NumberedEvent[] | undefined = []
    const send = (event: NumberedEvent) => {
      if (event.id !== undefined) {
        if (event.id <= sentTo) return
        sentTo = event.id
      }
      write(response, event)
    }
    const leave = this.listener().subscribe((event) => {
      if (waiting) waiting.push(event)
      else send(event)
    })
    const beat = setInterval(() => response.write(': still here\n\n'), BEAT_MS)
    response.on('close', () => {
      leave()
      clearInterval(beat)
      this.#open.delete(response)
    })
    this.#open.add(response)
    const missed = Number.isSafeInteger(given) && given >= 0 && request.headers['last-event-id'] ? await eventsAfter(this.db, given) : undefined
    if (missed) missed.forEach(send)
    else {
      sentTo = await newestEventId(this.db)
      response.write(`id: ${sentTo}\nevent: ${request.headers['last-event-id'] ? 'reset' : 'hello'}\ndata: {}\n\n`)
    }
    const held = waiting
    waiting = undefined
    held.forEach(send)
  }

  /** Tells every page to read everything again. */
  resetAll(): void {
    for (const response of this.#open) response.write('event: reset\ndata: {}\n\n')
  }

  close(): void {
    for (const response of this.#open) response.end()
  }
}
