import type { Draft, EngineProfile } from '@idolon/core'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import { settleAll } from '../ledger/ledger.ts'
import { parentOf } from '../proofs/references.ts'
import type { PlannedProof } from './plan.ts'

interface RunOf {
  id: string
  promptId: string
  projectId: string
}
const namedIn = ({ id, name, revision, simulated }: EngineProfile) => JSON.stringify({ id, name, revision, simulated })

/** Writes the proofs that a run asks for; their ids, in the order of the plan. */
export async function writeProofs(trx: Knex.Transaction, run: Pick<RunOf, 'id' | 'promptId'>, versionId: string, references: Draft['references'], plan: readonly PlannedProof[]): Promise<{ id: string }[]> {
  const proofs = plan.map(({ profile, output, place, seed, cost }) => ({
    id: randomUUID(),
    run_id: run.id,
    prompt_id: run.promptId,
    version_id: versionId,
    engine: namedIn(profile),
    place,
    output: JSON.stringify(output),
    seed,
    cost_unit: profile.costUnit,
    reserved: cost,
    parent_proof: parentOf(references),
  }))
  await trx('proofs').insert(proofs)
  return proofs
}

/** The ledger's entry for a proof of a run. */
export const spending = (actor: Actor, { promptId, projectId, id }: RunOf, proofId: string, { profile, cost }: { profile: EngineProfile; cost: number }) => ({
  actor: actor.id,
  project_id: projectId,
  prompt_id: promptId,
  run_id: id,
  proof_id: proofId,
  engine: profile.id,
  unit: profile.costUnit,
  amount: cost,
})

/** Proofs of runs that no engine has been asked for yet are stopped and cost nothing. */
export async function stopWaiting(trx: Knex.Transaction, runIds: readonly string[]): Promise<void> {
  const stopped = await trx('proofs')
    .whereIn('run_id', runIds as string[])
    .where({ state: 'asked' })
    .update({ state: 'stopped', reason: 'Stopped before the engine was asked; nothing was charged.' })
    .returning<{ id: string }[]>('id')
  await settleAll(trx, stopped.map(({ id }) => id), 0, 'stopped')
}
