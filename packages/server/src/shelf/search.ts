import type { PromptSummary, Status, TagCount } from '@idolon/contract'
import type { Database } from '../database/connect.ts'
import { SUMMARY_COLUMNS, summariesOf, type SummaryRow } from '../prompts/store.ts'
import type { SearchIndex } from './search-index.ts'

export interface ShelfQuery {
  q?: string
  project?: string
  tag?: string
  status?: Status
  kept?: boolean
  limit?: number
  offset?: number
}

export interface ShelfAnswer {
  rows: PromptSummary[]
  total: number
  /** Words that no prompt has, and what they were read as. */
  read: { typed: string; as: string }[]
}

const MAX_WORDS = 12
/** Of a very common word only the last changed prompts are ranked. */
const RANKED = 2_000

const wordsOf = (q: string) => (q.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).slice(0, MAX_WORDS)

interface WordRow {
  typed: string
  words: string[]
  exact: boolean
}

/**
 * For each typed word the words of the vocabulary it may stand for: itself as a
 * prefix where any word starts so, else the nearest by trigrams within one or two letters (Levenshtein 1966).
 */
async function readWords(db: Database, typed: string[]): Promise<WordRow[]> {
  const { rows } = await db.raw<{ rows: WordRow[] }>(
    `select t.typed, found.exact, found.words from (select unaccent(w) as typed, n from unnest(?::text[]) with ordinality as u(w, n)) t
     left join lateral (
       select true as exact, array[t.typed] as words
       where exists (select 1 from search_words where word like replace(t.typed, '_', '\\_') || '%') or length(t.typed) < 3
       union all
       select false, array_agg(word) from (
         select word from search_words
         where word % t.typed and levenshtein_less_equal(left(word, 60), left(t.typed, 60), 2) <= case when length(t.typed) < 6 then 1 else 2 end
         order by levenshtein_less_equal(left(word, 60), left(t.typed, 60), 2), similarity(word, t.typed) desc, word limit 3) near
       limit 1) found on true
     order by t.n`,
    [typed],
  )
  return rows
}

export async function searchShelf(db: Database, index: SearchIndex, asked: ShelfQuery): Promise<ShelfAnswer> {
  const { limit = 50, offset = 0 } = asked
  await index.refresh()
  const typed = wordsOf(asked.q ?? '')
  const read = typed.length ? await readWords(db, typed) : []
  const unread = read.filter((row) => !row.words?.length)
  if (unread.length) return { rows: [], total: 0, read: [] }
  const query = read.map((row) => (row.exact ? `'${row.typed}':*` : `(${row.words.map((word) => `'${word.replaceAll("'", "''")}'`).join(' | ')})`)).join(' & ')

  const conditions = ['x.deleted_at is null']
  const bindings: (string | number)[] = []
  const also = (condition: string, value?: string) => {
    conditions.push(condition)
    if (value !== undefined) bindings.push(value)
  }
  if (query) also('s.document @@ ?::tsquery', query)
  if (asked.project) also('x.project_id = ?', asked.project)
  if (asked.tag) also('x.tags @> array[?]::text[]', asked.tag)
  if (asked.status) also('x.status = ?', asked.status)
  if (asked.kept) also(`exists (select 1 from proofs k where k.prompt_id = x.id and k.verdict = 'keep' and k.deleted_at is null)`)
  const from = `from prompts x join drafts d on d.prompt_id = x.id ${query ? 'join prompt_search s on s.prompt_id = x.id' : ''} where ${conditions.join(' and ')}`
  const changed = 'greatest(x.changed_at, d.saved_at)'

  const counted = db.raw<{ rows: { total: number }[] }>(`select count(*) as total ${from}`, bindings)
  const order = query ? `ts_rank(document, ?::tsquery) desc, changed desc` : 'changed desc'
  const found = db.raw<{ rows: SummaryRow[] }>(
    `with newest as materialized (
       select x.id, ${changed} as changed ${query ? ', s.document' : ''} ${from} order by ${changed} desc limit ${query ? RANKED : offset + limit}),
     page as materialized (select id, row_number() over (order by ${order}) as place from newest order by place limit ? offset ?)
     select ${SUMMARY_COLUMNS} from page join prompts x on x.id = page.id join drafts d on d.prompt_id = x.id order by page.place`,
    [...bindings, ...(query ? [query] : []), limit, offset],
  )
  const [{ rows: counts }, { rows }] = await Promise.all([counted, found])
  return {
    rows: await summariesOf(db, rows),
    total: counts[0]?.total ?? 0,
    read: read.filter((row) => !row.exact).map((row) => ({ typed: row.typed, as: row.words.join(', ') })),
  }
}

export async function tagCounts(db: Database, project?: string): Promise<TagCount[]> {
  const { rows } = await db.raw<{ rows: TagCount[] }>(
    `select tag, count(*) as count from prompts x, unnest(x.tags) as tag
     where x.deleted_at is null ${project ? 'and x.project_id = ?' : ''} group by tag order by count desc, tag limit 500`,
    project ? [project] : [],
  )
  return rows
}
