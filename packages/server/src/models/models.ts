import type { Model } from '@idolon/contract'
import { ANSWERS, chatConnection, fillModelBody, type Message, type ModelConnection, type ModelProfile, proseSoFar, SHIPPED_MODELS, temperatureFor } from '@idolon/core/helper'
import type { Static } from '@sinclair/typebox'
import type { Misbehaviour } from '@idolon/contract'
import type { Actor } from '../actor.ts'
import { intoBin } from '../bin/deleted-rows.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import type { AllowedAddresses } from '../providers/allowed-addresses.ts'
import { Breaker } from '../providers/breaker.ts'
import { LanguageModels, type ModelAnswer } from '../providers/language-model.ts'
import { ServiceFailure } from '../providers/service-failure.ts'
import type { ApiKeys } from '../security/api-keys.ts'

/** Requests at once to a model whose profile says nothing of it. */
const AT_ONCE = 2
const ships = (id: string) => SHIPPED_MODELS.some((one) => one.id === id)
const NO_USAGE: Model['usage'] = { answered: 0, failed: 0, medianMs: null, spent: 0, lastFailure: null }

export interface ModelQuestion {
  messages: readonly Message[]
  /** Pictures that go with it, as data URLs. */
  pictures?: readonly string[]
  schema: { name: string; schema: unknown }
  temperature: number
  seed: number
  signal?: AbortSignal
  heard?: (text: string) => void
}

/** The language models this copy of Idolon knows, and where each is spoken to. */
export class Models {
  readonly #models: LanguageModels
  readonly #breaker = new Breaker()

  constructor(
    private readonly db: Database,
    private readonly standin: string,
    allowed: AllowedAddresses,
    private readonly apiKeys: ApiKeys<{ id: string }>,
    private readonly timeoutMs: number,
  ) {
    this.#models = new LanguageModels(allowed)
  }

  async list(): Promise<Model[]> {
    const [profiles, states, usage] = await Promise.all([this.#profiles(), this.db('model_states').select<{ id: string; off: boolean; has_api_key: boolean }[]>('id', 'off', this.db.raw('api_key is not null as has_api_key')), this.#usage()])
    return profiles.all.map((profile): Model => {
      const state = states.find(({ id }) => id === profile.id)
      const off = state?.off ?? false
      return { profile, off, hasApiKey: state?.has_api_key ?? false, connected: this.connectionOf(profile) !== undefined && !off, origin: !ships(profile.id) ? 'own' : profiles.saved.some(({ id }) => id === profile.id) ? 'changed' : 'shipped', usage: usage.get(profile.id) ?? NO_USAGE }
    })
  }

  async #profiles(): Promise<{ all: ModelProfile[]; saved: ModelProfile[] }> {
    const rows = await this.db('model_profiles').orderBy('saved_at').select<{ profile: ModelProfile }[]>('profile')
    const saved = rows.map(({ profile }) => profile)
    return { all: [...SHIPPED_MODELS.map((profile) => saved.find(({ id }) => id === profile.id) ?? profile), ...saved.filter(({ id }) => !ships(id))], saved }
  }

  async #usage(): Promise<Map<string, Model['usage']>> {
    const { rows } = await this.db.raw<{ rows: { id: string; answered: string; failed: string; median: number | null; spent: string; failure: string | null }[] }>(
      `select model->>'id' as id, count(*) filter (where state in ('done', 'refused')) answered, count(*) filter (where state = 'failed') failed,
         percentile_cont(0.5) within group (order by took_ms) filter (where state = 'done') median, coalesce(sum(cost), 0) spent,
         (array_agg(problem order by ended_at desc) filter (where state = 'failed'))[1] failure
       from turns where ended_at is not null group by 1`,
    )
    return new Map(rows.map((row) => [row.id, { answered: Number(row.answered), failed: Number(row.failed), medianMs: row.median === null ? null : Math.round(row.median), spent: Number(row.spent), lastFailure: row.failure }]))
  }

  /** Undefined for one that nothing says how to reach. */
  connectionOf(profile: ModelProfile): ModelConnection | undefined {
    return profile.connection ?? (ships(profile.id) ? chatConnection(`${this.standin}/v1/chat/completions`, false) : undefined)
  }

  /** A model that can be asked now. @throws ProblemError that says why it cannot. */
  async demand(id: string): Promise<ModelProfile> {
    const found = (await this.list()).find(({ profile }) => profile.id === id)
    if (!found) throw new ProblemError('unknown-model', `There is no model “${id}” here. Choose another; nothing was sent.`)
    if (found.off) throw new ProblemError('not-connected', `${found.profile.name} is switched off on the Engines page. Nothing was sent.`)
    if (!found.connected) throw new ProblemError('not-connected', `Nothing says where ${found.profile.name} is spoken to. Give its address on the Engines page; nothing was sent.`)
    return found.profile
  }

