import type { SheetProof } from '@idolon/contract'
import type { Fault } from '@idolon/core'
import type { Database } from '../database/connect.ts'

export interface SheetFilter {
  project?: string
  prompt?: string
  run?: string
  trial?: string
  version?: number
  engine?: string
  fault?: Fault | 'none' | 'any'
  verdict?: 'keep' | 'maybe' | 'drop' | 'none'
  /** With commas. */
  ids?: string
  limit?: number
  offset?: number
}

type Row = Omit<SheetProof, 'askedAt' | 'picture' | 'cost'> & { asked_at: Date; sha256: string | null; width: number; height: number; amount: number | null; unit: string }

/** What a sheet shows of proofs that pass a filter, the newest run first, each run in its order. */
export async function sheetOf(db: Database, { limit = 500, offset = 0, ...filter }: SheetFilter): Promise<{ proofs: SheetProof[]; total: number }> {
  const conditions = ['p.deleted_at is null', 'x.deleted_at is null']
  const bindings: (string | number)[] = []
  const also = (condition: string, ...values: (string | number)[]) => {
    conditions.push(condition)
    bindings.push(...values)
  }
  if (filter.project) also('x.project_id = ?', filter.project)
  if (filter.prompt) also('p.prompt_id = ?', filter.prompt)
  if (filter.ids) {
    const ids = filter.ids.split(',')
    also(`p.id in (${ids.map(() => '?').join(', ')})`, ...ids)
  }
  if (filter.trial) also('r.trial_id = ?', filter.trial)
  if (filter.run) also('p.run_id = ?', filter.run)
  if (filter.version) also('v.number = ?', filter.version)
  if (filter.engine) {
    const [id = '', ...revision] = filter.engine.split(' ')
    also(`p.engine->>'id' = ?`, id)
    if (revision.length) also(`p.engine->>'revision' = ?`, revision.join(' '))
  }
  if (filter.verdict === 'none') also(`p.verdict is null and p.state = 'stored'`)
  else if (filter.verdict) also('p.verdict = ?', filter.verdict)
  if (filter.fault === 'none') also(`p.faults = '{}' and p.state = 'stored'`)
  else if (filter.fault === 'any') also(`p.faults <> '{}'`)
  else if (filter.fault) also('? = any(p.faults)', filter.fault)
  const from = `from proofs p join prompts x on x.id = p.prompt_id join drafts d on d.prompt_id = x.id join versions v on v.id = p.version_id join runs r on r.id = p.run_id left join pictures c on c.sha256 = p.picture where ${conditions.join(' and ')}`
  const [counted, found] = await Promise.all([
    db.raw<{ rows: { total: number }[] }>(`select count(*)::int as total ${from}`, bindings),
    db.raw<{ rows: Row[] }>(
      `select p.id, p.run_id as "runId", p.prompt_id as "promptId", coalesce(nullif(x.title, ''), d.first_words) as "promptTitle", v.number as version, p.engine, p.place as index, p.state,
         c.sha256, c.width, c.height, p.output->'settings' as settings, p.seed, p.cost as amount, p.cost_unit as unit, p.asked_at, p.verdict, p.faults, p.rank, p.note, r.trial_options as options
       ${from}
       order by p.asked_at desc, r.trial_row, p.run_id, p.place, p.id limit ? offset ?`,
      [...bindings, limit, offset],
    ),
  ])
  const proofs = found.rows.map(({ asked_at, sha256, width, height, amount, unit, ...row }) => ({ ...row, picture: sha256 === null ? null : { sha256, width, height }, cost: amount === null ? null : { unit, amount }, askedAt: asked_at.toISOString() }))
  return { proofs, total: counted.rows[0]?.total ?? 0 }
}
