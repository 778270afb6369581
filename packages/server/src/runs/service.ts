import { countOf, type EngineProfile, findEngine, fixedFacetsOf, outputFor, sizeFor } from '@idolon/core'
import type { Run } from '@idolon/contract'
import type { Knex } from 'knex'
import { randomInt, randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { draftRow } from '../drafts/store.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import type { ProofQueue } from '../jobs/proof-queue.ts'
import { reserve, settle } from '../ledger/ledger.ts'
import { promptReader } from '../phrases/prompt-reader.ts'
import { freezeVersion } from '../versions/service.ts'
import { runsWhere } from './store.ts'

/** Seeds stay exact in JSON and in every engine's 31-bit field. */
const MAX_SEED = 2 ** 31 - 1

export class Runs {
  constructor(
    private readonly db: Database,
    private readonly engines: Engines,
    private readonly queue: ProofQueue,
  ) {}

  async read(id: string): Promise<Run> {
    const [run] = await runsWhere(this.db, 'r.id = ?', [id], 1)
    if (!run) throw notFound('run')
    return run
  }

  ofPrompt(promptId: string, limit = 50): Promise<Run[]> {
    return runsWhere(this.db, 'r.prompt_id = ?', [promptId], limit)
  }

  recent(projectId: string | undefined, limit = 30, offset = 0): Promise<Run[]> {
    return projectId
      ? runsWhere(this.db, 'x.deleted_at is null and x.project_id = ?', [projectId], limit, offset)
      : runsWhere(this.db, 'x.deleted_at is null', [], limit, offset)
  }

  /** Everything that a run is made of is written in one transaction: version, run, proofs, reserved cost and jobs, or none of it. */
  async start(actor: Actor, promptId: string, { id, revision }: { id: string; revision: number }): Promise<Run> {
    const reader = await promptReader()
    const known = (await this.engines.list()).map(({ profile }) => profile)
    await this.db.transaction(async (trx) => {
      const draft = await draftRow(trx, promptId, true)
      const prompt = await trx('prompts').where({ id: promptId }).first<{ project_id: string } | undefined>('project_id')
      if (!draft || !prompt) throw notFound('prompt')
      if (await trx('runs').where({ id, prompt_id: promptId }).first('id')) return
      // Locked, so that what several runs reserve at once is added up one after the other.
      const project = await trx('projects').where({ id: prompt.project_id }).forUpdate().first<{ archived_at: Date | null }>('archived_at')
      if (project.archived_at) throw new ProblemError('project-archived', 'The project is archived. Take it back from the archive to try its prompts again.')
      if (draft.revision !== revision) {
        throw new ProblemError('draft-moved', 'The draft has changed since you pressed the button. Nothing was spent; look at it and press again.', {
          revision: draft.revision,
        })
      }
      const { body } = draft
      const profiles: EngineProfile[] = []
      for (const { engine, revision: wanted } of body.engines) {
        const profile = findEngine(known, engine, wanted)
        if (!profile) throw new ProblemError('unknown-engine', `There is no engine “${engine}${wanted ? ` ${wanted}` : ''}” here. Choose another on the Desk.`)
        const reason = await this.engines.whyNot(profile)
        if (reason) throw new ProblemError('not-connected', `${reason} Nothing was spent; copy its output on the Desk, or choose another engine.`)
        profiles.push(profile)
      }
      if (profiles.length === 0) throw new ProblemError('nothing-to-try', 'No engine is chosen. Choose one on the Desk.')
      const read = { reading: reader.read(body.text, fixedFacetsOf(body.marks)), words: reader.words }
      const outputs = profiles.map((profile) => outputFor(body, profile, read))
      if (outputs.some((output) => output.text === '')) {
        throw new ProblemError('nothing-to-try', 'The prompt says nothing yet, or everything in it is switched off. Write what the picture shows first.')
      }
      const version = await freezeVersion(trx, promptId, body, draft.parent_version)
      await trx('runs').insert({
        id,
        prompt_id: promptId,
        version_id: version.id,
        draft_revision: revision,
        engines: JSON.stringify(body.engines),
        settings: JSON.stringify(body.settings),
        asked_by: actor.id,
      })
      const seed = typeof body.settings['seed'] === 'number' ? Math.abs(Math.trunc(body.settings['seed'])) % MAX_SEED : randomInt(1, 1_000_000)
      const proofs = profiles.flatMap((profile, e) =>
        Array.from({ length: countOf(body.settings) }, (_, i) => ({
          id: randomUUID(),
          run_id: id,
          prompt_id: promptId,
          version_id: version.id,
          engine: JSON.stringify({ id: profile.id, name: profile.name, revision: profile.revision, simulated: profile.simulated }),
          place: i,
          output: JSON.stringify(outputs[e]),
          seed: (seed + i) % MAX_SEED,
          cost_unit: profile.costUnit,
          reserved: sizeFor(profile, body.settings['aspectRatio']).cost,
        })),
      )
      await trx('proofs').insert(proofs)
      await reserve(
        trx,
        proofs.map((proof) => ({
          actor: actor.id,
          project_id: prompt.project_id,
          prompt_id: promptId,
          run_id: id,
          proof_id: proof.id,
          engine: (JSON.parse(proof.engine) as { id: string }).id,
          unit: proof.cost_unit,
          amount: proof.reserved,
        })),
      )
      await this.queue.add(trx, proofs.map((proof) => proof.id))
      await recordEvent(trx, { kind: 'run', promptId, projectId: prompt.project_id, runId: id })
    })
    return this.read(id)
  }

  /** Proofs still waiting are stopped and cost nothing; those an engine already has are let finish, since they are paid for. */
  async stop(_actor: Actor, id: string): Promise<Run> {
    const run = await this.read(id)
    await this.db.transaction(async (trx) => {
      await trx('runs').where({ id }).whereNull('stopped_at').update({ stopped_at: trx.fn.now() })
      await this.#stopWaiting(trx, id)
      await recordEvent(trx, { kind: 'run', promptId: run.promptId, projectId: run.projectId, runId: id })
    })
    return this.read(id)
  }

  async #stopWaiting(trx: Knex.Transaction, runId: string): Promise<void> {
    const stopped = await trx('proofs')
      .where({ run_id: runId, state: 'asked' })
      .update({ state: 'stopped', reason: 'Stopped before the engine was asked; nothing was charged.' })
      .returning<{ id: string }[]>('id')
    for (const proof of stopped) await settle(trx, proof.id, 0, 'stopped')
  }
}
