import { randomUUID } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
import type { Logger } from 'pino'
import type { Database } from '../database/connect.ts'
import { type Engines, NotBegun, takeInFrom } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { settle } from '../ledger/ledger.ts'
import { keepPicture } from '../pictures/store.ts'
import { ServiceFailure } from '../providers/service-failure.ts'
import type { Picture } from '../providers/picture-engine.ts'
import { sentReferences } from './references.ts'
import { claimProof, finishProof, type ProofTask, RENEW_MS, renewLease } from './lease.ts'

const TRIES = 3
/** How far a picture's shape may lie from what was asked. */
const SHAPE_SLACK = 0.02

/** @throws {ServiceFailure} for a picture of another shape than was asked for. */
function demandShape(picture: { width: number; height: number }, settings: Readonly<Record<string, unknown>>): void {
  const [width, height] = [Number(settings['width']), Number(settings['height'])]
  if (!(width > 0 && height > 0) || Math.abs(picture.width / picture.height / (width / height) - 1) <= SHAPE_SLACK) return
  throw new ServiceFailure(`The engine answered, but the picture is ${picture.width} by ${picture.height} pixels and ${width} by ${height} were asked for.`, { charged: 'yes', again: false })
}

const MAY_BE_CHARGED = 'It may have been charged; look at the engine’s own account before you ask again.'

export class ProofMaker {
  readonly #worker = randomUUID()

  constructor(
    private readonly db: Database,
    private readonly engines: Engines,
    private readonly log: Logger,
  ) {}

  /** Asks for one proof and stores it. Safe to call twice for the same proof: only the holder of its lease does anything. */
  async make(proofId: string): Promise<void> {
    const task = await claimProof(this.db, proofId, this.#worker)
    if (!task) return
    const stop = new AbortController()
    const renewing = setInterval(() => {
      renewLease(this.db, task.id, this.#worker).catch((error: unknown) => {
        this.log.warn({ err: error, proof: task.id }, 'lease not renewed')
      })
      void this.#isStopped(task).then((stopped) => { if (stopped) stop.abort() }, () => undefined)
    }, RENEW_MS)
    try {
      await this.#ask(task, stop.signal)
    } finally {
      clearInterval(renewing)
    }
  }

  async #isStopped(task: ProofTask): Promise<boolean> {
    return (await this.db('runs').where({ id: task.run_id }).whereNotNull('stopped_at').first<{ id: string } | undefined>('id')) !== undefined
  }

  async #ask(task: ProofTask, stopped: AbortSignal): Promise<void> {
    const profile = await this.engines.find(task.engine.id, task.engine.revision)
    // Only where the service can be told is a request that is under way given up.
    const signal = profile && this.engines.canCancel(profile) ? stopped : undefined
    if (!profile) {
      await this.#fail(task, 'failed', 'This engine is no longer known here.', 0)
      return
    }
    if (task.state === 'sent' && !profile.honoursIdempotencyKey) {
      await this.#unknown(task, `Idolon was interrupted while ${task.engine.name} was at work.`)
      return
    }
    const references = await sentReferences(this.db, task.output.references ?? [])
    if (!references) {
      await this.#fail(task, 'failed', 'A reference picture is no longer there. Nothing was asked for; choose another on the Desk.', 0)
      return
    }
    let started = 0
    // Only what is truly sent is marked so: until there is room at the engine, it can be stopped and costs nothing.
    const begin = async () => {
      if (started) return true
      started = performance.now()
      return this.#markSent(task)
    }
    for (let attempt = 1; ; attempt++) {
      try {
        const answer = await this.engines.ask(profile, { output: task.output, references, seed: task.seed, key: `${task.id}.${task.asking}`, begin, ...(signal ? { signal } : {}) })
        await this.#store(task, answer, Math.round(performance.now() - started))
        return
      } catch (error) {
        if (error instanceof NotBegun) return
        if (!(error instanceof ServiceFailure)) throw error
        const { charged, again, waitSeconds } = error.more
        const safe = charged === 'no' || profile.honoursIdempotencyKey
        if (again && safe && attempt < TRIES) {
          await sleep((waitSeconds ?? 0.4 * 2 ** attempt) * 1000)
          continue
        }
        if (charged === 'perhaps') await this.#unknown(task, error.reason)
        else await this.#fail(task, 'failed', error.reason, charged === 'yes' ? task.reserved : 0)
        return
      }
    }
  }

  #markSent(task: ProofTask): Promise<boolean> {
    return this.db.transaction(async (trx) => {
      const changed = await trx('proofs')
        .where({ id: task.id, worker: this.#worker })
        .whereIn('state', ['asked', 'sent'])
        .update({ state: 'sent', sent_at: trx.fn.now() })
      if (changed) await this.#tell(trx, task)
      return changed > 0
    })
  }

  async #store(task: ProofTask, answer: Picture, tookMs: number): Promise<void> {
    const picture = await takeInFrom(answer.bytes)
    demandShape(picture, task.output.settings)
    const cost = answer.cost ?? task.reserved
    await this.db.transaction(async (trx) => {
      await keepPicture(trx, picture)
      const mine = await finishProof(trx, task.id, this.#worker, {
        state: 'stored',
        reason: null,
        picture: picture.sha256,
        seed: answer.seed,
        cost,
        stored_at: trx.fn.now(),
        took_ms: tookMs,
      })
      if (!mine) return
      await settle(trx, task.id, cost, 'stored')
      await this.#tell(trx, task)
    })
  }

  async #fail(task: ProofTask, state: 'failed', reason: string, charged: number): Promise<void> {
    await this.db.transaction(async (trx) => {
      if (!(await finishProof(trx, task.id, this.#worker, { state, reason, cost: charged }))) return
      await settle(trx, task.id, charged, 'failed')
      await this.#tell(trx, task)
    })
  }

  /** The reservation stays: what may have been charged is counted until the writer knows better. */
  async #unknown(task: ProofTask, reason: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      const mine = await finishProof(trx, task.id, this.#worker, { state: 'unknown', reason: `${reason} ${MAY_BE_CHARGED}`, cost: task.reserved })
      if (mine) await this.#tell(trx, task)
    })
  }

  #tell(trx: Parameters<typeof recordEvent>[0], task: ProofTask): Promise<void> {
    return recordEvent(trx, { kind: 'proof', proofId: task.id, runId: task.run_id, promptId: task.prompt_id, projectId: task.project_id })
  }
}
