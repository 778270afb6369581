import type { Trial, TrialWhole } from '@idolon/contract'
import { combinationsOf, type Draft, type EngineChoice, type EngineProfile, findEngine, fixedFacetsOf, sameVersion, sumByUnit, templateProblems, type TrialBody, versionBodyOf, versionChanges } from '@idolon/core'
import { combine } from '@idolon/core/reader'
import type { Knex } from 'knex'
import { randomInt, randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import type { ProofQueue } from '../jobs/proof-queue.ts'
import { Judging } from '../judging/service.ts'
import { demandUnderCeiling } from '../ledger/ceiling.ts'
import { reserve, settleAll } from '../ledger/ledger.ts'
import { promptReader } from '../phrases/prompt-reader.ts'
import { demandWords, enginesToAsk, type Ground, groundOf } from '../runs/ground.ts'
import { type PlannedProof, planRun } from '../runs/plan.ts'
import { spending, stopWaiting, writeProofs } from '../runs/write.ts'
import { insertVersion, versionByNumber } from '../versions/store.ts'
import { factorsOf, SCORE, strengthsOf } from './effects.ts'
import { resultsOf, trialsWhere } from './store.ts'

/** Most pictures of one plan. */
const MOST_PROOFS = 1_000
const MOST_LISTED = 200

const nothingToTry = (says: string) => new ProblemError('nothing-to-try', `${says} Nothing was spent.`)

/** A combination as it will be written. */
interface Planned {
  draft: Draft
  options: Record<string, string>
  /** Its place among the combinations. */
  row: number
  plan: PlannedProof[]
}

/** Plans that try many combinations at once, and what their options did. */
export class Trials {
  constructor(
    private readonly db: Database,
    private readonly engines: Engines,
    private readonly queue: ProofQueue,
  ) {}

  async #read(id: string): Promise<Trial & { rows: number[][] }> {
    const [trial] = await trialsWhere(this.db, 't.id = ?', [id], 1)
    if (!trial) throw notFound('trial plan')
    return trial
  }

  async read(id: string): Promise<Trial> {
    return bare(await this.#read(id))
  }

  async list({ prompt, project, limit = 50 }: { prompt?: string; project?: string; limit?: number }): Promise<Trial[]> {
    const conditions = ['x.deleted_at is null', ...(prompt ? ['t.prompt_id = ?'] : []), ...(project ? ['x.project_id = ?'] : [])]
    return (await trialsWhere(this.db, conditions.join(' and '), [...(prompt ? [prompt] : []), ...(project ? [project] : [])], Math.min(limit, MOST_LISTED))).map(bare)
  }

  async whole(id: string): Promise<TrialWhole> {
    const { rows, ...trial } = await this.#read(id)
    const results = await resultsOf(this.db, id)
    const known = (await this.engines.list()).map(({ profile }) => profile)
    const { factors } = trial.body
    const judged = results.flatMap(({ row, verdict }) => (verdict ? [{ row: rows[row]!, score: SCORE[verdict] }] : []))
    const strengths = strengthsOf(results.map((one) => one.id), await new Judging(this.db).of(results.map((one) => one.id)))
    const ranked = strengths && results.flatMap(({ id: proof, row }) => (strengths.has(proof) ? [{ row: rows[row]!, score: strengths.get(proof)! }] : []))
    return { trial, verdicts: factorsOf(factors, judged, 'verdicts', naming(known)), ranking: ranked ? factorsOf(factors, ranked, 'ranking', naming(known)) : null }
  }

  /** Plan, versions, runs, proofs, reserved cost and jobs are written in one transaction, or none of it. */
  async start(actor: Actor, promptId: string, { id, revision, body }: { id: string; revision: number; body: TrialBody }): Promise<Trial> {
    const { rows, problem } = combinationsOf(body)
    const unsound = problem ?? templateProblems({ text: body.frame, slots: body.slots }).find((one) => !one.startsWith('The text has no slot'))
    if (unsound) throw nothingToTry(unsound)
    const names = new Set(body.factors.map((factor) => JSON.stringify(factor.kind === 'words' ? factor.slot : factor.kind === 'engine' ? '' : factor.key)))
    if (names.size < body.factors.length) throw nothingToTry('One thing varies twice in this plan. Put its options into one list.')
    const known = (await this.engines.list()).map(({ profile }) => profile)
    await this.db.transaction(async (trx) => {
      const ground = await groundOf(trx, promptId, { id, revision }, known, 'trials')
      if (!ground) return
      const planned = await this.#plan(ground, body, rows, body.seed ?? randomInt(1, 1_000_000))
      const proofs = planned.flatMap(({ plan }) => plan)
      if (proofs.length > MOST_PROOFS) throw nothingToTry(`That would be ${proofs.length.toLocaleString('en')} pictures; a plan makes at most ${MOST_PROOFS.toLocaleString('en')}. Ask for fewer results, or try every pair once.`)
      demandWords(proofs.map(({ output }) => output))
      await demandUnderCeiling(trx, ground.projectId, sumByUnit(proofs.map(({ profile, cost }) => ({ unit: profile.costUnit, amount: cost }))))
      await trx('trials').insert({ id, prompt_id: promptId, body: JSON.stringify(body), combinations: JSON.stringify(rows), asked_by: actor.id })
      await this.#write(trx, actor, ground, planned)
      await recordEvent(trx, { kind: 'run', promptId, projectId: ground.projectId })
    })
    return this.read(id)
  }

  /** What each combination asks for; nothing is written. A text that several have is read once. */
  async #plan(ground: Ground, body: TrialBody, rows: readonly (readonly number[])[], seed: number): Promise<Planned[]> {
    const reader = await promptReader()
    const readings = new Map<string, ReturnType<typeof reader.read>>()
    const planned: Planned[] = []
    for (const [row, combination] of rows.entries()) {
      const { draft: combined, options } = combine(ground.draft, body, combination, reader.words, naming(ground.known))
      const draft: Draft = { ...combined, settings: { ...combined.settings, count: body.count }, engines: combined.engines.map((choice) => ({ ...choice, ...(choice.settings ? { settings: { ...choice.settings, count: body.count } } : {}) })) }
      const asked = await enginesToAsk(this.engines, ground.known, draft.engines)
      for (const factor of body.factors) if (factor.kind === 'setting') demandSetting(factor.key, draft.settings[factor.key], asked.map(({ profile }) => profile))
      const key = JSON.stringify([draft.text, draft.marks])
      const reading = readings.get(key) ?? reader.read(draft.text, fixedFacetsOf(draft.marks))
      readings.set(key, reading)
      planned.push({ draft, options, row, plan: planRun(draft, asked, { reading, words: reader.words }, seed, undefined) })
    }
    return planned
  }

  async #write(trx: Knex.Transaction, actor: Actor, ground: Ground, planned: readonly Planned[]): Promise<void> {
    const parent = ground.parent === null ? undefined : await versionByNumber(trx, ground.promptId, ground.parent)
    const versions = new Map<string, string>()
    for (const { draft, options, row, plan } of planned) {
      const key = JSON.stringify(versionBodyOf(draft))
      let version = versions.get(key) ?? (parent && sameVersion(parent.body, draft) ? parent.id : undefined)
      if (!version) {
        version = randomUUID()
        const changes = parent ? versionChanges(parent.body, versionBodyOf(draft)).map((text) => text.replaceAll('\u0000', '�')) : []
        await insertVersion(trx, { id: version, prompt_id: ground.promptId, parent: parent?.number ?? null, body: versionBodyOf(draft), changes })
        await trx('versions').where({ id: version }).update({ trial_id: ground.id })
      }
      versions.set(key, version)
      const run = { id: randomUUID(), promptId: ground.promptId, projectId: ground.projectId }
      await trx('runs').insert({ id: run.id, prompt_id: run.promptId, version_id: version, draft_revision: ground.revision, engines: JSON.stringify(draft.engines), settings: JSON.stringify(draft.settings), sweep: null, by_hand: false, asked_by: actor.id, trial_id: ground.id, trial_row: row, trial_options: JSON.stringify(options) })
      const proofs = await writeProofs(trx, run, version, draft.references, plan)
      await reserve(trx, proofs.map((proof, i) => spending(actor, run, proof.id, plan[i]!)))
      // One result of every combination comes before the second of any.
      await this.queue.add(trx, proofs.map((proof) => proof.id), plan.map(({ place }) => place))
    }
  }

  async stop(_actor: Actor, id: string): Promise<Trial> {
    const trial = await this.#read(id)
    await this.db.transaction(async (trx) => {
      await trx('trials').where({ id }).whereNull('stopped_at').update({ stopped_at: trx.fn.now() })
      await stopWaiting(trx, await this.#runsOf(trx, id))
      await recordEvent(trx, { kind: 'run', promptId: trial.promptId, projectId: trial.projectId })
    })
    return this.read(id)
  }

  /** Asks for what was stopped, failed or never answered; each is a new charge under the ceiling. */
  async goOn(actor: Actor, id: string): Promise<Trial> {
    const trial = await this.#read(id)
    await this.db.transaction(async (trx) => {
      await trx('projects').where({ id: trial.projectId }).forUpdate().first('id')
      const runs = await this.#runsOf(trx, id)
      const unanswered = await trx('proofs').whereIn('run_id', runs).where({ state: 'unknown' }).select<{ id: string; reserved: number }[]>('id', 'reserved')
      for (const { id: proof, reserved } of unanswered) await settleAll(trx, [proof], reserved, 'may have been charged')
      const again = await trx('proofs')
        .whereIn('run_id', runs)
        .whereIn('state', ['failed', 'stopped', 'unknown'])
        .update({ state: 'asked', reason: null, asking: trx.raw('asking + 1'), asked_at: trx.fn.now(), lease_until: null, cost: null })
        .returning<{ id: string; run_id: string; reserved: number; cost_unit: string; place: number; engine: { id: string } }[]>(['id', 'run_id', 'reserved', 'cost_unit', 'place', 'engine'])
      if (again.length === 0) throw new ProblemError('not-now', 'Nothing of this plan was stopped or failed. Start another plan for more results.')
      await demandUnderCeiling(trx, trial.projectId, sumByUnit(again.map(({ cost_unit, reserved }) => ({ unit: cost_unit, amount: reserved }))))
      await reserve(trx, again.map((proof) => ({ actor: actor.id, project_id: trial.projectId, prompt_id: trial.promptId, run_id: proof.run_id, proof_id: proof.id, engine: proof.engine.id, unit: proof.cost_unit, amount: proof.reserved })))
      await trx('trials').where({ id }).update({ stopped_at: null })
      await this.queue.add(trx, again.map((proof) => proof.id), again.map(({ place }) => place))
      await recordEvent(trx, { kind: 'run', promptId: trial.promptId, projectId: trial.projectId })
    })
    return this.read(id)
  }

  #runsOf(trx: Knex.Transaction, id: string): Promise<string[]> {
    return trx('runs').where({ trial_id: id }).select<{ id: string }[]>('id').then((rows) => rows.map((row) => row.id))
  }
}

