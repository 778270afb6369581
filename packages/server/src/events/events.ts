import type { ChangeEvent } from '@idolon/contract'
import type { Knex } from 'knex'
import type { Logger } from 'pino'
import { Channel } from '../database/channel.ts'
import type { Database } from '../database/connect.ts'

export const CHANNEL = 'idolon_events'
/** One lock for all writers of events: ids then become visible in their order, so that a reader who resumes misses none. */
const ORDER_LOCK = 7_301_142

export interface NumberedEvent {
  /** Absent for passing notices, which are not kept. */
  id?: number
  body: ChangeEvent
}

/** Keeps an event and tells every process, when the surrounding transaction commits. */
export async function recordEvent(trx: Knex.Transaction, body: ChangeEvent): Promise<void> {
  await trx.raw(
    `with ordered as materialized (select pg_advisory_xact_lock(?)),
      kept as (insert into events (body) select ?::jsonb from ordered returning id)
     select pg_notify(?, json_build_object('id', id, 'body', ?::json)::text) from kept`,
    [ORDER_LOCK, JSON.stringify(body), CHANNEL, JSON.stringify(body)],
  )
}

/** Tells every process something that is only of now, and keeps nothing of it. */
export const tellPassing = (db: Database, body: ChangeEvent): Promise<unknown> => db.raw('select pg_notify(?, ?)', [CHANNEL, JSON.stringify({ body })]).then(() => undefined)

export const newestEventId = async (db: Database): Promise<number> => {
  const row = await db('events').max<{ max: number | null }>('id as max').first()
  return row?.max ?? 0
}

/** Events after `id`, or undefined when some of them are no longer kept. */
export async function eventsAfter(db: Database, id: number): Promise<NumberedEvent[] | undefined> {
  const oldest = await db('events').min<{ min: number | null }>('id as min').first()
  if ((oldest?.min ?? 1) > id + 1) return undefined
  return db('events').select<{ id: number; body: ChangeEvent }[]>('id', 'body').where('id', '>', id).orderBy('id').limit(5_000)
}

export const forgetOldEvents = (db: Database): Promise<number> => db('events').where('at', '<', db.raw(`now() - interval '1 day'`)).delete()

/** Hears the events of all processes. */
export class EventListener {
  readonly #listeners = new Set<(event: NumberedEvent) => void>()
  readonly #channel: Channel

  /** `onGap` is called after a gap, when events may have been missed. */
  constructor(url: string, log: Logger, onGap: () => void) {
    this.#channel = new Channel(url, {
      channel: CHANNEL,
      name: 'idolon events',
      heard: (payload) => {
        const event = JSON.parse(payload || '{}') as NumberedEvent
        for (const listener of this.#listeners) listener(event)
      },
      again: onGap,
      lost: (error) => {
        log.warn({ err: error }, 'event connection lost')
      },
    })
  }

  open(): Promise<void> {
    return this.#channel.open()
  }

  subscribe(listener: (event: NumberedEvent) => void): () => void {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }

  close(): Promise<void> {
    return this.#channel.close()
  }
}
