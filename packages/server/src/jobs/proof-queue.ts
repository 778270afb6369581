import type { Knex } from 'knex'
import PgBoss from 'pg-boss'
import type { Logger } from 'pino'

const QUEUE = 'proof'
const CHANNEL = 'idolon_jobs'

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

/** The jobs that ask engines for proofs: one job a request, kept in PostgreSQL. */
export class ProofQueue {
  readonly #boss: PgBoss
  readonly #workers: string[] = []

  constructor(url: string, log: Logger) {
    this.#boss = new PgBoss({ connectionString: url, application_name: 'idolon jobs', schema: 'jobs', max: 4 })
    this.#boss.on('error', (error) => {
      log.warn({ err: error }, 'job queue')
    })
  }

  async open(): Promise<void> {
    await this.#boss.start()
    // What a dead worker leaves is found by the proof's own lease, so the queue itself never tries again.
    await this.#boss.createQueue(QUEUE, { name: QUEUE, policy: 'standard', retryLimit: 0, expireInSeconds: 600, retentionMinutes: 60 })
  }

  /** Adds jobs as part of the transaction; they start when it commits. */
  async add(trx: Knex.Transaction, proofIds: readonly string[]): Promise<void> {
    if (proofIds.length === 0) return
    await this.#boss.insert(
      proofIds.map((proofId) => ({ name: QUEUE, data: { proofId } satisfies Job })),
      inside(trx),
    )
    await trx.raw('select pg_notify(?, ?)', [CHANNEL, ''])
  }

  async work(concurrency: number, make: (proofId: string) => Promise<void>): Promise<void> {
    for (let i = 0; i < concurrency; i++) {
      const id = await this.#boss.work<Job>(QUEUE, { pollingIntervalSeconds: 1, batchSize: 1 }, async ([job]) => {
        if (job) await make(job.data.proofId)
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
  }
}

export const JOBS_CHANNEL = CHANNEL
