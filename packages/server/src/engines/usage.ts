import type { EngineUsage } from '@idolon/contract'
import type { Database } from '../database/connect.ts'

const NONE: EngineUsage = { stored: 0, failed: 0, medianMs: null, spent: 0, lastFailure: null }

/** What every engine has made, missed, taken and cost, by “id revision”: proofs and tries together. */
export async function usageByEngine(db: Database): Promise<(id: string, revision: string) => EngineUsage> {
  const { rows } = await db.raw<{ rows: { id: string; revision: string; stored: string; failed: string; median: number | null; spent: string; failure: string | null }[] }>(`
    with asked as (
      select engine->>'id' id, engine->>'revision' revision, state in ('stored') stored, state in ('failed', 'unknown') failed, took_ms, coalesce(cost, 0) cost, reason, coalesce(stored_at, sent_at, asked_at) at
        from proofs where state not in ('asked', 'sent', 'stopped')
      union all
      select engine, revision, reason is null, reason is not null, took_ms, cost, reason, tried_at from engine_tries
    )
    select id, revision, count(*) filter (where stored) stored, count(*) filter (where failed) failed,
      percentile_cont(0.5) within group (order by took_ms) filter (where stored) median, sum(cost) spent,
      (array_agg(reason order by at desc) filter (where failed))[1] failure
    from asked group by id, revision`)
  const known = new Map(rows.map((row) => [`${row.id} ${row.revision}`, { stored: Number(row.stored), failed: Number(row.failed), medianMs: row.median === null ? null : Math.round(row.median), spent: Number(row.spent), lastFailure: row.failure }]))
  return (id, revision) => known.get(`${id} ${revision}`) ?? NONE
}
