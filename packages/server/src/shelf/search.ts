import type { FoundPrompt, Status, TagCount } from '@idolon/contract'
import { type ShelfWords, shelfWords } from '@idolon/core'
import type { Database } from '../database/connect.ts'
import { SUMMARY_COLUMNS, summariesOf, type SummaryRow } from '../prompts/store.ts'
import { saidQuery, unreadCount } from './said.ts'
import type { SearchIndex } from './search-index.ts'
import { readWords, type TypedWord, wordQuery } from './typed-words.ts'
import { whyFound } from './why.ts'

export interface ShelfQuery {
  q?: string
  project?: string
  tag?: string
  status?: Status
  kept?: number
  tried?: boolean
  engine?: string
  colour?: string
  template?: string
  since?: string
  until?: string
  limit?: number
  offset?: number
}
export interface ShelfAnswer {
  rows: FoundPrompt[]
  total: number
  more: boolean
  /** Words that no prompt has, and what they were read as. */
  read: { typed: string; as: string }[]
  unread: number
}

/** Further than this nobody counts, and of a very common word only so many, the last changed, are ranked. */
const COUNTED = 1_000

/** Conditions on a row of the shelf, `s`, with their bindings. */
function conditionsFor(asked: ShelfQuery, query: string, said: string) {
  const conditions = ['not s.deleted']
  const bindings: (string | number)[] = []
  const also = (condition: string, ...values: (string | number)[]) => {
    conditions.push(condition)
    bindings.push(...values)
  }
  if (query) also('s.document @@ ?::tsquery', query)
  if (said) also('s.prompt_id in (select prompt_id from shelf_said where said @@ ?::tsquery)', said)
  if (asked.project) also('s.project_id = ?', asked.project)
  if (asked.tag) also('s.tags @> array[?]::text[]', asked.tag)
  if (asked.status) also('s.status = ?', asked.status)
  if (asked.kept) also('s.keepers >= ?', asked.kept)
  if (asked.tried !== undefined) also(asked.tried ? 's.proofs > 0' : 's.proofs = 0')
  if (asked.engine) also('? = any(s.engines)', asked.engine)
  if (asked.template) also('s.template_id = ?', asked.template)
  if (asked.colour) also('s.best_picture in (select picture from picture_colours where names @> array[?]::text[])', asked.colour)
  if (asked.since) also('s.changed >= ?::date', asked.since)
  if (asked.until) also(`s.changed < ?::date + interval '1 day'`, asked.until)
  return { where: conditions.join(' and '), bindings }
}

/** A search as it was read: its words with what they may stand for, and the conditions they make; undefined where a word stands for nothing. */
async function readQuery(db: Database, index: SearchIndex, asked: ShelfQuery) {
  await index.refresh()
  const typed = shelfWords(asked.q ?? '')
  const read = typed.words.length ? await readWords(db, typed.words) : []
  const known = read.every((row) => row.words?.length)
  const query = known ? wordQuery(read) : ''
  return { said: typed.said, read, known, query, ...conditionsFor(asked, query, saidQuery(typed.said)) }
}

export async function searchShelf(db: Database, index: SearchIndex, asked: ShelfQuery): Promise<ShelfAnswer> {
  const { limit = 50, offset = 0 } = asked
  const { said, read, known, query, where, bindings } = await readQuery(db, index, asked)
  const unread = said.length ? await unreadCount(db) : 0
  if (!known) return { rows: [], total: 0, more: false, read: [], unread }
  // Words rank among the newest that fit; the same rows say how many there are.
  const { rows: found } = await db.raw<{ rows: { prompt_id: string; total: number }[] }>(
    `with found as materialized (select s.prompt_id, ${query ? 's.document, ' : ''}s.changed from shelf s where ${where} order by s.changed desc limit ${Math.max(COUNTED, offset + limit) + 1})
     select prompt_id, (select count(*)::int from found) as total from found order by ${query ? 'ts_rank(document, ?::tsquery) desc, ' : ''}changed desc limit ? offset ?`,
    [...bindings, ...(query ? [query] : []), limit, offset],
  )
  const total = found[0]?.total ?? 0
  return {
    rows: await rowsFor(db, found.map((row) => row.prompt_id), read, said),
    total: Math.min(total, COUNTED),
    more: total > COUNTED,
    read: read.filter((row) => !row.exact).map((row) => ({ typed: row.typed, as: row.words.join(', ') })),
    unread,
  }
}

/** The ids of all prompts that fit, the last changed first, at most `most`. */
export async function foundIds(db: Database, index: SearchIndex, asked: ShelfQuery, most: number): Promise<string[]> {
  const { known, where, bindings } = await readQuery(db, index, asked)
  if (!known) return []
  const { rows } = await db.raw<{ rows: { prompt_id: string }[] }>(`select s.prompt_id from shelf s where ${where} order by s.changed desc limit ?`, [...bindings, most])
  return rows.map((row) => row.prompt_id)
}

/** What the Shelf shows of prompts, in order, with why each was found. */
async function rowsFor(db: Database, ids: readonly string[], read: readonly TypedWord[], said: ShelfWords['said']): Promise<FoundPrompt[]> {
  if (ids.length === 0) return []
  const { rows } = await db.raw<{ rows: (SummaryRow & { proof_notes: string | null })[] }>(
    `select ${SUMMARY_COLUMNS}, (select string_agg(p.note, ' ') from proofs p where p.prompt_id = x.id and p.note <> '') as proof_notes
     from unnest(?::uuid[]) with ordinality as page(id, place) join prompts x on x.id = page.id join drafts d on d.prompt_id = x.id order by page.place`,
    [ids as string[]],
  )
  const summaries = await summariesOf(db, rows)
  return summaries.map((prompt, i) => ({ ...prompt, why: whyFound(prompt, rows[i]!.draft_body.text, `${prompt.note} ${rows[i]!.proof_notes ?? ''}`, read, said) }))
}

export async function tagCounts(db: Database, project?: string): Promise<TagCount[]> {
  const { rows } = await db.raw<{ rows: TagCount[] }>(
    `select tag, count(*)::int as count from prompts x, unnest(x.tags) as tag
     where x.deleted_at is null ${project ? 'and x.project_id = ?' : ''} group by tag order by count desc, tag limit 500`,
    project ? [project] : [],
  )
  return rows
}
