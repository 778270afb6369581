import type { Engine, EngineTry, RequestPreview } from '@idolon/contract'
import { type Connection, contradictionsOf, emptyDraft, type EngineProfile, findEngine, type Output, outputFor, type ReferenceRole, type RequestValues, SHIPPED_ENGINES, standinConnection } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { NotAPicture } from '../pictures/not-a-picture.ts'
import { takeIn, type TakenIn } from '../pictures/take-in.ts'
import type { AllowedAddresses } from '../providers/allowed-addresses.ts'
import { Breaker } from '../providers/breaker.ts'
import { ServiceFailure } from '../providers/service-failure.ts'
import { type Picture, PictureEngines } from '../providers/picture-engine.ts'
import type { ApiKeys } from '../security/api-keys.ts'
import { intoBin } from '../bin/deleted-rows.ts'
import { saveProfile, savedProfiles, statesOf, switchState } from './store.ts'
import { usageByEngine } from './usage.ts'

const sameEngine = (a: EngineProfile, b: EngineProfile) => a.id === b.id && a.revision === b.revision
const ships = (profile: EngineProfile) => SHIPPED_ENGINES.some((one) => sameEngine(one, profile))
/** Requests at once to an engine whose profile says nothing of it. */
const AT_ONCE = 2
const TRY_TEXT = 'A red fox in a meadow at dusk, gouache.'

/** What was to be asked for is wanted no more. */
export class NotBegun extends Error {
  override name = 'NotBegun'
}

/** A reference picture as it goes along. */
export interface SentReference {
  role: ReferenceRole
  strength: number
  /** Base64. */
  image: string
}

/** What came from an engine, taken in. @throws {ServiceFailure} where it is no picture. */
export async function takeInFrom(bytes: Buffer): Promise<TakenIn> {
  return takeIn(bytes).catch((error: unknown) => {
    if (error instanceof NotAPicture) throw new ServiceFailure(`The engine answered, but what came is ${error.message}.`, { charged: 'yes', again: false })
    throw error
  })
}

/** What an engine is asked with, as its connection's template may name it. */
export function requestValues(profile: EngineProfile, output: Output, seed: number, key: string, references: readonly SentReference[] = []): RequestValues {
  const { width, height, aspectRatio, count: _count, seed: _seed, ...settings } = output.settings
  return { prompt: output.text, ...(output.leaveOut ? { leaveOut: output.leaveOut } : {}), ...(output.weights?.length ? { weights: output.weights } : {}), ...(references.length ? { references } : {}), width, height, aspectRatio, seed, count: 1, settings, engine: profile.id, revision: profile.revision, key }
}

/** The engines this copy of Idolon knows, where each is spoken to, and what they have done so far. */
export class Engines {
  readonly #pictures: PictureEngines
  readonly #breaker = new Breaker()

  constructor(
    private readonly db: Database,
    private readonly standin: string,
    private readonly allowed: AllowedAddresses,
    readonly apiKeys: ApiKeys<{ id: string; revision: string }>,
    private readonly timeoutMs: number,
  ) {
    this.#pictures = new PictureEngines(allowed)
  }

