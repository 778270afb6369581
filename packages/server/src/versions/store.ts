import type { EngineChoice, Settings, VersionBody } from '@idolon/core'
import type { Version } from '@idolon/contract'
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
  best: string | null
  last_settings: Settings | null
  last_engines: EngineChoice[] | null
}

export async function versionsWhere(db: Db, condition: string, bindings: readonly string[]): Promise<Version[]> {
  const { rows } = await db.raw<{ rows: ListedRow[] }>(
    `select v.*, r.settings as last_settings, r.engines as last_engines,
       (select count(*) from proofs where version_id = v.id and state = 'stored') as proofs,
       (select count(*) from proofs where version_id = v.id and verdict = 'keep') as keepers,
       ${bestProofId('p.version_id = v.id', 'x.best_proof_id')} as best
     from versions v join prompts x on x.id = v.prompt_id
     left join lateral (select settings, engines from runs where version_id = v.id order by asked_at desc limit 1) r on true
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
  }))
}
