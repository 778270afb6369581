import type { Proof, ProofComparison, Region, SheetProof, Verdict } from '@idolon/contract'
import type { Fault, FaultCount } from '@idolon/core'
import type { Knex } from 'knex'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import type { ProofQueue } from '../jobs/proof-queue.ts'
import { demandUnderCeiling } from '../ledger/ceiling.ts'
import { reserve, settle } from '../ledger/ledger.ts'
import { comparisonOf } from './compare-proofs.ts'
import { proofQuery, proofsById, proofsOf } from './proof-rows.ts'
import { type SheetFilter, sheetOf } from './sheet.ts'

export interface ProofFilter {
  project?: string
  prompt?: string
  verdict?: Verdict | 'none'
  limit?: number
  offset?: number
}
interface ProofChange {
  verdict?: Verdict | null
  note?: string
  faults?: Fault[]
  regions?: Region[]
}
export interface ManyChange {
  proofs: string[]
  verdict?: Verdict | null
  addFaults?: Fault[]
  removeFaults?: Fault[]
  note?: string
  deleted?: boolean
}

export class Proofs {
  constructor(
    private readonly db: Database,
    private readonly queue: ProofQueue,
  ) {}

  async read(id: string): Promise<Proof> {
    const proof = (await proofsById(this.db, [id])).get(id)
    if (!proof) throw notFound('proof')
    return proof
  }

  async list({ project, prompt, verdict, limit = 100, offset = 0 }: ProofFilter): Promise<{ proofs: Proof[]; total: number }> {
    const query = () => {
      const q = proofQuery(this.db).whereNull('prompts.deleted_at')
      if (project) void q.where('prompts.project_id', project)
      if (prompt) void q.where('proofs.prompt_id', prompt)
      if (verdict === 'none') void q.whereNull('proofs.verdict')
      else if (verdict) void q.where('proofs.verdict', verdict)
      return q
    }
    const counted = await query().count<{ count: number }[]>('* as count')
    const proofs = await proofsOf(query().orderBy([{ column: 'proofs.asked_at', order: 'desc' }, 'proofs.run_id', 'proofs.place']).limit(limit).offset(offset))
    return { proofs, total: counted[0]?.count ?? 0 }
  }

  sheet(filter: SheetFilter): Promise<{ proofs: SheetProof[]; total: number }> {
    return sheetOf(this.db, filter)
  }

  async compare(id: string, other: string): Promise<ProofComparison> {
    return comparisonOf(this.db, await this.read(id), await this.read(other))
  }

  async change(_actor: Actor, id: string, { verdict, note, faults, regions }: ProofChange): Promise<Proof> {
    const proof = await this.read(id)
    if ((verdict || faults?.length || regions?.length) && proof.state !== 'stored') throw new ProblemError('not-now', 'A verdict needs a picture to look at; this proof has none yet.')
    // A fault that is marked somewhere is there; one that is taken away is nowhere.
    const marked = regions ?? proof.regions
    const all = faults ?? [...new Set([...proof.faults, ...marked.map(({ fault }) => fault)])]
    const values = {
      ...(verdict === undefined ? {} : { verdict }),
      ...(note === undefined ? {} : { note }),
      ...(faults || regions ? { faults: all, regions: JSON.stringify(marked.filter(({ fault }) => all.includes(fault))) } : {}),
    }
    await this.db.transaction(async (trx) => {
      if (Object.keys(values).length) await trx('proofs').where({ id }).update(values)
      await recordEvent(trx, { kind: 'proof', proofId: id, runId: proof.runId, promptId: proof.promptId, projectId: proof.projectId })
    })
    return this.read(id)
  }

