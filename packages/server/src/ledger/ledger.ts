import type { Knex } from 'knex'

interface Spending {
  actor: string
  project_id: string
  prompt_id: string
  run_id: string
  proof_id: string
  engine: string
  unit: string
}

/** Sets the cost of a proof aside before it is asked for. */
export const reserve = async (trx: Knex.Transaction, entries: (Spending & { amount: number })[]): Promise<void> => {
  if (entries.length) await trx('ledger').insert(entries.map((entry) => ({ ...entry, kind: 'reserve' })))
}

/** Takes what is still reserved for a proof back and adds what was charged; the entry's amount is the difference. */
export const settle = (trx: Knex.Transaction, proofId: string, charged: number, note: string): Promise<void> => settleAll(trx, [proofId], charged, note)

/** The same of several proofs, each charged alike. */
export async function settleAll(trx: Knex.Transaction, proofIds: readonly string[], charged: number, note: string): Promise<void> {
  if (proofIds.length === 0) return
  await trx.raw(
    `insert into ledger (actor, project_id, prompt_id, run_id, proof_id, engine, unit, kind, amount, note)
     select distinct on (l.proof_id) l.actor, l.project_id, l.prompt_id, l.run_id, l.proof_id, l.engine, l.unit, 'settle', ?::int - l.amount, ?
     from ledger l where l.proof_id = any(?::uuid[]) and l.kind = 'reserve' order by l.proof_id, l.id desc`,
    [charged, note, proofIds as string[]],
  )
}
