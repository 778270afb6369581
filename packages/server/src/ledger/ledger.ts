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
export async function settle(trx: Knex.Transaction, proofId: string, charged: number, note: string): Promise<void> {
  await trx.raw(
    `insert into ledger (actor, project_id, prompt_id, run_id, proof_id, engine, unit, kind, amount, note)
     select l.actor, l.project_id, l.prompt_id, l.run_id, l.proof_id, l.engine, l.unit, 'settle', ?::int - l.amount, ?
     from ledger l where l.proof_id = ? and l.kind = 'reserve' order by l.id desc limit 1`,
    [charged, note, proofId],
  )
}