  async list(): Promise<Engine[]> {
    const [profiles, states, usage] = await Promise.all([this.#profiles(), statesOf(this.db), usageByEngine(this.db)])
    return profiles.all.map((profile): Engine => {
      const state = states.get(`${profile.id} ${profile.revision}`)
      const origin = !ships(profile) ? 'own' : profiles.saved.some((one) => sameEngine(one, profile)) ? 'changed' : 'shipped'
      return { profile, origin, off: state?.off ?? false, hasApiKey: state?.hasApiKey ?? false, connected: this.connectionOf(profile) !== undefined && !state?.off, usage: usage(profile.id, profile.revision) }
    })
  }

  async #profiles(): Promise<{ all: EngineProfile[]; saved: EngineProfile[] }> {
    const saved = await savedProfiles(this.db)
    const shipped = SHIPPED_ENGINES.map((profile) => saved.find((one) => sameEngine(one, profile)) ?? profile)
    return { all: [...shipped, ...saved.filter((profile) => !ships(profile))], saved }
  }

  async find(id: string, revision?: string): Promise<EngineProfile | undefined> {
    return findEngine((await this.#profiles()).all, id, revision)
  }

  /** Undefined for an engine that is only written for. What ships speaks to the simulated engines, unless its profile says otherwise. */
  connectionOf(profile: EngineProfile): Connection | undefined {
    return profile.connection ?? (ships(profile) ? standinConnection(this.standin) : undefined)
  }

  /** Whether it can be asked for pictures now: why not, in a sentence. */
  async whyNot(profile: EngineProfile): Promise<string | undefined> {
    if (!this.connectionOf(profile)) return `${profile.name} is written for here and not connected, so it cannot be asked for pictures.`
    const states = await statesOf(this.db)
    return states.get(`${profile.id} ${profile.revision}`)?.off ? `${profile.name} is switched off on the Engines page.` : undefined
  }

  /** Whether stopping the asking reaches the service. */
  canCancel = (profile: EngineProfile): boolean => this.connectionOf(profile)?.cancel !== undefined

  /**
   * Asks for one picture, once there is room for a request; `begin` is called then, and when it says no, nothing is sent.
   * @throws {ServiceFailure} @throws {NotBegun}
   */
  async ask(profile: EngineProfile, asked: { output: Output; references?: readonly SentReference[]; seed: number; key: string; signal?: AbortSignal; begin?: () => Promise<boolean> }): Promise<Picture> {
    const connection = this.connectionOf(profile)
    if (!connection) throw new ServiceFailure('This engine is not connected. Nothing was sent.', { charged: 'no', again: false })
    const { id, revision } = profile
    const apiKey = connection.headers ? await this.apiKeys.of({ id, revision }) : undefined
    return this.#breaker.through({ id: `${id} ${revision}`, name: profile.name }, connection.concurrency ?? AT_ONCE, async () => {
      if (asked.begin && !(await asked.begin())) throw new NotBegun()
      return this.#pictures.ask({ connection, apiKey, values: requestValues(profile, asked.output, asked.seed, asked.key, asked.references), seed: asked.seed, key: asked.key, timeoutMs: connection.timeoutSeconds ? connection.timeoutSeconds * 1000 : this.timeoutMs, ...(asked.signal ? { signal: asked.signal } : {}) })
    })
  }

  /** What would be sent for a text, without its API key, and whether the address is allowed here. */
  preview(profile: EngineProfile, text: string): RequestPreview {
    const connection = this.connectionOf(profile)
    if (!connection) return { request: null, problem: 'The profile says no address to send anything to; this engine is only written for.' }
    const values = requestValues(profile, outputFor({ ...emptyDraft(), text: text || TRY_TEXT }, profile), 7, 'a-key-of-its-own')
    const request = this.#pictures.preview({ connection, values })
    try {
      for (const address of [connection.url, connection.poll?.url, connection.cancel?.url]) if (address) this.allowed.demand(address)
      return { request, problem: null }
    } catch (error) {
      if (!(error instanceof ServiceFailure)) throw error
      return { request, problem: error.reason }
    }
  }

  /** Makes one picture to see whether the engine answers. It is shown and not kept; what it cost is counted. */
  async try(actor: Actor, { engine, revision }: { engine: string; revision: string }, text: string): Promise<EngineTry> {
    const profile = await this.find(engine, revision)
    if (!profile) throw notFound('engine')
    const reason = await this.whyNot(profile)
    if (reason) throw new ProblemError('not-connected', `${reason} Nothing was sent.`)
    const output = outputFor({ ...emptyDraft(), text: text || TRY_TEXT }, profile)
    const size = profile.sizes.find(({ width, height }) => width === output.settings['width'] && height === output.settings['height']) ?? profile.sizes[0]!
    const began = performance.now()
    let tried: { picture: string; width: number; height: number } | undefined
    let failure: ServiceFailure | undefined
    let cost = 0
    try {
      const answer = await this.ask(profile, { output, seed: 7, key: randomUUID() })
      cost = answer.cost ?? size.cost
      const { thumbnail, width, height } = await takeInFrom(answer.bytes)
      tried = { picture: `data:image/webp;base64,${thumbnail.toString('base64')}`, width, height }
    } catch (error) {
      if (!(error instanceof ServiceFailure)) throw error
      failure = error
      if (error.more.charged === 'yes' && cost === 0) cost = size.cost
    }
    const tookMs = Math.round(performance.now() - began)
    await this.db.transaction(async (trx) => {
      await trx('engine_tries').insert({ id: randomUUID(), engine, revision, reason: failure?.reason ?? null, took_ms: tookMs, cost, tried_by: actor.id })
      await recordEvent(trx, { kind: 'engines' })
    })
    return { picture: tried?.picture ?? null, width: tried?.width ?? null, height: tried?.height ?? null, tookMs, cost, problem: failure?.reason ?? null }
  }

  async save(actor: Actor, { engine, revision }: { engine: string; revision: string }, profile: EngineProfile): Promise<Engine> {
    if (profile.id !== engine || profile.revision !== revision) throw new ProblemError('invalid', `The profile is that of ${profile.id} ${profile.revision}, and was sent as ${engine} ${revision}. Nothing was changed.`)
    const problems = contradictionsOf(profile)
    if (problems.length) {
      throw new ProblemError('profile-contradicts', `${problems.map(({ says }) => says).join(' ')} Nothing was changed.`, { errors: problems.map(({ at, says }) => ({ where: `/body${at}`, message: says })) })
    }
    // What is simulated here stays marked as simulated; nothing else may pass for it.
    const own = { ...profile, simulated: ships(profile) }
    await this.db.transaction(async (trx) => {
      await saveProfile(trx, own, actor.id)
      await recordEvent(trx, { kind: 'engines' })
    })
    return this.#one(engine, revision)
  }

  async remove(actor: Actor, { engine, revision }: { engine: string; revision: string }): Promise<void> {
    await this.db.transaction(async (trx) => {
      if ((await intoBin(trx, 'engine', { id: engine, revision }, actor.id)).length === 0) throw notFound('engine of yours')
      await recordEvent(trx, { kind: 'engines' })
    })
  }

  async switch(_actor: Actor, { engine, revision }: { engine: string; revision: string }, off: boolean): Promise<Engine> {
    await this.#one(engine, revision)
    await this.db.transaction(async (trx) => {
      await switchState(trx, engine, revision, off)
      await recordEvent(trx, { kind: 'engines' })
    })
    return this.#one(engine, revision)
  }

  async setApiKey(_actor: Actor, { engine, revision }: { engine: string; revision: string }, apiKey: string | null): Promise<Engine> {
    await this.#one(engine, revision)
    if (apiKey === null) await this.apiKeys.remove({ id: engine, revision })
    else await this.apiKeys.keep({ id: engine, revision }, apiKey)
    await this.db.transaction((trx) => recordEvent(trx, { kind: 'engines' }))
    return this.#one(engine, revision)
  }

  async #one(engine: string, revision: string): Promise<Engine> {
    const found = (await this.list()).find(({ profile }) => profile.id === engine && profile.revision === revision)
    if (!found) throw notFound('engine')
    return found
  }

  /** Has the simulated engines misbehave, for practice. */
  async practise(fault: string, times: number): Promise<void> {
    const response = await fetch(`${this.standin}/v1/standin`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ fault, times }), signal: AbortSignal.timeout(5_000) }).catch(() => undefined)
    if (!response?.ok) throw new ProblemError('not-connected', 'The simulated engines did not answer. Nothing was changed.')
  }
}
