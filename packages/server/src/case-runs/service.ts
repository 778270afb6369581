import type { CaseResult, CaseRun, CaseSide, TurnState } from '@idolon/contract'
import { draftOfCase, type HelperCase, type Message } from '@idolon/core/helper'
import { randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import type { Helpers } from '../helpers/service.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { demandUnderCeiling } from '../ledger/ceiling.ts'
import type { Models } from '../models/models.ts'
import { prepareMessages, reserveFor } from '../turns/prepare.ts'
import { insertTurns, type NewTurn } from '../turns/rows.ts'
import { lockProject, stopTurns } from '../turns/service.ts'

const MOST_RUNS = 12

interface RunRow {
  id: string
  helper_id: string
  project_id: string
  sides: CaseSide[]
  asked_at: Date
  stopped_at: Date | null
}
interface ResultRow {
  run_id: string
  turn_id: string
  case_id: string
  case_name: string
  side: number
  state: TurnState
  passed: boolean | null
  verdicts: CaseResult['verdicts'] | null
  problem: string | null
  text: string
  unit: string
  cost: number | null
  took_ms: number | null
}

/** Runs of a helper's cases on versions and models: each case is a turn, judged when it ends. */
export class CaseRuns {
  constructor(
    private readonly db: Database,
    private readonly helpers: Helpers,
    private readonly models: Models,
    private readonly engines: Engines,
  ) {}

  async start(actor: Actor, helperId: string, { id, projectId, sides, seed }: { id: string; projectId: string; sides: CaseSide[]; seed: number }): Promise<CaseRun> {
    const { cases } = await this.helpers.read(helperId)
    if (cases.length === 0) throw new ProblemError('nothing-to-try', 'The helper has no cases yet. Add one; nothing was sent.')
    const engines = (await this.engines.list()).map(({ profile }) => profile)
    const turns: NewTurn[] = []
    for (const [side, { version, model }] of sides.entries()) {
      const [{ number, body }, profile] = await Promise.all([this.helpers.version(helperId, version), this.models.demand(model)])
      for (const one of cases) {
        const messages: Message[] = await prepareMessages({ body, values: one.case.values, draft: draftOfCase(one.case), engines, existing: one.case.existing })
        // The same seed for a case on both sides, so that what differs is the version or the model.
        turns.push({ id: randomUUID(), project_id: projectId, prompt_id: null, helper_id: helperId, helper_version: number, model: { id: profile.id, name: profile.name, simulated: profile.simulated }, given: one.case.values, messages, draft: draftOfCase(one.case), seed, parent_id: null, further: null, unit: profile.costUnit, reserved: reserveFor(profile, messages), asked_by: actor.id, case_run_id: id, case_id: one.id, side })
      }
    }
    await this.db.transaction(async (trx) => {
      await lockProject(trx, projectId)
      if (await trx('case_runs').where({ id }).first('id')) return
      const units = [...new Set(turns.map(({ unit }) => unit))]
      await demandUnderCeiling(trx, projectId, units.map((unit) => ({ unit, amount: turns.filter((turn) => turn.unit === unit).reduce((sum, turn) => sum + turn.reserved, 0) })))
      await trx('case_runs').insert({ id, helper_id: helperId, project_id: projectId, sides: JSON.stringify(sides), seed, asked_by: actor.id })
      await insertTurns(trx, turns)
      await recordEvent(trx, { kind: 'case-run', caseRunId: id, projectId })
    })
    return this.read(id)
  }

  async read(id: string): Promise<CaseRun> {
    const [run] = await this.#runs({ id }, 1)
    if (!run) throw notFound('run of cases')
    return run
  }

  of(helperId: string): Promise<CaseRun[]> {
    return this.#runs({ helper_id: helperId }, MOST_RUNS)
  }

  async stop(_actor: Actor, id: string): Promise<CaseRun> {
    const run = await this.read(id)
    await this.db.transaction(async (trx) => {
      await trx('case_runs').where({ id }).whereNull('stopped_at').update({ stopped_at: trx.fn.now() })
      await stopTurns(trx, trx('turns').where({ case_run_id: id }))
      await recordEvent(trx, { kind: 'case-run', caseRunId: id, projectId: run.projectId })
    })
    return this.read(id)
  }

  async #runs(which: Record<string, string>, most: number): Promise<CaseRun[]> {
    const runs = await this.db('case_runs').where(which).orderBy('asked_at', 'desc').limit(most).select<RunRow[]>('*')
    if (runs.length === 0) return []
    const results = await this.db('turns as t')
      .join('helper_cases as c', 'c.id', 't.case_id')
      .whereIn('t.case_run_id', runs.map(({ id }) => id))
      .orderBy(['t.side', 'c.place'])
      .select<(ResultRow & { body: HelperCase })[]>('t.case_run_id as run_id', 't.id as turn_id', 't.case_id', this.db.raw(`c.body->>'name' as case_name`), 't.side', 't.state', 't.passed', 't.verdicts', 't.problem', 't.text', 't.unit', 't.cost', 't.took_ms')
    return runs.map((run): CaseRun => {
      const own = results.filter(({ run_id }) => run_id === run.id)
      return {
        id: run.id,
        helperId: run.helper_id,
        projectId: run.project_id,
        sides: run.sides,
        askedAt: run.asked_at.toISOString(),
        stoppedAt: run.stopped_at?.toISOString() ?? null,
        unit: own[0]?.unit ?? '',
        results: own.map((row): CaseResult => ({ caseId: row.case_id, caseName: row.case_name, side: row.side, turnId: row.turn_id, state: row.state, passed: row.passed, verdicts: row.verdicts ?? [], problem: row.problem, answer: row.text, cost: row.cost, tookMs: row.took_ms })),
      }
    })
  }
}
