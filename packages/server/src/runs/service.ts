import { type Draft, draftFor, ELSEWHERE, type EngineChoice, type EngineProfile, findEngine, fixedFacetsOf, type Output, type ReadDraft, outputFor, settingsFor, sizeFor, sumByUnit } from '@idolon/core'
import type { BroughtIn, Run } from '@idolon/contract'
import type { Knex } from 'knex'
import { randomInt, randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { draftRow } from '../drafts/store.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import type { ProofQueue } from '../jobs/proof-queue.ts'
import { demandUnderCeiling } from '../ledger/ceiling.ts'
import { reserve, settle } from '../ledger/ledger.ts'
import { promptReader } from '../phrases/prompt-reader.ts'
import { parentOf, pictureOf } from '../proofs/references.ts'
import { freezeVersion } from '../versions/service.ts'
import { MAX_SEED, type PlannedProof, planRun, type Sweep } from './plan.ts'
import { runsWhere } from './store.ts'

export interface Asked {
  id: string
  revision: number
  seed?: number | null
  sweep?: Sweep
  byHand?: { engine: EngineChoice }
}

/** What a run is made of before it is written: the draft as it was on the screen, and whose it is. */
interface Ground {
  id: string
  promptId: string
  projectId: string
  draft: Draft
  revision: number
  parent: number | null
  known: readonly EngineProfile[]
}

const namedIn = ({ id, name, revision, simulated }: EngineProfile) => JSON.stringify({ id, name, revision, simulated })
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
  async start(actor: Actor, promptId: string, asked: Asked): Promise<Run> {
    const reader = await promptReader()
    const known = (await this.engines.list()).map(({ profile }) => profile)
    await this.db.transaction(async (trx) => {
      const ground = await this.#ground(trx, promptId, asked, known)
      if (!ground) return
      const { draft } = ground
      const read: ReadDraft = { reading: reader.read(draft.text, fixedFacetsOf(draft.marks)), words: reader.words }
      if (asked.byHand) await this.#waitForPictures(trx, actor, ground, asked, asked.byHand.engine, read)
      else await this.#askForProofs(trx, actor, ground, asked, read)
      await recordEvent(trx, { kind: 'run', promptId, projectId: ground.projectId, runId: asked.id })
    })
    return this.read(asked.id)
  }

  /** Undefined when the run is there already: it was asked for twice. */
  async #ground(trx: Knex.Transaction, promptId: string, { id, revision }: Asked, known: readonly EngineProfile[]): Promise<Ground | undefined> {
    const draft = await draftRow(trx, promptId, true)
    const prompt = await trx('prompts').where({ id: promptId }).first<{ project_id: string } | undefined>('project_id')
    if (!draft || !prompt) throw notFound('prompt')
    if (await trx('runs').where({ id, prompt_id: promptId }).first('id')) return undefined
    // Locked, so that what several runs reserve at once is added up one after the other.
    const project = await trx('projects').where({ id: prompt.project_id }).forUpdate().first<{ archived_at: Date | null }>('archived_at')
    if (project.archived_at) throw new ProblemError('project-archived', 'The project is archived. Take it back from the archive to try its prompts again.')
    if (draft.revision !== revision) {
      throw new ProblemError('draft-moved', 'The draft has changed since you pressed the button. Nothing was spent; look at it and press again.', { revision: draft.revision })
    }
    for (const { reference } of draft.body.references) {
      if (!(await pictureOf(trx, reference))) throw new ProblemError('nothing-to-try', 'A reference picture of the draft is no longer there. Take it off the draft or choose another; nothing was spent.')
    }
    return { id, promptId, projectId: prompt.project_id, draft: draft.body, revision, parent: draft.parent_version, known }
  }

  async #askForProofs(trx: Knex.Transaction, actor: Actor, ground: Ground, { seed, sweep }: Asked, read: ReadDraft): Promise<void> {
    const { draft } = ground
    const engines: { choice: EngineChoice; profile: EngineProfile }[] = []
    for (const choice of draft.engines) {
      const profile = profileOf(ground.known, choice)
      const reason = await this.engines.whyNot(profile)
      if (reason) throw new ProblemError('not-connected', `${reason} Nothing was spent; copy its output on the Desk, or choose another engine.`)
      engines.push({ choice, profile })
    }
    if (engines.length === 0) throw new ProblemError('nothing-to-try', 'No engine is chosen. Choose one on the Desk.')
    const set = draft.settings['seed']
    const first = typeof seed === 'number' ? seed : seed === undefined && typeof set === 'number' ? Math.abs(Math.trunc(set)) % MAX_SEED : randomInt(1, 1_000_000)
    const plan = planRun(draft, engines, read, first, sweep)
    demandWords(plan.map(({ output }) => output))
    await demandUnderCeiling(trx, ground.projectId, sumByUnit(plan.map(({ profile, cost }) => ({ unit: profile.costUnit, amount: cost }))))
    const versionId = await this.#writeRun(trx, actor, ground, { engines: draft.engines, sweep: sweep ?? null, byHand: false })
    const proofs = await this.#writeProofs(trx, ground, versionId, plan)
    await reserve(trx, proofs.map((proof, i) => spending(actor, ground, proof.id, plan[i]!)))
    await this.queue.add(trx, proofs.map((proof) => proof.id), plan.map(({ place }) => place))
  }

  /** A run that nothing is asked for: its pictures are made elsewhere and brought in. */
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

  async #writeProofs(trx: Knex.Transaction, { id, promptId, draft }: Pick<Ground, 'id' | 'promptId' | 'draft'>, versionId: string, plan: readonly PlannedProof[]): Promise<{ id: string }[]> {
    const proofs = plan.map(({ profile, output, place, seed, cost }) => ({
      id: randomUUID(),
      run_id: id,
      prompt_id: promptId,
      version_id: versionId,
      engine: namedIn(profile),
      place,
      output: JSON.stringify(output),
      seed,
      cost_unit: profile.costUnit,
      reserved: cost,
      parent_proof: parentOf(draft.references),
    }))
    await trx('proofs').insert(proofs)
    return proofs
  }

  /** Pictures made elsewhere join a run that waits for them; what the profile says they cost is counted as spent. */
  async bringIn(actor: Actor, id: string, pictures: readonly BroughtIn[]): Promise<Run> {
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
        const [proof] = await this.#writeProofs(trx, { id, promptId: run.promptId, draft }, open.version_id, [{ profile, output, place: have.size + i, seed: 0, cost }])
        await trx('proofs').where({ id: proof!.id }).update({ state: 'stored', picture: sha256, seed: seed ?? (typeof said['seed'] === 'number' ? said['seed'] : null), cost, stored_at: trx.fn.now(), brought_in: true })
        await reserve(trx, [spending(actor, { promptId: run.promptId, projectId: run.projectId, id }, proof!.id, { profile, cost })])
        await settle(trx, proof!.id, cost, 'brought in')
      }
      await recordEvent(trx, { kind: 'run', promptId: run.promptId, projectId: run.projectId, runId: id })
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

function profileOf(known: readonly EngineProfile[], { engine, revision }: EngineChoice): EngineProfile {
  const profile = engine === ELSEWHERE.id ? ELSEWHERE : findEngine(known, engine, revision)
  if (!profile) throw new ProblemError('unknown-engine', `There is no engine “${engine}${revision ? ` ${revision}` : ''}” here. Choose another on the Desk.`)
  return profile
}

function demandWords(outputs: readonly Output[]): void {
  if (outputs.some(({ text }) => text === '')) throw new ProblemError('nothing-to-try', 'The prompt says nothing yet, or everything in it is switched off. Write what the picture shows first.')
}

const spending = (actor: Actor, { promptId, projectId, id }: Pick<Ground, 'promptId' | 'projectId' | 'id'>, proofId: string, { profile, cost }: { profile: EngineProfile; cost: number }) => ({
  actor: actor.id,
  project_id: projectId,
  prompt_id: promptId,
  run_id: id,
  proof_id: proofId,
  engine: profile.id,
  unit: profile.costUnit,
  amount: cost,
})
