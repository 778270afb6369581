import type { EngineChoice, Settings } from '@idolon/core'
import { runChanges } from '@idolon/core'
import type { Amount, Proof, Run } from '@idolon/contract'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import { proofQuery, proofsOf } from '../proofs/proof-rows.ts'

type Db = Database | Knex.Transaction

interface RunRow {
  id: string
  prompt_id: string
  project_id: string
  title: string
  version_id: string
  version: number
  draft_revision: number
  engines: EngineChoice[]
  settings: Settings
  before_engines: EngineChoice[] | null
  before_settings: Settings | null
  asked_at: Date
  stopped_at: Date | null
  by_hand: boolean
  trial_id: string | null
  sweep: Run['sweep']
  cost: Amount[] | null
}

/** Runs with their proofs, newest first. `condition` speaks of `r` (the run) and `x` (its prompt). */
export async function runsWhere(db: Db, condition: string, bindings: readonly (string | number)[], limit: number, offset = 0): Promise<Run[]> {
  const { rows } = await db.raw<{ rows: RunRow[] }>(
    `select r.*, x.project_id, coalesce(nullif(x.title, ''), d.first_words) as title, v.number as version, b.engines as before_engines, b.settings as before_settings,
       (select json_agg(s) from (select unit, sum(amount)::int as amount from ledger where run_id = r.id group by unit) s) as cost
     from runs r join prompts x on x.id = r.prompt_id join versions v on v.id = r.version_id
     join drafts d on d.prompt_id = r.prompt_id
     left join lateral (
       select engines, settings from runs where prompt_id = r.prompt_id and asked_at < r.asked_at order by asked_at desc limit 1) b on true
     where ${condition} order by r.asked_at desc limit ? offset ?`,
    [...bindings, limit, offset],
  )
  const proofs = await proofsOf(proofQuery(db).whereIn('proofs.run_id', rows.map((row) => row.id)).orderBy(['proofs.run_id', 'proofs.place', 'proofs.id']))
  const byRun = new Map<string, Proof[]>()
  for (const proof of proofs) byRun.set(proof.runId, [...(byRun.get(proof.runId) ?? []), proof])
  return rows.map((row) => ({
    id: row.id,
    promptId: row.prompt_id,
    projectId: row.project_id,
    promptTitle: row.title,
    versionId: row.version_id,
    version: row.version,
    revision: row.draft_revision,
    engines: row.engines,
    settings: row.settings,
    changes:
      row.before_engines && row.before_settings
        ? runChanges({ engines: row.before_engines, settings: row.before_settings }, { engines: row.engines, settings: row.settings })
        : [],
    askedAt: row.asked_at.toISOString(),
    stoppedAt: row.stopped_at?.toISOString() ?? null,
    byHand: row.by_hand,
    trialId: row.trial_id,
    sweep: row.sweep,
    cost: row.cost ?? [],
    proofs: inOrder(byRun.get(row.id) ?? [], row.engines),
  }))
}

/** By engine, as they were chosen; then by their places. */
function inOrder(proofs: readonly Proof[], engines: readonly EngineChoice[]): Proof[] {
  const place = ({ engine }: Proof) => engines.findIndex((choice) => choice.engine === engine.id && (choice.revision ?? engine.revision) === engine.revision)
  return [...proofs].sort((a, b) => place(a) - place(b) || a.index - b.index)
}
