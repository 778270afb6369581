import type { Project } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { allProjects, insertProject, ledgerOf, oneProject, setMoney, updateProject } from './store.ts'

/** Runs `write`, saying plainly when the name is another project's. */
async function withFreeName<T>(name: string | undefined, write: () => Promise<T>): Promise<T> {
  try {
    return await write()
  } catch (error) {
    if ((error as { constraint?: string }).constraint !== 'projects_name') throw error
    throw new ProblemError('name-taken', `There is already a project called “${name ?? ''}”. Choose another name; nothing was changed.`)
  }
}

export class Projects {
  constructor(private readonly db: Database) {}

  list(): Promise<Project[]> {
    return allProjects(this.db)
  }

  async read(id: string): Promise<Project> {
    const project = await oneProject(this.db, id)
    if (!project) throw notFound('project')
    return project
  }

  async create(_actor: Actor, name: string): Promise<Project> {
    const id = randomUUID()
    await withFreeName(name.trim(), () => insertProject(this.db, id, name.trim()))
    return this.#changed(id)
  }

  async change(_actor: Actor, id: string, change: { name?: string; archived?: boolean }): Promise<Project> {
    await this.read(id)
    const name = change.name?.trim()
    await withFreeName(name, () => updateProject(this.db, id, { ...change, ...(name === undefined ? {} : { name }) }))
    return this.#changed(id)
  }

  /** A ceiling in the currency needs a price of every unit that is spent; one in a unit of engines needs none. */
  async setMoney(_actor: Actor, id: string, money: Pick<Project, 'currency' | 'rates' | 'ceiling'>): Promise<Project> {
    await this.read(id)
    const twice = money.rates.findIndex(({ unit }, i) => money.rates.findIndex((other) => other.unit === unit) !== i)
    if (twice >= 0) throw new ProblemError('invalid', `“${money.rates[twice]!.unit}” has two prices. Nothing was changed.`)
    await setMoney(this.db, id, money)
    return this.#changed(id)
  }

  async ledger(id: string) {
    await this.read(id)
    return ledgerOf(this.db, id)
  }

  async #changed(id: string): Promise<Project> {
    await this.db.transaction((trx) => recordEvent(trx, { kind: 'project', projectId: id }))
    return this.read(id)
  }
}
