import type { Draft, HouseRules } from '@idolon/core'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'

/** A project's house rules; undefined where there is no such project. */
export async function rulesOf(db: Database | Knex.Transaction, projectId: string): Promise<HouseRules | undefined> {
  const row = await db('projects').where({ id: projectId }).first<{ rules: HouseRules } | undefined>('rules')
  return row?.rules
}

export const setRulesOf = (trx: Knex.Transaction, projectId: string, rules: HouseRules): Promise<number> => trx('projects').where({ id: projectId }).update({ rules: JSON.stringify(rules) })

export interface ProjectDraft {
  promptId: string
  title: string
  draft: Draft
}

/** Drafts of a project, the last changed first. */
export const draftsOf = (db: Database, projectId: string, most: number): Promise<ProjectDraft[]> =>
  db('prompts as x')
    .join('drafts as d', 'd.prompt_id', 'x.id')
    .where('x.project_id', projectId)
    .whereNull('x.deleted_at')
    .orderByRaw('greatest(x.changed_at, d.saved_at) desc')
    .limit(most)
    .select<ProjectDraft[]>('x.id as promptId', db.raw(`coalesce(nullif(x.title, ''), d.first_words) as title`), 'd.body as draft')