const bare = ({ rows: _, ...trial }: Trial & { rows: number[][] }): Trial => trial

/** What an engine of a plan is called: its name and revision. */
const naming =
  (known: readonly EngineProfile[]) =>
  ({ engine, revision }: EngineChoice): string => {
    const profile = findEngine(known, engine, revision)
    return profile ? `${profile.name} ${profile.revision}` : `${engine} ${revision ?? ''}`.trim()
  }

/** A setting that varies must be one that every engine of the plan takes at that value. */
function demandSetting(key: string, value: unknown, profiles: readonly EngineProfile[]): void {
  for (const profile of profiles) {
    if (key === 'aspectRatio') {
      if (!profile.sizes.some(({ aspectRatio }) => aspectRatio === value)) throw nothingToTry(`${profile.name} makes no picture of ${String(value)}.`)
      continue
    }
    const setting = profile.settings.find((one) => one.key === key)
    if (!setting) throw nothingToTry(`${profile.name} has no setting “${key}”. Leave that engine or that setting out.`)
    if (setting.kind === 'choice' ? !setting.values.includes(String(value)) : typeof value !== 'number' || value < setting.min || value > setting.max) throw nothingToTry(`${setting.label} of ${profile.name} cannot be ${String(value)}${setting.kind === 'number' ? `; it goes from ${setting.min} to ${setting.max}` : ''}.`)
  }
}
