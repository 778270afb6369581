import type { Output } from '@idolon/core'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'

/** A proof whose lease has run out is free for another worker; renewed well before. */
const LEASE_SECONDS = 8
export const RENEW_MS = 2_000

export interface ProofTask {
  id: string
  run_id: string
  prompt_id: string
  project_id: string
  state: 'asked' | 'sent'
  engine: { id: string; revision: string; name: string }
  output: Output
  seed: number
  asking: number
  reserved: number
}

const until = (db: Knex) => db.raw(`now() + interval '${LEASE_SECONDS} seconds'`)

/** Takes the proof for this worker, unless it is done or another worker holds it. */
export async function claimProof(db: Database, id: string, worker: string): Promise<ProofTask | undefined> {
  const { rows } = await db.raw<{ rows: ProofTask[] }>(
    `update proofs set worker = ?, lease_until = now() + interval '${LEASE_SECONDS} seconds'
     from prompts x where proofs.id = ? and x.id = proofs.prompt_id and proofs.state in ('asked', 'sent')
       and (proofs.lease_until is null or proofs.lease_until < now())
     returning proofs.id, run_id, prompt_id, x.project_id, state, engine, output, seed, asking, reserved`,
    [worker, id],
  )
  return rows[0]
}

/** False when the proof is no longer this worker's. */
export const renewLease = async (db: Database, id: string, worker: string): Promise<boolean> =>
  (await db('proofs').where({ id, worker }).whereIn('state', ['asked', 'sent']).update({ lease_until: until(db) })) > 0

/** Ends what a proof is, if this worker still holds it. */
export const finishProof = async (trx: Knex.Transaction, id: string, worker: string, values: Record<string, unknown>): Promise<boolean> =>
  (await trx('proofs').where({ id, worker }).whereIn('state', ['asked', 'sent']).update({ ...values, lease_until: null, worker: null })) > 0

/** Proofs that wait and are nobody's: their worker died, or their job was lost. */
export async function freeProofs(db: Database): Promise<string[]> {
  const rows = await db('proofs')
    .whereIn('state', ['asked', 'sent'])
    .whereRaw(`(lease_until < now() or (lease_until is null and asked_at < now() - interval '15 seconds'))`)
    .select<{ id: string }[]>('id')
    .limit(500)
  return rows.map((row) => row.id)
}
