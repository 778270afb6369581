import type { Knex } from 'knex'
import { setTimeout as sleep } from 'node:timers/promises'
import pg from 'pg'
import PgBoss from 'pg-boss'
import type { Logger } from 'pino'
import { isDatabaseAway } from '../database/away.ts'

const QUEUE = 'proof'
const CHANNEL = 'idolon_jobs'
/** Workers are woken when jobs come; they look by themselves only for what a lost connection kept from them. */
const POLL_SECONDS = 4

interface Job {
  proofId: string
}

/** Runs pg-boss's SQL inside a Knex transaction: each $n becomes a positional binding of its own. */
const inside = (trx: Knex.Transaction) => ({
  db: {
    async executeSql(text: string, values: unknown[] = []) {
      const bindings: unknown[] = []
      const sql = text.replace(/\?/g, '\\?').replace(/\$(\d+)/g, (_, n: string) => {
        bindings.push(values[Number(n) - 1] ?? null)
        return '?'
      })
      return trx.raw<{ rows: unknown[] }>(sql, bindings as Knex.RawBinding[])
    },
  },
})

/** All that can go wrong on the way to the database: of the queue's own statements every broken pipe is the database's. */
const isAway = (error: unknown): boolean => isDatabaseAway(error) || /^(?:ECONN\w+|EPIPE)$/.test((error as { code?: string }).code ?? '')

/** The jobs that ask engines for proofs: one job a request, kept in PostgreSQL. */
export class ProofQueue {
  readonly #boss: PgBoss
  readonly #workers: string[] = []
  readonly #pool: pg.Pool
  #closed = false

  constructor(url: string, log: Logger) {
    this.#pool = new pg.Pool({ connectionString: url, application_name: 'idolon jobs', max: 4 })
    // A connection that is lost while it rests is made anew when it is needed.
    this.#pool.on('error', () => undefined)
    this.#boss = new PgBoss({ db: { executeSql: (text: string, values?: unknown[]) => this.#execute(text, values) }, schema: 'jobs' })
    this.#boss.on('error', (error) => {
      log.warn({ err: error }, 'job queue')
    })
  }

  /**
   * A statement of the queue waits while the database is away: the library leaves what then fails without anyone to catch it,
   * which would end the process. One that was lost on the way may run twice; what a job does is guarded by its proof's lease.
   */
  async #execute(text: string, values: unknown[] = []): Promise<{ rows: unknown[]; rowCount: number }> {
    for (;;) {
      try {
        const { rows, rowCount } = await this.#pool.query(text, values)
        return { rows: rows as unknown[], rowCount: rowCount ?? 0 }
      } catch (error) {
        if (this.#closed) return { rows: [], rowCount: 0 }
        if (!isAway(error)) throw error
        await sleep(500)
      }
    }
  }

  async open(): Promise<void> {
    await this.#boss.start()
    // What a dead worker leaves is found by the proof's own lease, so the queue itself never tries again.
    await this.#boss.createQueue(QUEUE, { name: QUEUE, policy: 'standard', retryLimit: 0, expireInSeconds: 600, retentionMinutes: 60 })
  }

  /**
   * Adds jobs as part of the transaction; they start when it commits. Lower turns come first, so that every engine of every
   * run is at work before one of them has all there is room for.
   */
  async add(trx: Knex.Transaction, proofIds: readonly string[], turns: readonly number[] = []): Promise<void> {
    if (proofIds.length === 0) return
    await this.#boss.insert(
      proofIds.map((proofId, i) => ({ name: QUEUE, data: { proofId } satisfies Job, priority: -(turns[i] ?? 0) })),
      inside(trx),
    )
    await trx.raw('select pg_notify(?, ?)', [CHANNEL, ''])
  }

  async work(concurrency: number, make: (proofId: string) => Promise<void>): Promise<void> {
    for (let i = 0; i < concurrency; i++) {
      const id = await this.#boss.work<Job>(QUEUE, { pollingIntervalSeconds: POLL_SECONDS, batchSize: 1 }, async ([job]) => {
        if (!job) return
        try {
          await make(job.data.proofId)
        } finally {
          // The queue's worker would else rest until its next poll, with jobs waiting.
          this.#boss.notifyWorker(id)
        }
      })
      this.#workers.push(id)
    }
  }

  /** Looks for jobs now instead of at the next poll. */
  wake(): void {
    for (const id of this.#workers) this.#boss.notifyWorker(id)
  }

  async close(): Promise<void> {
    await this.#boss.stop({ graceful: true, timeout: 2_000, wait: true })
    this.#closed = true
    await this.#pool.end()
  }
}

export const JOBS_CHANNEL = CHANNEL