  /** One change of many proofs, all of them or none. */
  async changeMany(_actor: Actor, { proofs, verdict, addFaults = [], removeFaults = [], note, deleted }: ManyChange): Promise<{ changed: number }> {
    return this.db.transaction(async (trx) => {
      const judged = verdict || addFaults.length > 0
      const changed = await trx('proofs')
        .whereIn('id', proofs)
        .modify((query) => void (judged ? query.where({ state: 'stored' }) : undefined))
        .modify((query) => void (deleted === undefined ? query.whereNull('deleted_at') : query.whereNotIn('state', ['asked', 'sent'])))
        .update({
          ...(verdict === undefined ? {} : { verdict }),
          ...(addFaults.length || removeFaults.length ? { faults: trx.raw('(select coalesce(array_agg(distinct f), ?) from unnest(faults || ?::text[]) f where f <> all(?::text[]))', [[], addFaults, removeFaults]) } : {}),
          ...(removeFaults.length ? { regions: trx.raw(`(select coalesce(jsonb_agg(r), '[]') from jsonb_array_elements(regions) r where r->>'fault' <> all(?::text[]))`, [removeFaults]) } : {}),
          ...(note ? { note: trx.raw(`left(case when note = '' then ?::text else note || E'\\n' || ?::text end, 4000)`, [note, note]) } : {}),
          ...(deleted === undefined ? {} : { deleted_at: deleted ? trx.fn.now() : null }),
        })
        .returning<{ run_id: string; prompt_id: string }[]>(['run_id', 'prompt_id'])
      await this.#tellOfMany(trx, changed, deleted !== undefined)
      return { changed: changed.length }
    })
  }

  /** One event a run, however many of its proofs changed. */
  async #tellOfMany(trx: Knex.Transaction, changed: readonly { run_id: string; prompt_id: string }[], ranks: boolean): Promise<void> {
    const prompts = [...new Set(changed.map(({ prompt_id }) => prompt_id))]
    if (ranks) await trx('prompts').whereIn('id', prompts).update({ ranks_stale: true })
    for (const [runId, promptId] of new Map(changed.map(({ run_id, prompt_id }) => [run_id, prompt_id]))) await recordEvent(trx, { kind: 'proof', runId, promptId })
    if (ranks) await recordEvent(trx, { kind: 'bin' })
  }

  /** Over proofs that somebody has looked at: those with a verdict or a fault. */
  async faultCounts(projectId: string | undefined): Promise<FaultCount[]> {
    const { rows } = await this.db.raw<{ rows: FaultCount[] }>(
      `with seen as (
         select p.engine->>'id' as engine, p.engine->>'revision' as revision, p.faults from proofs p join prompts x on x.id = p.prompt_id
         where p.state = 'stored' and p.deleted_at is null and x.deleted_at is null and (p.verdict is not null or p.faults <> '{}') ${projectId ? 'and x.project_id = ?' : ''}),
       looked as (select engine, revision, count(*)::int as of from seen group by 1, 2)
       select s.engine, s.revision, f as fault, count(*)::int as count, l.of from seen s cross join unnest(s.faults) f join looked l using (engine, revision) group by 1, 2, 3, l.of
       union all select engine, revision, 'other', 0, l.of from looked l where not exists (select 1 from seen s where s.engine = l.engine and s.revision = l.revision and s.faults <> '{}')`,
      projectId ? [projectId] : [],
    )
    return rows
  }

  /** Asks for the same proof again: same output, same seed, a new charge. What an unknown one may have cost stays counted. */
  async askAgain(actor: Actor, id: string): Promise<Proof> {
    const proof = await this.read(id)
    await this.db.transaction(async (trx) => {
      await trx('projects').where({ id: proof.projectId }).forUpdate().first('id')
      const [row] = await trx('proofs')
        .where({ id })
        .whereIn('state', ['failed', 'stopped', 'unknown'])
        .update({ state: 'asked', reason: null, asking: trx.raw('asking + 1'), asked_at: trx.fn.now(), lease_until: null, cost: null })
        .returning<{ reserved: number; cost_unit: string }[]>(['reserved', 'cost_unit'])
      if (!row) throw new ProblemError('not-now', 'Only a proof that failed, was stopped or was never answered can be asked for again.')
      if (proof.state === 'unknown') await settle(trx, id, row.reserved, 'may have been charged')
      await demandUnderCeiling(trx, proof.projectId, [{ unit: row.cost_unit, amount: row.reserved }])
      await reserve(trx, [{ actor: actor.id, project_id: proof.projectId, prompt_id: proof.promptId, run_id: proof.runId, proof_id: id, engine: proof.engine.id, unit: row.cost_unit, amount: row.reserved }])
      await this.queue.add(trx, [id])
      await recordEvent(trx, { kind: 'proof', proofId: id, runId: proof.runId, promptId: proof.promptId, projectId: proof.projectId })
    })
    return this.read(id)
  }
}
