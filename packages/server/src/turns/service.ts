import type { BodyOf, Turn } from '@idolon/contract'
import type { askHelper } from '@idolon/contract'
import { type EarlierTurn, wrongWithValues } from '@idolon/core/helper'
import type { Knex } from 'knex'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import type { Helpers } from '../helpers/service.ts'
import { rulesOf } from '../house-rules/store.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { demandUnderCeiling } from '../ledger/ceiling.ts'
import type { Models } from '../models/models.ts'
import { picturesNamed } from './pictures.ts'
import { prepareMessages, reserveFor } from './prepare.ts'
import { insertTurns, settleTurn, turnById, turnsOfPrompt, TURNS_CHANNEL } from './rows.ts'

type Asked = BodyOf<typeof askHelper>
/** Prompts of a project that a helper is told of, so that it does not repeat them. */
const MOST_EXISTING = 60
const MOST_TURNS = 60
/** How far back a turn looks at those it builds on. */
const MOST_BACK = 6

/** Locks a project that something is spent in. @throws ProblemError when there is none, or it is archived. */
export async function lockProject(trx: Knex.Transaction, projectId: string): Promise<void> {
  const project = await trx('projects').where({ id: projectId }).forUpdate().first<{ archived_at: Date | null } | undefined>('archived_at')
  if (!project) throw notFound('project')
  if (project.archived_at) throw new ProblemError('project-archived', 'The project is archived. Restore it from the archive to ask helpers again; nothing was sent.')
}

/** Askings of helpers: begun, stopped, read and decided. The asking itself is done by the turn worker. */
export class Turns {
  constructor(
    private readonly db: Database,
    private readonly helpers: Helpers,
    private readonly models: Models,
    private readonly engines: Engines,
  ) {}

  async ask(actor: Actor, asked: Asked): Promise<Turn> {
    const known = await turnById(this.db, asked.id)
    if (known) return known
    const [{ number, body }, profile, engines, rules, existing, turns] = await Promise.all([
      this.helpers.version(asked.helper, asked.version),
      this.models.demand(asked.model),
      this.engines.list().then((list) => list.map((one) => one.profile)),
      rulesOf(this.db, asked.projectId),
      this.#existing(asked.projectId, asked.promptId),
      this.#earlier(asked.parentId, asked.further),
    ])
    const wrong = wrongWithValues(body, asked.values)
    if (wrong) throw new ProblemError('invalid', `${wrong} Nothing was sent.`)
    const pictures = picturesNamed(body, asked.values)
    if (pictures.length && (await this.db('reference_pictures').where({ project_id: asked.projectId }).whereIn('picture', pictures).select('id')).length < new Set(pictures).size) throw notFound('reference in this project')
    const messages = await prepareMessages({ body, values: asked.values, draft: asked.draft, engines, rules, existing, takes: asked.takes, turns })
    const reserved = reserveFor(profile, messages, pictures.length)
    await this.db.transaction(async (trx) => {
      await lockProject(trx, asked.projectId)
      if (asked.promptId && !(await trx('prompts').where({ id: asked.promptId, project_id: asked.projectId }).first('id'))) throw notFound('prompt in this project')
      if (await trx('turns').where({ id: asked.id }).first('id')) return
      await demandUnderCeiling(trx, asked.projectId, [{ unit: profile.costUnit, amount: reserved }])
      await insertTurns(trx, [
        { id: asked.id, project_id: asked.projectId, prompt_id: asked.promptId, helper_id: asked.helper, helper_version: number, model: { id: profile.id, name: profile.name, simulated: profile.simulated }, given: asked.values, messages, draft: asked.draft, seed: asked.seed, parent_id: asked.parentId, further: asked.further, unit: profile.costUnit, reserved, asked_by: actor.id },
      ])
    })
    return this.read(asked.id)
  }

  async #existing(projectId: string, promptId: string | null): Promise<string[]> {
    const { rows } = await this.db.raw<{ rows: { said: string }[] }>(
      `select left(coalesce(nullif(x.title, ''), d.first_words), 200) as said from prompts x join drafts d on d.prompt_id = x.id
       where x.project_id = ? and x.deleted_at is null and x.id is distinct from ?::uuid and (x.title <> '' or d.body->>'text' <> '') order by x.changed_at desc limit ?`,
      [projectId, promptId, MOST_EXISTING],
    )
    return rows.map(({ said }) => said)
  }

  /** The answers that a further instruction builds on, oldest first. */
  async #earlier(parentId: string | null, further: string | null): Promise<EarlierTurn[]> {
    const turns: EarlierTurn[] = []
    let next = further
    for (let id = parentId; id && next && turns.length < MOST_BACK; ) {
      const parent = await turnById(this.db, id)
      if (!parent) throw notFound('answer to go on from')
      if (parent.value === null) throw new ProblemError('not-now', 'There is no usable answer to go on from. Ask anew; nothing was sent.')
      turns.unshift({ answer: JSON.stringify(parent.value), further: next })
      next = parent.further
      id = parent.parentId
    }
    return turns
  }

  async read(id: string): Promise<Turn> {
    const turn = await turnById(this.db, id)
    if (!turn) throw notFound('turn')
    return turn
  }

  async ofPrompt(promptId: string): Promise<Turn[]> {
    return turnsOfPrompt(this.db, promptId, MOST_TURNS)
  }

  /** What waits is ended here; what is being answered is ended by its worker, which hears of it. */
  async stop(_actor: Actor, id: string): Promise<Turn> {
    const turn = await this.read(id)
    await this.db.transaction(async (trx) => {
      await stopTurns(trx, trx('turns').where({ id }))
      await recordEvent(trx, { kind: 'turn', turnId: id, ...(turn.promptId ? { promptId: turn.promptId } : {}) })
    })
    return this.read(id)
  }

  async decide(_actor: Actor, id: string, { taken, left }: { taken: number; left: number }): Promise<Turn> {
    if (!(await this.db('turns').where({ id }).update({ taken, left_out: left }))) throw notFound('turn')
    return this.read(id)
  }
}

/** Ends turns that are not over: those that wait, or whose worker is lost, cost nothing; those that are being answered are told. */
export async function stopTurns(trx: Knex.Transaction, which: Knex.QueryBuilder): Promise<void> {
  const waiting = (await (which.clone().where((open) => void open.where({ state: 'asked' }).orWhere((lost) => void lost.where({ state: 'answering' }).where('lease_until', '<', trx.fn.now()))).update({ state: 'stopped', ended_at: trx.fn.now(), cost: 0, problem: 'It was stopped before it was sent.' }).returning('id') as unknown as Promise<{ id: string }[]>)).map(({ id }) => id)
  for (const id of waiting) await settleTurn(trx, id, 0, 'stopped')
  const under = (await (which.clone().where({ state: 'answering' }).select('id') as unknown as Promise<{ id: string }[]>)).map(({ id }) => id)
  for (const id of [...waiting, ...under]) await trx.raw('select pg_notify(?, ?)', [TURNS_CHANNEL, `stop ${id}`])
}
