import type { Proof, Verdict } from '@idolon/contract'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import type { ProofQueue } from '../jobs/proof-queue.ts'
import { reserve, settle } from '../ledger/ledger.ts'
import { proofQuery, proofsById, proofsOf } from './proof-rows.ts'

export interface ProofFilter {
  project?: string
  prompt?: string
  verdict?: Verdict | 'none'
  limit?: number
  offset?: number
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

  async change(_actor: Actor, id: string, change: { verdict?: Verdict | null; note?: string }): Promise<Proof> {
    const proof = await this.read(id)
    if (change.verdict && proof.state !== 'stored') throw new ProblemError('not-now', 'A verdict needs a picture to look at; this proof has none yet.')
    await this.db.transaction(async (trx) => {
      if (Object.keys(change).length) await trx('proofs').where({ id }).update(change)
      if (change.note !== undefined) await trx('drafts').where({ prompt_id: proof.promptId }).update({ search_stale: true })
      await recordEvent(trx, { kind: 'proof', proofId: id, runId: proof.runId, promptId: proof.promptId, projectId: proof.projectId })
    })
    return this.read(id)
  }

  /** Asks for the same proof again: same output, same seed, a new charge. What an unknown one may have cost stays counted. */
  async askAgain(actor: Actor, id: string): Promise<Proof> {
    const proof = await this.read(id)
    await this.db.transaction(async (trx) => {
      const [row] = await trx('proofs')
        .where({ id })
        .whereIn('state', ['failed', 'stopped', 'unknown'])
        .update({ state: 'asked', reason: null, asking: trx.raw('asking + 1'), asked_at: trx.fn.now(), lease_until: null, cost: null })
        .returning<{ reserved: number }[]>('reserved')
      if (!row) throw new ProblemError('not-now', 'Only a proof that failed, was stopped or was never answered can be asked for again.')
      if (proof.state === 'unknown') await settle(trx, id, row.reserved, 'may have been charged')
      await reserve(trx, [
        {
          actor: actor.id,
          project_id: proof.projectId,
          prompt_id: proof.promptId,
          run_id: proof.runId,
          proof_id: id,
          engine: proof.engine.id,
          unit: (await trx('proofs').where({ id }).first<{ cost_unit: string }>('cost_unit')).cost_unit,
          amount: row.reserved,
        },
      ])
      await this.queue.add(trx, [id])
      await recordEvent(trx, { kind: 'proof', proofId: id, runId: proof.runId, promptId: proof.promptId, projectId: proof.projectId })
    })
    return this.read(id)
  }
}
