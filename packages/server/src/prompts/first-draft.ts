import { DEFAULT_COUNT, type Draft, emptyDraft, NO_RULES, SHIPPED_ENGINES, sizeFor } from '@idolon/core'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { rulesOf } from '../house-rules/store.ts'

/** What a new draft of a project starts with: its usual engine and aspect ratio, or the first engine at its own size; and its standing leave-out list. */
export async function firstDraftOf(db: Database | Knex.Transaction, engines: Engines, projectId: string): Promise<Draft> {
  const rules = (await rulesOf(db, projectId)) ?? NO_RULES
  const engine = (rules.engine === undefined ? undefined : await engines.find(rules.engine)) ?? SHIPPED_ENGINES[0]!
  return {
    ...emptyDraft(),
    leaveOut: rules.leaveOut,
    settings: { aspectRatio: sizeFor(engine, rules.aspectRatio === undefined ? {} : { aspectRatio: rules.aspectRatio }).aspectRatio, count: DEFAULT_COUNT },
    engines: [{ engine: engine.id }],
  }
}
