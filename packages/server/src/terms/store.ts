import type { OwnTerm } from '@idolon/contract'
import type { GlossaryEntry } from '@idolon/core'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import { SUMMARY_COLUMNS, type SummaryRow } from '../prompts/store.ts'

const COLUMNS = ['id', 'project_id as projectId', 'entry'] as const
const ALL_PROJECTS = '00000000-0000-0000-0000-000000000000'

/** Own terms for all projects, then those of one. */
export const ownTerms = (db: Database, projectId: string | undefined): Promise<OwnTerm[]> =>
  db('terms')
    .whereNull('project_id')
    .orWhere((or) => void (projectId ? or.where({ project_id: projectId }) : or.whereRaw('false')))
    .orderByRaw('project_id is not null, lower(term)')
    .select<OwnTerm[]>(...COLUMNS)

export async function saveTerm(trx: Knex.Transaction, id: string, projectId: string | null, entry: GlossaryEntry, actor: string): Promise<OwnTerm> {
  const [saved] = await trx('terms')
    .insert({ id, project_id: projectId, facet: entry.facet, term: entry.term, entry: JSON.stringify(entry), saved_by: actor })
    .onConflict(trx.raw(`(coalesce(project_id, '${ALL_PROJECTS}'), facet, lower(term))`))
    .merge(['term', 'entry', 'saved_by'])
    .returning<OwnTerm[]>([...COLUMNS])
  return saved!
}

const MOST = 100
/** A word as a pattern of PostgreSQL: nothing in it means anything but itself. */
const literal = (text: string) => text.replace(/[^\p{L}\p{N}\s]/gu, '\\$&').replace(/\s+/g, '[\\s-]+')

/** Prompts whose draft says any of some words, the last changed first. */
export async function promptsSaying(db: Database, words: readonly string[], projectId: string | undefined): Promise<{ rows: SummaryRow[]; total: number }> {
  const pattern = `\\m(${words.map(literal).join('|')})s?\\M`
  const condition = `x.deleted_at is null and d.body->>'text' ~* ? ${projectId ? 'and x.project_id = ?' : ''}`
  const bindings = [pattern, ...(projectId ? [projectId] : [])]
  const from = 'from prompts x join drafts d on d.prompt_id = x.id'
  const [counted, found] = await Promise.all([
    db.raw<{ rows: { total: number }[] }>(`select count(*)::int as total ${from} where ${condition}`, bindings),
    db.raw<{ rows: SummaryRow[] }>(`select ${SUMMARY_COLUMNS} ${from} where ${condition} order by greatest(x.changed_at, d.saved_at) desc limit ${MOST}`, bindings),
  ])
  return { rows: found.rows, total: counted.rows[0]?.total ?? 0 }
}
