import type { Engine } from '@idolon/contract'
import { contradictionsOf, type EngineProfile, findEngine, SHIPPED_ENGINES } from '@idolon/core'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { removeProfile, saveProfile, savedProfiles } from './store.ts'

const sameEngine = (a: EngineProfile, b: EngineProfile) => a.id === b.id && a.revision === b.revision
const ships = (profile: EngineProfile) => SHIPPED_ENGINES.some((one) => sameEngine(one, profile))

/** The engines this copy of Idolon knows, and where each is spoken to. */
export class Engines {
  constructor(
    private readonly db: Database,
    private readonly address: string,
  ) {}

  async list(): Promise<Engine[]> {
    const saved = await savedProfiles(this.db)
    const shipped = SHIPPED_ENGINES.map((profile) => saved.find((one) => sameEngine(one, profile)) ?? profile)
    return [...shipped, ...saved.filter((profile) => !ships(profile))].map((profile) => this.#engineOf(profile, saved))
  }

  async find(id: string, revision?: string): Promise<EngineProfile | undefined> {
    return findEngine((await this.list()).map(({ profile }) => profile), id, revision)
  }

  /** Undefined for an engine that is only written for. */
  addressOf(profile: EngineProfile): string | undefined {
    return ships(profile) ? this.address : undefined
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
    return this.#engineOf(own, [own])
  }

  async remove(_actor: Actor, { engine, revision }: { engine: string; revision: string }): Promise<void> {
    await this.db.transaction(async (trx) => {
      if ((await removeProfile(trx, engine, revision)) === 0) throw notFound('engine of yours')
      await recordEvent(trx, { kind: 'engines' })
    })
  }

  #engineOf(profile: EngineProfile, saved: readonly EngineProfile[]): Engine {
    const origin = !ships(profile) ? 'own' : saved.some((one) => sameEngine(one, profile)) ? 'changed' : 'shipped'
    return { profile, connected: this.addressOf(profile) !== undefined, origin }
  }
}
