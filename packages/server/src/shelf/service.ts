import type { Evidence, SavedSearch, Relative, Status } from '@idolon/contract'
import type { Knex } from 'knex'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { OF_IT_OR_MERGED, projectState } from '../prompts/store.ts'

export interface ManyPrompts {
  prompts: string[]
  addTags?: string[]
  removeTags?: string[]
  status?: Status
  project?: string
  deleted?: boolean
}
interface SearchRow {
  id: string
  name: string
  query: Record<string, string>
  saved_at: Date
}
const MOST_TAGS = 60
const MOST_RELATIVES = 60
const searchOf = ({ saved_at, ...row }: SearchRow): SavedSearch => ({ ...row, savedAt: saved_at.toISOString() })

/** What is done with prompts on the Shelf beside finding them. */
export class Shelf {
  constructor(private readonly db: Database) {}

  async changeMany(_actor: Actor, { prompts, addTags = [], removeTags = [], status, project, deleted }: ManyPrompts): Promise<{ changed: number }> {
    if (project) {
      const state = await projectState(this.db, project)
      if (!state) throw notFound('project')
      if (state.archived_at) throw new ProblemError('project-archived', 'That project is archived. Nothing was changed; restore it from the archive first, or choose another.')
    }
    return this.db.transaction(async (trx) => {
      const tags = addTags.length || removeTags.length
      const changed = await trx('prompts')
        .whereIn('id', prompts)
        .whereNull('removed_at')
        .update({
          changed_at: trx.fn.now(),
          ...(tags ? { tags: trx.raw(`(select coalesce(array_agg(tag order by first), '{}') from (select tag, min(n) as first from unnest(tags || ?::text[]) with ordinality as t(tag, n) where tag <> all(?::text[]) group by tag order by first limit ${MOST_TAGS}) kept)`, [addTags, removeTags]) } : {}),
          ...(status ? { status } : {}),
          ...(project ? { project_id: project } : {}),
          ...(deleted === undefined ? {} : { deleted_at: deleted ? trx.fn.now() : null }),
        })
      await recordEvent(trx, { kind: 'prompt' })
      if (deleted !== undefined) await recordEvent(trx, { kind: 'bin' })
      return { changed }
    })
  }

  /** Another name for a tag; where that is in use, the two become one. */
  async renameTag(_actor: Actor, { from, to, project }: { from: string; to: string; project?: string }): Promise<{ changed: string[] }> {
    const name = to.trim()
    if (/[,\n]/u.test(name)) throw new ProblemError('invalid', 'A tag has no comma. Nothing was changed.')
    return this.db.transaction(async (trx) => {
      const query = trx('prompts').whereRaw('tags @> array[?]::text[]', [from])
      if (project) void query.where({ project_id: project })
      const rows = await query
        .update({ tags: trx.raw(`(select coalesce(array_agg(tag order by first), '{}') from (select tag, min(n) as first from unnest(case when ?::text = '' then array_remove(tags, ?::text) else array_replace(tags, ?::text, ?::text) end) with ordinality as t(tag, n) group by tag) kept)`, [name, from, from, name]) })
        .returning<{ id: string }[]>('id')
      await recordEvent(trx, { kind: 'prompt' })
      return { changed: rows.map(({ id }) => id) }
    })
  }

  async searches(): Promise<SavedSearch[]> {
    return (await this.db('saved_searches').orderBy('name').limit(500).select<SearchRow[]>('id', 'name', 'query', 'saved_at')).map(searchOf)
  }

  async saveSearch(actor: Actor, id: string, { name, query }: { name: string; query: Record<string, string> }): Promise<SavedSearch> {
    const [row] = await this.db('saved_searches')
      .insert({ id, name: name.trim(), query: JSON.stringify(query), saved_by: actor.id })
      .onConflict('id')
      .merge(['name', 'query'])
      .returning<SearchRow[]>(['id', 'name', 'query', 'saved_at'])
    return searchOf(row!)
  }

  async deleteSearch(_actor: Actor, id: string): Promise<void> {
    if (!(await this.db('saved_searches').where({ id }).delete())) throw notFound('search')
  }

  async evidence(prompt: string): Promise<Evidence> {
    const there = await this.db('prompts').where({ id: prompt }).first<{ id: string } | undefined>('id')
    if (!there) throw notFound('prompt')
    const { rows: engines } = await this.db.raw<{ rows: Evidence['engines'] }>(
      `select (engine->>'name') || ' ' || (engine->>'revision') as name, count(*)::int as tried, (count(*) filter (where verdict = 'keep'))::int as kept
       from proofs, (select ?::uuid as id) x where ${OF_IT_OR_MERGED} and state = 'stored' and deleted_at is null group by 1 order by 3 desc, 2 desc, 1`,
      [prompt],
    )
    const last = await this.db('runs').where({ prompt_id: prompt }).orderBy('asked_at', 'desc').first<{ asked_at: Date } | undefined>('asked_at')
    return { engines, lastUsed: last?.asked_at.toISOString() ?? null, family: [...(await family(this.db, prompt, 'up')), ...(await family(this.db, prompt, 'down'))] }
  }
}

/** Prompts that one was copied from, step by step, or that were copied from it. */
async function family(db: Database | Knex, prompt: string, way: 'up' | 'down'): Promise<Relative[]> {
  const join = way === 'up' ? 'join prompts o on o.id = l.source' : 'join prompts o on o.copied_from_prompt = l.id'
  const { rows } = await db.raw<{ rows: Relative[] }>(
    `with recursive line as (
       select id, copied_from_prompt as source, 0 as steps from prompts where id = ?
       union all select o.id, o.copied_from_prompt, l.steps ${way === 'up' ? '-' : '+'} 1 from line l ${join} where abs(l.steps) < 20)
     select l.id as "promptId", coalesce(nullif(x.title, ''), d.first_words) as title, x.project_id as "projectId", l.steps,
       (select count(*)::int from proofs p where p.prompt_id = l.id and p.state = 'stored' and p.deleted_at is null) as proofs,
       (select count(*)::int from proofs p where p.prompt_id = l.id and p.verdict = 'keep' and p.deleted_at is null) as keepers
     from line l join prompts x on x.id = l.id join drafts d on d.prompt_id = l.id where l.steps <> 0 and x.deleted_at is null order by l.steps, x.created_at limit ?`,
    [prompt, MOST_RELATIVES],
  )
  return rows
}
