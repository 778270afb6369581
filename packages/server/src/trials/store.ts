import type { Amount, Trial } from '@idolon/contract'
import type { TrialBody } from '@idolon/core'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'

type Db = Database | Knex.Transaction

interface TrialRow {
  id: string
  prompt_id: string
  project_id: string
  title: string
  body: TrialBody
  combinations: number[][]
  asked_at: Date
  stopped_at: Date | null
  states: Partial<Trial['states']> | null
  judged: number
  keepers: number
  cost: Amount[] | null
}

const NONE: Trial['states'] = { asked: 0, sent: 0, stored: 0, failed: 0, stopped: 0, unknown: 0 }

/** Trial plans, newest first. `condition` speaks of `t` (the plan) and `x` (its prompt). */
export async function trialsWhere(db: Db, condition: string, bindings: readonly string[], limit: number): Promise<(Trial & { rows: number[][] })[]> {
  const { rows } = await db.raw<{ rows: TrialRow[] }>(
    `select t.*, x.project_id, coalesce(nullif(x.title, ''), d.first_words) as title, n.judged, n.keepers,
       (select json_object_agg(s.state, s.count) from (select p.state, count(*)::int as count from proofs p join runs r on r.id = p.run_id where r.trial_id = t.id group by 1) s) as states,
       (select json_agg(s) from (select l.unit, sum(l.amount)::int as amount from ledger l join runs r on r.id = l.run_id where r.trial_id = t.id group by l.unit order by l.unit) s) as cost
     from trials t join prompts x on x.id = t.prompt_id join drafts d on d.prompt_id = x.id
     cross join lateral (select count(*) filter (where verdict is not null)::int as judged, count(*) filter (where verdict = 'keep')::int as keepers from proofs p join runs r on r.id = p.run_id where r.trial_id = t.id and p.deleted_at is null) n
     where ${condition} order by t.asked_at desc limit ?`,
    [...bindings, limit],
  )
  return rows.map((row) => ({
    id: row.id,
    promptId: row.prompt_id,
    projectId: row.project_id,
    promptTitle: row.title,
    body: row.body,
    combinations: row.combinations.length,
    rows: row.combinations,
    askedAt: row.asked_at.toISOString(),
    stoppedAt: row.stopped_at?.toISOString() ?? null,
    states: { ...NONE, ...row.states },
    judged: row.judged,
    keepers: row.keepers,
    cost: row.cost ?? [],
  }))
}

/** Results of a plan with a picture: the combination each is of, and how it was judged. */
export async function resultsOf(db: Db, trial: string): Promise<{ id: string; row: number; verdict: 'keep' | 'maybe' | 'drop' | null }[]> {
  const { rows } = await db.raw<{ rows: { id: string; row: number; verdict: 'keep' | 'maybe' | 'drop' | null }[] }>(
    `select p.id, r.trial_row as row, p.verdict from proofs p join runs r on r.id = p.run_id where r.trial_id = ? and p.state = 'stored' and p.deleted_at is null order by r.trial_row, p.place`,
    [trial],
  )
  return rows
}
