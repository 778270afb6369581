import type { Turn, TurnState } from '@idolon/contract'
import type { Draft } from '@idolon/core'
import type { AnswerKind, HelperValues } from '@idolon/core/helper'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'

export interface TurnRow {
  id: string
  project_id: string
  prompt_id: string | null
  helper_id: string
  helper_version: number
  helper_name: string
  kind: AnswerKind
  model: Turn['model']
  given: HelperValues
  seed: number
  draft: Draft
  parent_id: string | null
  further: string | null
  state: TurnState
  problem: string | null
  text: string
  earlier: string[]
  value: unknown
  mended: string[]
  proposed: Draft | null
  locked_lost: string[]
  tries: number
  unit: string
  reserved: number
  cost: number | null
  asked_at: Date
  ended_at: Date | null
  took_ms: number | null
  taken: number | null
  left_out: number | null
}

const SELECT = `select t.id, t.project_id, t.prompt_id, t.helper_id, t.helper_version, v.body->>'name' as helper_name, v.body->>'answer' as kind,
  t.model, t.given, t.seed, t.draft, t.parent_id, t.further, t.state, t.problem, t.text, t.earlier, t.value, t.mended, t.proposed, t.locked_lost, t.tries,
  t.unit, t.reserved, t.cost, t.asked_at, t.ended_at, t.took_ms, t.taken, t.left_out
  from turns t join helper_versions v on v.helper_id = t.helper_id and v.number = t.helper_version`

const turnOf = (row: TurnRow): Turn => ({
  id: row.id,
  projectId: row.project_id,
  promptId: row.prompt_id,
  helper: { id: row.helper_id, version: row.helper_version, name: row.helper_name },
  kind: row.kind,
  model: { id: row.model.id, name: row.model.name, simulated: row.model.simulated },
  values: row.given,
  seed: row.seed,
  draft: row.draft,
  parentId: row.parent_id,
  further: row.further,
  state: row.state,
  problem: row.problem,
  text: row.text,
  earlier: row.earlier,
  value: row.value,
  mended: row.mended,
  proposed: row.proposed,
  lockedLost: row.locked_lost,
  tries: row.tries,
  unit: row.unit,
  reserved: row.reserved,
  cost: row.cost,
  askedAt: row.asked_at.toISOString(),
  endedAt: row.ended_at?.toISOString() ?? null,
  tookMs: row.took_ms,
  taken: row.taken === null ? null : { taken: row.taken, left: row.left_out ?? 0 },
})

export async function turnById(db: Database | Knex.Transaction, id: string): Promise<Turn | undefined> {
  const { rows } = await db.raw<{ rows: TurnRow[] }>(`${SELECT} where t.id = ?`, [id])
  return rows[0] && turnOf(rows[0])
}

/** Turns about a prompt, newest first; runs of cases are apart. */
export async function turnsOfPrompt(db: Database, promptId: string, limit: number): Promise<Turn[]> {
  const { rows } = await db.raw<{ rows: TurnRow[] }>(`${SELECT} where t.prompt_id = ? and t.case_run_id is null order by t.asked_at desc limit ?`, [promptId, limit])
  return rows.map(turnOf)
}

/** A turn to be asked: everything that is sent is worked out beforehand and kept with it. */
export interface NewTurn {
  id: string
  project_id: string
  prompt_id: string | null
  helper_id: string
  helper_version: number
  model: Turn['model']
  given: HelperValues
  messages: unknown
  draft: Draft
  seed: number
  parent_id: string | null
  further: string | null
  unit: string
  reserved: number
  asked_by: string
  case_run_id?: string
  case_id?: string
  side?: number
}

export const TURNS_CHANNEL = 'idolon_turns'

/** Writes turns, sets their cost aside in the ledger, and wakes whoever asks models. The project's row must be locked and the ceiling held. */
export async function insertTurns(trx: Knex.Transaction, turns: readonly NewTurn[]): Promise<void> {
  if (turns.length === 0) return
  await trx('turns').insert(turns.map((turn) => ({ ...turn, model: JSON.stringify(turn.model), given: JSON.stringify(turn.given), messages: JSON.stringify(turn.messages), draft: JSON.stringify(turn.draft) })))
  await trx('ledger').insert(turns.map((turn) => ({ actor: turn.asked_by, project_id: turn.project_id, prompt_id: turn.prompt_id, turn_id: turn.id, engine: turn.model.name, unit: turn.unit, kind: 'reserve', amount: turn.reserved })))
  await trx.raw('select pg_notify(?, ?)', [TURNS_CHANNEL, ''])
}

/** Takes back what was set aside for a turn and adds what it cost. */
export async function settleTurn(trx: Knex.Transaction, id: string, cost: number, note: string): Promise<void> {
  await trx.raw(
    `insert into ledger (actor, project_id, prompt_id, turn_id, engine, unit, kind, amount, note)
     select actor, project_id, prompt_id, turn_id, engine, unit, 'settle', ?::int - amount, ? from ledger where turn_id = ? and kind = 'reserve'`,
    [cost, note, id],
  )
}
