import { type Draft, draftFor, ELSEWHERE, type EngineChoice, fixedFacetsOf, type ReadDraft, outputFor, settingsFor, sizeFor, sumByUnit } from '@idolon/core'
import type { ImportedPicture, Run } from '@idolon/contract'
import type { Knex } from 'knex'
import { randomInt } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import type { ProofQueue } from '../jobs/proof-queue.ts'
import { demandUnderCeiling } from '../ledger/ceiling.ts'
import { reserve, settle } from '../ledger/ledger.ts'
import { promptReader } from '../phrases/prompt-reader.ts'
import { freezeVersion } from '../versions/service.ts'
import { demandWords, enginesToAsk, type Ground, groundOf, profileOf } from './ground.ts'
import { planRun, SEEDS, type Sweep } from './plan.ts'
import { runsWhere } from './store.ts'
import { spending, stopWaiting, writeProofs } from './write.ts'

export interface Asked {
  id: string
  revision: number
  seed?: number | null
  sweep?: Sweep
  byHand?: { engine: EngineChoice }
}

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
    return runsWhere(this.db, 'r.trial_id is null and r.prompt_id = ?', [promptId], limit)
  }

  recent(projectId: string | undefined, limit = 30, offset = 0): Promise<Run[]> {
    return projectId
      ? runsWhere(this.db, 'r.trial_id is null and x.deleted_at is null and x.project_id = ?', [projectId], limit, offset)
      : runsWhere(this.db, 'r.trial_id is null and x.deleted_at is null', [], limit, offset)
  }

  /** Everything that a run is made of is written in one transaction: version, run, proofs, reserved cost and jobs, or none of it. */
  async start(actor: Actor, promptId: string, asked: Asked): Promise<Run> {
    const reader = await promptReader()
    const known = (await this.engines.list()).map(({ profile }) => profile)
    await this.db.transaction(async (trx) => {
      const ground = await groundOf(trx, promptId, asked, known, 'runs')
      if (!ground) return
      const { draft } = ground
      const read: ReadDraft = { reading: reader.read(draft.text, fixedFacetsOf(draft.marks)), words: reader.words }
      if (asked.byHand) await this.#waitForPictures(trx, actor, ground, asked, asked.byHand.engine, read)
      else await this.#askForProofs(trx, actor, ground, asked, read)
      await recordEvent(trx, { kind: 'run', promptId, projectId: ground.projectId, runId: asked.id })
    })
    return this.read(asked.id)
  }

  /** Several runs in one transaction: all of them, or none. */
  async startAll(actor: Actor, runs: readonly { promptId: string; asked: Asked }[]): Promise<void> {
    const reader = await promptReader()
    const known = (await this.engines.list()).map(({ profile }) => profile)
    await this.db.transaction(async (trx) => {
      for (const { promptId, asked } of runs) {
        const ground = await groundOf(trx, promptId, asked, known, 'runs')
        if (!ground) continue
        const { draft } = ground
        await this.#askForProofs(trx, actor, ground, asked, { reading: reader.read(draft.text, fixedFacetsOf(draft.marks)), words: reader.words })
        await recordEvent(trx, { kind: 'run', promptId, projectId: ground.projectId, runId: asked.id })
      }
    })
  }

  /** What a try of drafts would cost, and how many proofs it would bring. */
  async price(drafts: readonly Draft[], sweep?: Sweep): Promise<{ costs: { unit: string; amount: number }[]; proofs: number }> {
    const reader = await promptReader()
    const known = (await this.engines.list()).map(({ profile }) => profile)
    const plans = await Promise.all(drafts.map(async (draft) => planRun(draft, await enginesToAsk(this.engines, known, draft.engines), { reading: reader.read(draft.text, fixedFacetsOf(draft.marks)), words: reader.words }, 1, sweep)))
    return { costs: sumByUnit(plans.flat().map(({ profile, cost }) => ({ unit: profile.costUnit, amount: cost }))), proofs: plans.flat().length }
  }

  async #askForProofs(trx: Knex.Transaction, actor: Actor, ground: Ground, { seed, sweep }: Asked, read: ReadDraft): Promise<void> {
    const { draft } = ground
    const engines = await enginesToAsk(this.engines, ground.known, draft.engines)
    const set = draft.settings['seed']
    const first = typeof seed === 'number' ? seed : seed === undefined && typeof set === 'number' ? Math.abs(Math.trunc(set)) % SEEDS : randomInt(1, 1_000_000)
    const plan = planRun(draft, engines, read, first, sweep)
    demandWords(plan.map(({ output }) => output))
    await demandUnderCeiling(trx, ground.projectId, sumByUnit(plan.map(({ profile, cost }) => ({ unit: profile.costUnit, amount: cost }))))
    const versionId = await this.#writeRun(trx, actor, ground, { engines: draft.engines, sweep: sweep ?? null, byHand: false })
    const proofs = await writeProofs(trx, ground, versionId, draft.references, plan)
    await reserve(trx, proofs.map((proof, i) => spending(actor, ground, proof.id, plan[i]!)))
    await this.queue.add(trx, proofs.map((proof) => proof.id), plan.map(({ place }) => place))
  }

  /** A run that nothing is asked for: its pictures are made elsewhere and imported. */
  async #waitForPictures(trx: Knex.Transaction, actor: Actor, ground: Ground, { sweep }: Asked, choice: EngineChoice, read: ReadDraft): Promise<void> {
    const profile = profileOf(ground.known, choice)
    // Of a picture from nowhere there may be no words at all.
    if (profile !== ELSEWHERE) demandWords([outputFor(draftFor(ground.draft, choice), profile, read)])
    await this.#writeRun(trx, actor, ground, { engines: [{ ...choice, revision: profile.revision }], sweep: sweep ?? null, byHand: true })
  }

  async #writeRun(trx: Knex.Transaction, actor: Actor, { id, promptId, draft, revision, parent }: Ground, { engines, sweep, byHand }: { engines: EngineChoice[]; sweep: Sweep | null; byHand: boolean }): Promise<string> {
    const version = await freezeVersion(trx, promptId, draft, parent)
    await trx('runs').insert({
      id,
      prompt_id: promptId,
      version_id: version.id,
      draft_revision: revision,
      engines: JSON.stringify(engines),
      settings: JSON.stringify(draft.settings),
      sweep: sweep && JSON.stringify(sweep),
      by_hand: byHand,
      asked_by: actor.id,
    })
    return version.id
  }

  /** Pictures made elsewhere join a run that waits for them; what the profile says they cost is counted as spent. */
  async importPictures(actor: Actor, id: string, pictures: readonly ImportedPicture[]): Promise<Run> {
    const run = await this.read(id)
    const reader = await promptReader()
    const known = (await this.engines.list()).map(({ profile }) => profile)
    await this.db.transaction(async (trx) => {
      const open = await trx('runs').where({ id }).forUpdate().first<{ by_hand: boolean; version_id: string; stopped_at: Date | null }>('by_hand', 'version_id', 'stopped_at')
      if (!open.by_hand || open.stopped_at) throw new ProblemError('not-now', 'This run no longer waits for pictures. Open another with “Copy for this engine”; the pictures are still where they were.')
      const choice = run.engines[0]!
      const profile = profileOf(known, choice)
      const { body } = await trx('versions').where({ id: open.version_id }).first<{ body: Draft }>('body')
      const draft: Draft = { ...body, settings: run.settings, engines: run.engines }
      const read: ReadDraft = { reading: reader.read(draft.text, fixedFacetsOf(draft.marks)), words: reader.words }
      const have = new Set((await trx('proofs').where({ run_id: id }).select<{ picture: string }[]>('picture')).map(({ picture }) => picture))
      const fresh = pictures.filter(({ sha256 }, i) => !have.has(sha256) && pictures.findIndex((other) => other.sha256 === sha256) === i)
      for (const [i, { sha256, seed, settings }] of fresh.entries()) {
        if (!(await trx('pictures').where({ sha256 }).first('sha256'))) throw notFound('picture')
        const own = settingsFor(draft, choice)
        const said = { ...own, ...settings }
        const output = outputFor({ ...draft, settings: said }, profile, read)
        const cost = sizeFor(profile, said).cost
        const [proof] = await writeProofs(trx, { id, promptId: run.promptId }, open.version_id, draft.references, [{ profile, output, place: have.size + i, seed: 0, cost }])
        await trx('proofs').where({ id: proof!.id }).update({ state: 'stored', picture: sha256, seed: seed ?? (typeof said['seed'] === 'number' ? said['seed'] : null), cost, stored_at: trx.fn.now(), imported: true })
        await reserve(trx, [spending(actor, { promptId: run.promptId, projectId: run.projectId, id }, proof!.id, { profile, cost })])
        await settle(trx, proof!.id, cost, 'imported')
      }
      await recordEvent(trx, { kind: 'run', promptId: run.promptId, projectId: run.projectId, runId: id })
    })
    return this.read(id)
  }

  /** Stops every run of some prompts that an engine is still to be asked for. Gives how many there were. */
  async stopOf(promptIds: readonly string[]): Promise<number> {
    return this.db.transaction(async (trx) => {
      const runs = await trx('runs')
        .join('prompts', 'prompts.id', 'runs.prompt_id')
        .whereIn('runs.prompt_id', [...promptIds])
        .whereIn('runs.id', trx('proofs').where({ state: 'asked' }).whereIn('prompt_id', [...promptIds]).select('run_id'))
        .select<{ id: string; prompt_id: string; project_id: string }[]>('runs.id', 'runs.prompt_id', 'prompts.project_id')
      const ids = runs.map(({ id }) => id)
      await trx('runs').whereIn('id', ids).whereNull('stopped_at').update({ stopped_at: trx.fn.now() })
      await stopWaiting(trx, ids)
      for (const { id, prompt_id: promptId, project_id: projectId } of runs) await recordEvent(trx, { kind: 'run', promptId, projectId, runId: id })
      return runs.length
    })
  }

  /** Proofs still waiting are stopped and cost nothing; those an engine already has are let finish, since they are paid for. */
  async stop(_actor: Actor, id: string): Promise<Run> {
    const run = await this.read(id)
    await this.db.transaction(async (trx) => {
      await trx('runs').where({ id }).whereNull('stopped_at').update({ stopped_at: trx.fn.now() })
      await stopWaiting(trx, [id])
      await recordEvent(trx, { kind: 'run', promptId: run.promptId, projectId: run.projectId, runId: id })
    })
    return this.read(id)
  }
}
