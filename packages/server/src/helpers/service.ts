import type { Helper, HelperExport, HelperWhole } from '@idolon/contract'
import { type HelperBody, type HelperCase, instructionProblems } from '@idolon/core/helper'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { addVersion, casesOf, helpersIn, versionsOf } from './store.ts'

/** Refuses an instruction that could not be sent, with the place. */
function demandSound(body: HelperBody, at = '/body/body'): void {
  const problems = instructionProblems(body)
  const keys = body.inputs.map(({ key }) => key)
  const twice = keys.find((key, i) => keys.indexOf(key) !== i)
  if (twice) throw new ProblemError('instruction-unsound', `Two inputs are called “${twice}”. Nothing was kept.`)
  const [first] = problems
  if (!first) return
  const line = body.instruction.slice(0, first.at).split('\n').length
  throw new ProblemError('instruction-unsound', `${first.says} It is in line ${line} of the instruction of “${body.name}”. Nothing was kept.`, { errors: problems.map((problem) => ({ where: `${at}/instruction@${problem.at}`, message: problem.says })) })
}

/** Instructions to language models, versioned and with their cases. */
export class Helpers {
  constructor(private readonly db: Database) {}

  list(): Promise<Helper[]> {
    return helpersIn(this.db)
  }

  async read(id: string): Promise<HelperWhole> {
    const [[helper], versions, cases] = await Promise.all([helpersIn(this.db, id), versionsOf(this.db, id), casesOf(this.db, id)])
    if (!helper) throw notFound('helper')
    return { helper, versions, cases }
  }

  /** A version of a helper: the one that is used, unless another is named. */
  async version(id: string, number?: number): Promise<{ number: number; body: HelperBody }> {
    const { helper, versions } = await this.read(id).catch((error: unknown) => {
      throw error instanceof ProblemError && error.problem === 'not-found' ? new ProblemError('unknown-helper', `There is no helper “${id}” here any more. Nothing was sent.`) : error
    })
    const found = versions.find((one) => one.number === (number ?? helper.current))
    if (!found) throw new ProblemError('unknown-helper', `“${helper.body.name}” has no version ${number ?? ''}. Nothing was sent.`)
    return found
  }

  async add(actor: Actor, { helpers }: HelperExport): Promise<Helper[]> {
    for (const { body } of helpers) demandSound(body, '/body/helpers')
    const ids = helpers.map(() => randomUUID() as string)
    await this.db.transaction(async (trx) => {
      const taken = new Set((await helpersIn(trx)).map(({ body }) => body.name.toLowerCase()))
      for (const [i, { body, why, cases }] of helpers.entries()) {
        let name = body.name
        for (let n = 2; taken.has(name.toLowerCase()); n++) name = `${body.name.slice(0, 54)} ${n}`
        taken.add(name.toLowerCase())
        const id = ids[i]!
        await trx('helpers').insert({ id, shipped: false, current: 1, made_by: actor.id })
        await addVersion(trx, id, { body: { ...body, name }, why, actor: actor.id })
        if (cases.length) await trx('helper_cases').insert(cases.map((one) => ({ id: randomUUID(), helper_id: id, body: JSON.stringify(one) })))
      }
      await recordEvent(trx, { kind: 'helpers' })
    })
    const all = await this.list()
    return ids.flatMap((id) => all.find((one) => one.id === id) ?? [])
  }

  async saveVersion(actor: Actor, id: string, { body, why, use }: { body: HelperBody; why: string; use: boolean }): Promise<HelperWhole> {
    demandSound(body)
    await this.#change(id, async (trx) => {
      const number = await addVersion(trx, id, { body, why, actor: actor.id })
      if (use) await trx('helpers').where({ id }).update({ current: number })
    })
    return this.read(id)
  }

  async change(_actor: Actor, id: string, { current, why }: { current?: number; why?: { number: number; text: string } }): Promise<HelperWhole> {
    await this.#change(id, async (trx) => {
      if (current !== undefined) {
        if (!(await trx('helper_versions').where({ helper_id: id, number: current }).first())) throw notFound('version of this helper')
        await trx('helpers').where({ id }).update({ current })
      }
      if (why && !(await trx('helper_versions').where({ helper_id: id, number: why.number }).update({ why: why.text }))) throw notFound('version of this helper')
    })
    return this.read(id)
  }

  async delete(_actor: Actor, id: string): Promise<void> {
    await this.#change(id, async (trx) => {
      const gone = await trx('helpers').where({ id, shipped: false }).update({ deleted_at: trx.fn.now() })
      if (!gone) throw new ProblemError('not-now', 'A helper that ships with Idolon stays; switch to another version, or copy it and change the copy.')
      await recordEvent(trx, { kind: 'bin' })
    })
  }

  async saveCase(_actor: Actor, id: string, caseId: string, body: HelperCase): Promise<HelperWhole> {
    await this.#change(id, async (trx) => {
      const owner = await trx('helper_cases').where({ id: caseId }).first<{ helper_id: string } | undefined>('helper_id')
      if (owner && owner.helper_id !== id) throw notFound('case of this helper')
      await trx('helper_cases').insert({ id: caseId, helper_id: id, body: JSON.stringify(body) }).onConflict('id').merge(['body'])
    })
    return this.read(id)
  }

  async removeCase(_actor: Actor, id: string, caseId: string): Promise<HelperWhole> {
    await this.#change(id, async (trx) => {
      if (!(await trx('helper_cases').where({ id: caseId, helper_id: id }).whereNull('removed_at').update({ removed_at: trx.fn.now() }))) throw notFound('case of this helper')
    })
    return this.read(id)
  }

  async #change(id: string, change: (trx: Knex.Transaction) => Promise<void>): Promise<void> {
    await this.db.transaction(async (trx) => {
      const [helper] = await trx('helpers').where({ id }).whereNull('deleted_at').forUpdate().select<{ id: string }[]>('id')
      if (!helper) throw notFound('helper')
      await change(trx)
      await recordEvent(trx, { kind: 'helpers' })
    })
  }
}
