import type { Knex } from 'knex'
import type { Logger } from 'pino'
import { openBundle } from '../bundles/open-bundle.ts'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { ProblemError } from '../http/problem.ts'
import type { SearchIndex } from '../shelf/search-index.ts'
import { importPrompts } from './import-prompts.ts'
import { lookThrough } from './look-through.ts'
import { type Held, holds } from './read-file.ts'
import { asProblem } from './service.ts'
import { importRow, type ImportRow, partsOf } from './store.ts'

/** A file whose worker is silent for so long is free for another; nothing of it was kept. */
const LEASE_SECONDS = 60
/** One import of a file at a time, whatever the leases say. */
const TURN = 118_802

/** Brings in what was asked for, one file after the other, each all or nothing. */
export class ImportWorker {
  constructor(
    private readonly db: Database,
    private readonly engines: Engines,
    private readonly index: SearchIndex,
    private readonly log: Logger,
  ) {}

  /** Brings in one file that waits; whether there was one. */
  async look(): Promise<number> {
    const { rows } = await this.db.raw<{ rows: { id: string }[] }>(
      `update imports set lease_until = now() + interval '${LEASE_SECONDS} seconds' where id = (
         select id from imports where state = 'asked' and (lease_until is null or lease_until < now()) order by at limit 1 for update skip locked) returning id`,
    )
    const row = rows[0] && (await importRow(this.db, rows[0].id))
    if (!row?.asked) return 0
    try {
      await this.#importFile(row)
    } catch (error) {
      const problem = asProblem(error)
      if (!(problem instanceof ProblemError)) this.log.error({ err: error, import: row.id }, 'a file was not imported')
      await this.#note(row.id, { state: 'failed', progress: 0, problem: problem instanceof ProblemError ? problem.detail : 'It could not be imported; nothing of it was kept. Try again.' })
    }
    return 1
  }

  async #importFile(row: ImportRow): Promise<void> {
    const parts = () => partsOf(this.db, row.id)
    const held = await holds(row.name, parts, row.encoding ?? undefined)
    await this.index.refresh()
    await this.db.transaction(async (trx) => {
      await trx.raw('select pg_advisory_xact_lock(?)', [TURN])
      const made = await this.#write(trx, row, held, parts)
      const { rowCount } = (await trx.raw<{ rowCount: number }>(`update imports set state = 'done', made = ? where id = ? and state = 'asked'`, [made, row.id]))
      // Another worker did it meanwhile.
      if (rowCount === 0) throw new ProblemError('not-now', 'This file was imported already.')
      await trx('import_parts').where({ import_id: row.id }).delete()
      await recordEvent(trx, { kind: 'project' })
      await recordEvent(trx, { kind: 'prompt' })
      await recordEvent(trx, { kind: 'import', importId: row.id })
    })
  }

  async #write(trx: Knex.Transaction, row: ImportRow, held: Held, parts: () => AsyncIterable<Buffer>): Promise<number> {
    if ('bundle' in held) return openBundle(trx, this.engines, held.bundle, parts, row.asked!)
    return importPrompts(trx, this.engines, lookThrough(trx, held.found, row.mapping), { ...row.asked!, by: row.came_by }, (done) => this.#note(row.id, { progress: done, lease_until: this.db.raw(`now() + interval '${LEASE_SECONDS} seconds'`) }))
  }

  async #note(id: string, values: object): Promise<void> {
    await this.db.transaction(async (trx) => {
      await trx('imports').where({ id, state: 'asked' }).update(values)
      await recordEvent(trx, { kind: 'import', importId: id })
    })
  }
}
