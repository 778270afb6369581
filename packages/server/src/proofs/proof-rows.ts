import type { Fault, Output } from '@idolon/core'
import type { Proof, ProofState, Region, Verdict } from '@idolon/contract'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'

interface Row {
  id: string
  run_id: string
  prompt_id: string
  project_id: string
  prompt_title: string
  first_words: string
  version_id: string
  version: number
  engine: Proof['engine']
  place: number
  state: ProofState
  reason: string | null
  sha256: string | null
  width: number | null
  height: number | null
  size: number | null
  output: Output
  seed: number | null
  cost: number | null
  cost_unit: string
  took_ms: number | null
  asked_at: Date
  stored_at: Date | null
  verdict: Verdict | null
  faults: Fault[]
  regions: Region[]
  note: string
  rank: number | null
  parent_proof: string | null
  imported: boolean
}

/** Proofs that are not in the bin, with what names them; narrow it down with `where`, order it, and read with `proofsOf`. */
export const proofQuery = (db: Database | Knex.Transaction) =>
  db('proofs')
    .join('prompts', 'prompts.id', 'proofs.prompt_id')
    .join('drafts', 'drafts.prompt_id', 'proofs.prompt_id')
    .join('versions', 'versions.id', 'proofs.version_id')
    .leftJoin('pictures', 'pictures.sha256', 'proofs.picture')
    .whereNull('proofs.deleted_at')

const COLUMNS = [
  'proofs.id',
  'proofs.run_id',
  'proofs.prompt_id',
  'prompts.project_id',
  'prompts.title as prompt_title',
  'drafts.first_words',
  'proofs.version_id',
  'versions.number as version',
  'proofs.engine',
  'proofs.place',
  'proofs.state',
  'proofs.reason',
  'pictures.sha256',
  'pictures.width',
  'pictures.height',
  'pictures.size',
  'proofs.output',
  'proofs.seed',
  'proofs.cost',
  'proofs.cost_unit',
  'proofs.took_ms',
  'proofs.asked_at',
  'proofs.stored_at',
  'proofs.verdict',
  'proofs.faults',
  'proofs.regions',
  'proofs.note',
  'proofs.rank',
  'proofs.parent_proof',
  'proofs.imported',
]

const proofOf = (row: Row): Proof => ({
  id: row.id,
  runId: row.run_id,
  promptId: row.prompt_id,
  projectId: row.project_id,
  promptTitle: row.prompt_title || row.first_words,
  versionId: row.version_id,
  version: row.version,
  engine: row.engine,
  index: row.place,
  state: row.state,
  reason: row.reason,
  picture:
    row.sha256 === null ? null : { sha256: row.sha256, width: row.width ?? 0, height: row.height ?? 0, bytes: row.size ?? 0 },
  output: row.output,
  seed: row.seed,
  cost: row.cost === null ? null : { unit: row.cost_unit, amount: row.cost },
  tookMs: row.took_ms,
  askedAt: row.asked_at.toISOString(),
  storedAt: row.stored_at?.toISOString() ?? null,
  verdict: row.verdict,
  faults: row.faults,
  regions: row.regions,
  note: row.note,
  rank: row.rank,
  parentId: row.parent_proof,
  imported: row.imported,
})

export async function proofsOf(query: ReturnType<typeof proofQuery>): Promise<Proof[]> {
  const rows = await query.select<Row[]>(COLUMNS)
  return rows.map(proofOf)
}

export async function proofsById(db: Database | Knex.Transaction, ids: readonly string[]): Promise<Map<string, Proof>> {
  if (ids.length === 0) return new Map()
  const proofs = await proofsOf(proofQuery(db).whereIn('proofs.id', ids as string[]))
  return new Map(proofs.map((proof) => [proof.id, proof]))
}

/**
 * The best proof of a prompt or a version, as SQL: the one the writer set, else
 * the top-ranked keeper, else the newest keeper. `of` is a condition on `p`, a row of proofs.
 */
export const bestProofId = (of: string, setByWriter: string): string => `(
  select p.id from proofs p
  where ${of} and p.state = 'stored' and p.deleted_at is null and (p.id = ${setByWriter} or p.verdict = 'keep')
  order by (p.id = ${setByWriter}) is true desc, p.rank asc nulls last, p.stored_at desc
  limit 1)`