  /** Asks a model. @throws {ServiceFailure} */
  async ask(profile: ModelProfile, question: ModelQuestion): Promise<ModelAnswer> {
    const connection = this.connectionOf(profile)
    if (!connection) throw new ServiceFailure('This model is not connected. Nothing was sent.', { charged: 'no', again: false })
    const apiKey = connection.headers ? await this.apiKeys.of({ id: profile.id }) : undefined
    const { messages, pictures, schema, temperature, seed, signal, heard } = question
    return this.#breaker.through({ id: profile.id, name: profile.name }, connection.concurrency ?? AT_ONCE, () =>
      this.#models.ask({
        connection,
        apiKey,
        messages,
        ...(pictures ? { pictures } : {}),
        values: { model: profile.model, temperature: temperatureFor(profile, temperature), seed, mostOut: profile.mostOut, schema: schema.schema, schemaName: schema.name },
        timeoutMs: connection.timeoutSeconds ? connection.timeoutSeconds * 1000 : this.timeoutMs,
        ...(signal ? { signal } : {}),
        ...(heard ? { heard } : {}),
      }),
    )
  }

  async try(id: string): Promise<{ said: string | null; tookMs: number; problem: string | null }> {
    const profile = await this.demand(id)
    const began = performance.now()
    try {
      const { text } = await this.ask(profile, { messages: [{ role: 'user', content: 'Fill out this prompt in about 20 words: <material name="prompt">\na heron\n</material>' }], schema: { name: 'prompt', schema: ANSWERS.prompt.schema }, temperature: 0.7, seed: 7 })
      return { said: (proseSoFar(text, 'prompt') || text).slice(0, 600), tookMs: Math.round(performance.now() - began), problem: null }
    } catch (error) {
      if (!(error instanceof ServiceFailure)) throw error
      return { said: null, tookMs: Math.round(performance.now() - began), problem: error.reason }
    }
  }

  async save(actor: Actor, id: string, profile: ModelProfile): Promise<Model> {
    if (profile.id !== id) throw new ProblemError('invalid', `The profile is that of ${profile.id}, and was sent as ${id}. Nothing was changed.`)
    const { connection } = profile
    if (connection) {
      if (JSON.stringify(fillModelBody(connection.body, { messages: ['said'], user: 'said' })) === JSON.stringify(fillModelBody(connection.body, {}))) throw new ProblemError('profile-contradicts', 'The body names neither {messages} nor {user}, so nothing would be asked. Nothing was changed.')
      if (!URL.canParse(connection.url)) throw new ProblemError('profile-contradicts', `“${connection.url}” is no address. Nothing was changed.`)
    }
    // What is simulated here stays marked as simulated; nothing else may pass for it.
    const own: ModelProfile = { ...profile, simulated: ships(id) && !connection }
    await this.db.transaction(async (trx) => {
      await trx('model_profiles').insert({ id, profile: JSON.stringify(own), saved_by: actor.id }).onConflict('id').merge(['profile', 'saved_by'])
      await recordEvent(trx, { kind: 'models' })
    })
    return this.#one(id)
  }

  async remove(actor: Actor, id: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      if ((await intoBin(trx, 'model', { id }, actor.id)).length === 0) throw notFound('model of yours')
      await recordEvent(trx, { kind: 'models' })
    })
  }

  async switch(_actor: Actor, id: string, off: boolean): Promise<Model> {
    await this.#one(id)
    await this.db.transaction(async (trx) => {
      await trx('model_states').insert({ id, off }).onConflict('id').merge(['off'])
      await recordEvent(trx, { kind: 'models' })
    })
    return this.#one(id)
  }

  async setApiKey(_actor: Actor, id: string, apiKey: string | null): Promise<Model> {
    await this.#one(id)
    if (apiKey === null) await this.apiKeys.remove({ id })
    else await this.apiKeys.keep({ id }, apiKey)
    await this.db.transaction((trx) => recordEvent(trx, { kind: 'models' }))
    return this.#one(id)
  }

  async #one(id: string): Promise<Model> {
    const found = (await this.list()).find(({ profile }) => profile.id === id)
    if (!found) throw notFound('model')
    return found
  }

  /** Has the simulated models misbehave, for practice. */
  async practise(how: { misbehaviour?: Static<typeof Misbehaviour>; times?: number; gullible?: boolean }): Promise<void> {
    const response = await fetch(`${this.standin}/v1/standin`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(how), signal: AbortSignal.timeout(5_000) }).catch(() => undefined)
    if (!response?.ok) throw new ProblemError('not-connected', 'The simulated models did not answer. Nothing was changed.')
  }
}
