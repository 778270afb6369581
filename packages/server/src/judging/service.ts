import type { ProofJudgement } from '@idolon/contract'
import { orderOf, rank } from '@idolon/core'
import type { Knex } from 'knex'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'

interface Row {
  id: string
  left: string
  right: string
  better: 'left' | 'right' | null
  at: Date
}
const judgementOf = (row: Row): ProofJudgement => ({ ...row, at: row.at.toISOString() })
const COLUMNS = ['id', 'left_proof as left', 'right_proof as right', 'better', 'at'] as const

/** Which of two proofs was judged better; from all judgements together comes how the proofs of a prompt rank. */
export class Judging {
  constructor(private readonly db: Database) {}

  async add(actor: Actor, { id, left, right, better }: { id: string; left: string; right: string; better: 'left' | 'right' | null }): Promise<ProofJudgement> {
    if (left === right) throw new ProblemError('invalid', 'A proof cannot be judged against itself. Nothing was kept.')
    await this.db.transaction(async (trx) => {
      const stored = await trx('proofs').whereIn('id', [left, right]).where({ state: 'stored' }).whereNull('deleted_at').select<{ id: string }[]>('id')
      if (stored.length < 2) throw notFound('pair of proofs')
      await trx('judgements').insert({ id, left_proof: left, right_proof: right, better, judged_by: actor.id }).onConflict('id').ignore()
      await this.#stale(trx, [left, right])
    })
    const row = await this.db('judgements').where({ id }).first<Row>(...COLUMNS)
    return judgementOf(row)
  }

  async of(proofs: readonly string[]): Promise<ProofJudgement[]> {
    const rows = await this.db('judgements').whereIn('left_proof', proofs as string[]).whereIn('right_proof', proofs as string[]).orderBy('at').select<Row[]>(...COLUMNS)
    return rows.map(judgementOf)
  }

  async takeBack(_actor: Actor, id: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      const [gone] = await trx('judgements').where({ id }).delete().returning<{ left_proof: string; right_proof: string }[]>(['left_proof', 'right_proof'])
      if (!gone) throw notFound('judgement')
      await this.#stale(trx, [gone.left_proof, gone.right_proof])
    })
  }

  async #stale(trx: Knex.Transaction, proofs: string[]): Promise<void> {
    await trx('prompts').whereIn('id', trx('proofs').whereIn('id', proofs).select('prompt_id')).update({ ranks_stale: true })
    await recordEvent(trx, { kind: 'judgements' })
  }

  /** Ranks the judged proofs of prompts with new judgements, by all judgements between proofs of the same prompt. */
  async refreshRanks(): Promise<void> {
    for (;;) {
      const done = await this.db.transaction(async (trx) => {
        const prompt = await trx('prompts').where({ ranks_stale: true }).forUpdate().skipLocked().first<{ id: string; project_id: string } | undefined>('id', 'project_id')
        if (!prompt) return true
        const { rows } = await trx.raw<{ rows: Row[] }>(
          `select j.id, j.left_proof as "left", j.right_proof as "right", j.better, j.at from judgements j
           join proofs a on a.id = j.left_proof and a.prompt_id = ? and a.deleted_at is null join proofs b on b.id = j.right_proof and b.prompt_id = a.prompt_id and b.deleted_at is null`,
          [prompt.id],
        )
        const proofs = [...new Set(rows.flatMap(({ left, right }) => [left, right]))]
        const place = new Map(proofs.map((id, i) => [id, i]))
        const ranking = rank(proofs.length, rows.map(({ left, right, better }) => ({ left: place.get(left)!, right: place.get(right)!, better: better ?? undefined })))
        await trx('proofs').where({ prompt_id: prompt.id }).whereNotNull('rank').update({ rank: null })
        await trx.raw('update proofs set rank = t.rank from unnest(?::uuid[], ?::int[]) as t(id, rank) where proofs.id = t.id', [orderOf(ranking).map((i) => proofs[i]!), proofs.map((_, i) => i + 1)])
        await trx('prompts').where({ id: prompt.id }).update({ ranks_stale: false })
        await recordEvent(trx, { kind: 'prompt', promptId: prompt.id, projectId: prompt.project_id })
        return false
      })
      if (done) return
    }
  }
}
