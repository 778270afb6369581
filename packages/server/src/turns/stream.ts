import { Id } from '@idolon/contract'
import { Type } from '@sinclair/typebox'
import type { IRouter, Response } from 'express'
import type { Database } from '../database/connect.ts'
import { demand } from '../http/validators.ts'
import { turnById } from './rows.ts'

const Params = Type.Object({ turn: Id }, { additionalProperties: false })
const BEAT_MS = 15_000

/**
 * Answers as they grow, as server-sent events: each carries the text from where the last one ended, and as its id how far it
 * reaches, so that a page that comes back with Last-Event-ID misses nothing. `event: again` begins anew, `event: end` ends.
 */
export class TurnStreams {
  readonly #open = new Map<string, Set<() => void>>()

  constructor(private readonly db: Database) {}

  /** Something of a turn was written, in whichever process. */
  heard(id: string): void {
    for (const look of this.#open.get(id) ?? []) look()
  }

  /** Something may have been missed. */
  lookAtAll(): void {
    for (const id of this.#open.keys()) this.heard(id)
  }

  routes(router: IRouter): void {
    router.get('/api/turns/:turn/stream', (request, response) => {
      const params = { ...request.params }
      demand(Params, params, 'path')
      this.#follow(params.turn, Math.max(0, Number(request.headers['last-event-id']) || 0), response)
    })
  }

  #follow(id: string, from: number, response: Response): void {
    response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' })
    response.write('retry: 500\n\n')
    let sent = from
    let last = ''
    let ended = false
    let looking: Promise<void> | undefined
    let again = false
    const look = () => {
      if (looking) {
        again = true
        return
      }
      looking = read().catch(() => undefined).finally(() => {
        looking = undefined
        if (again) {
          again = false
          look()
        }
      })
    }
    const read = async () => {
      if (ended) return
      const row = await this.db('turns').where({ id }).first<{ text: string; state: string } | undefined>('text', 'state')
      if (!row) {
        ended = true
        response.end('event: gone\ndata: {}\n\n')
        return
      }
      // Asked again, it begins anew.
      if (row.text.length < sent || (last && !row.text.startsWith(last))) {
        sent = 0
        response.write('id: 0\nevent: again\ndata: {}\n\n')
      }
      if (row.text.length > sent) {
        response.write(`id: ${row.text.length}\ndata: ${JSON.stringify(row.text.slice(sent))}\n\n`)
        sent = row.text.length
      }
      last = row.text
      if (row.state !== 'asked' && row.state !== 'answering') {
        ended = true
        response.end(`event: end\ndata: ${JSON.stringify(await turnById(this.db, id))}\n\n`)
      }
    }
    const all = this.#open.get(id) ?? new Set()
    all.add(look)
    this.#open.set(id, all)
    const beat = setInterval(() => {
      response.write(': still here\n\n')
      look()
    }, BEAT_MS)
    response.on('close', () => {
      ended = true
      clearInterval(beat)
      all.delete(look)
      if (all.size === 0) this.#open.delete(id)
    })
    look()
  }
}
