import type { ChangeEvent } from '@idolon/contract'
import type { Knex } from 'knex'
import pg from 'pg'
import type { Logger } from 'pino'
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

/** Hears the events of all processes over one connection of its own, which it renews when lost. */
export class EventListener {
  readonly #listeners = new Set<(event: NumberedEvent) => void>()
  #client: pg.Client | undefined
  #closed = false

  constructor(
    private readonly url: string,
    private readonly log: Logger,
    /** Called after a gap, when events may have been missed. */
    private readonly onGap: () => void,
  ) {}

  async open(): Promise<void> {
    const client = new pg.Client({ connectionString: this.url, application_name: 'idolon events' })
    client.on('notification', ({ payload }) => {
      const event = JSON.parse(payload ?? '{}') as NumberedEvent
      for (const listener of this.#listeners) listener(event)
    })
    client.on('error', (error) => {
      this.log.warn({ err: error }, 'event connection lost')
      this.#reopenSoon()
    })
    client.on('end', () => {
      this.#reopenSoon()
    })
    await client.connect()
    await client.query(`listen ${CHANNEL}`)
    this.#client = client
  }

  #reopenSoon(): void {
    if (this.#closed || !this.#client) return
    this.#client = undefined
    const again = () => {
      if (this.#closed) return
      this.open().then(this.onGap, () => setTimeout(again, 500))
    }
    setTimeout(again, 250)
  }

  subscribe(listener: (event: NumberedEvent) => void): () => void {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }

  async close(): Promise<void> {
    this.#closed = true
    await this.#client?.end()
  }
}
