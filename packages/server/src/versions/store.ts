import type { EngineChoice, Fault, Settings, VersionBody } from '@idolon/core'
import type { Amount, Version } from '@idolon/contract'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import { bestProofId, proofsById } from '../proofs/proof-rows.ts'

type Db = Database | Knex.Transaction

export interface VersionRow {
  id: string
  prompt_id: string
  number: number
  parent: number | null
  body: VersionBody
  changes: string[]
  why: string
  created_at: Date
}

export const versionById = (db: Db, id: string): Promise<VersionRow | undefined> =>
  db('versions').where({ id }).first<VersionRow | undefined>('*')

export const versionByNumber = (db: Db, promptId: string, number: number): Promise<VersionRow | undefined> =>
  db('versions').where({ prompt_id: promptId, number }).first<VersionRow | undefined>('*')

/** The version that reuse takes: that of the best proof, else the newest. */
export const versionToReuse = (db: Db, promptId: string, ofBestProof: string | undefined): Promise<VersionRow | undefined> =>
  ofBestProof
    ? versionById(db, ofBestProof)
    : db('versions').where({ prompt_id: promptId }).orderBy('number', 'desc').first<VersionRow | undefined>('*')

/** How the version was last run, or in `runId` when that is one of its runs. */
export const runSettingsOf = (db: Db, versionId: string, runId?: string): Promise<{ settings: Settings; engines: EngineChoice[] } | undefined> =>
  db('runs')
    .where({ version_id: versionId })
    .orderByRaw('(id = ?) desc, asked_at desc', [runId ?? null])
    .first<{ settings: Settings; engines: EngineChoice[] } | undefined>('settings', 'engines')

export async function insertVersion(trx: Knex.Transaction, version: Omit<VersionRow, 'number' | 'created_at' | 'why'>): Promise<number> {
  const [row] = await trx('versions')
    .insert({
      ...version,
      body: JSON.stringify(version.body),
      number: trx.raw('(select coalesce(max(number), 0) + 1 from versions where prompt_id = ?)', [version.prompt_id]),
    })
    .returning<{ number: number }[]>('number')
  return row?.number ?? 1
}

interface ListedRow extends VersionRow {
  proofs: number
  keepers: number
  maybes: number
  dropped: number
  faults: { fault: Fault; count: number }[] | null
  cost: Amount[] | null
  tried_with: string[] | null
  best: string | null
  last_settings: Settings | null
  last_engines: EngineChoice[] | null
}

export async function versionsWhere(db: Db, condition: string, bindings: readonly string[]): Promise<Version[]> {
  const { rows } = await db.raw<{ rows: ListedRow[] }>(
    `select v.*, r.settings as last_settings, r.engines as last_engines,
       n.proofs, n.keepers, n.maybes, n.dropped,
       (select json_agg(f order by f.count desc, f.fault) from (select fault, count(*) as count from proofs, unnest(faults) fault where version_id = v.id and deleted_at is null group by 1) f) as faults,
       (select json_agg(s) from (select l.unit, sum(l.amount)::int as amount from ledger l join runs on runs.id = l.run_id where runs.version_id = v.id group by l.unit order by l.unit) s) as cost,
       (select array_agg(t.name order by t.first) from (select (engine->>'name') || ' ' || (engine->>'revision') as name, min(asked_at) as first from proofs where version_id = v.id group by 1) t) as tried_with,
       ${bestProofId('p.version_id = v.id', 'x.best_proof_id')} as best
     from versions v join prompts x on x.id = v.prompt_id
     left join lateral (select settings, engines from runs where version_id = v.id order by asked_at desc limit 1) r on true
     cross join lateral (
       select count(*) filter (where state = 'stored')::int as proofs, count(*) filter (where verdict = 'keep')::int as keepers,
         count(*) filter (where verdict = 'maybe')::int as maybes, count(*) filter (where verdict = 'drop')::int as dropped
       from proofs where version_id = v.id and deleted_at is null) n
     where ${condition} order by v.number desc`,
    bindings,
  )
  const best = await proofsById(db, rows.flatMap((row) => row.best ?? []))
  return rows.map((row) => ({
    id: row.id,
    promptId: row.prompt_id,
    number: row.number,
    parent: row.parent,
    body: row.body,
    changes: row.changes,
    why: row.why,
    createdAt: row.created_at.toISOString(),
    lastRun: row.last_settings && row.last_engines ? { settings: row.last_settings, engines: row.last_engines } : null,
    bestProof: row.best === null ? null : (best.get(row.best) ?? null),
    proofs: row.proofs,
    keepers: row.keepers,
    maybes: row.maybes,
    dropped: row.dropped,
    faults: row.faults ?? [],
    cost: row.cost ?? [],
    triedWith: row.tried_with ?? [],
  }))
}
