import { type Draft, fixedFacetsOf, partMarks } from '@idolon/core'
import { createHash } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
import type { Database } from '../database/connect.ts'
import { OF_IT_OR_MERGED } from '../prompts/store.ts'
import { bestProofId } from '../proofs/proof-rows.ts'

interface StaleRow {
  prompt_id: string
  project_id: string
  status: string
  tags: string[]
  template_id: string | null
  title: string
  note: string
  body: Draft
  changed: Date
  deleted: boolean
  proof_notes: string | null
  tried_on: string[] | null
  proofs: number
  keepers: number
  dropped: number
  best_picture: string | null
}

const BATCH = 500
/** How often a search looks whether another is done, and how long apart anybody does. */
const LOOKS = 10
const LOOK_MS = 25
/** Words alone: PostgreSQL's own parser would take markup, addresses and file names for more than words. */
const plain = (text: string) => (text.match(/[\p{L}\p{N}]+/gu) ?? []).join(' ')
/** What of a draft is read: equal for two exactly when a reading of them is. */
export const textHash = ({ text, marks }: Pick<Draft, 'text' | 'marks'>): string => createHash('sha256').update(JSON.stringify([text, fixedFacetsOf(marks), marks.filter(({ kind }) => kind === 'off')])).digest('hex').slice(0, 24)

/** Keeps the Shelf's rows and its vocabulary in step with prompts, drafts and proofs. A cache: it can be emptied and rebuilt. */
export class SearchIndex {
  constructor(private readonly db: Database) {}

  /** Brings up to date whatever changed since, and waits for what another is bringing up to date: then all of it is to be found. Cheap when nothing changed. */
  async refresh(): Promise<void> {
    while (await this.#anyStale()) if ((await this.#batch()) === 0) await sleep(LOOK_MS)
  }

  /**
   * For a search: brings what was just written up to date, and waits a little for what another is bringing up to date. Of thousands that come in
   * only some, so that nobody is kept waiting. Whether there was anything.
   */
  async catchUp(): Promise<boolean> {
    for (let looks = 0; looks < LOOKS; looks++) {
      if (!(await this.#anyStale())) return looks > 0
      const done = await this.#batch()
      if (done === BATCH) return true
      if (done === 0) await sleep(LOOK_MS)
    }
    return true
  }

  async #anyStale(): Promise<boolean> {
    const { rows } = await this.db.raw<{ rows: unknown[] }>('select from drafts where search_stale limit 1')
    return rows.length > 0
  }

  #batch(): Promise<number> {
    return this.db.transaction(async (trx) => {
      // Locked first and read in a statement of its own: one that locks as it reads would take the draft as it is now
      // and the prompt as it was when the statement began, and what was written between would never be found.
      const { rows: locked } = await trx.raw<{ rows: { prompt_id: string }[] }>('select prompt_id from drafts where search_stale limit ? for update skip locked', [BATCH])
      if (locked.length === 0) return 0
      const ids = locked.map(({ prompt_id }) => prompt_id)
      const { rows } = await trx.raw<{ rows: StaleRow[] }>(
        `select d.prompt_id, x.project_id, x.status, x.tags, x.template_id, coalesce(nullif(x.title, ''), d.first_words) as title, x.note, d.body,
           greatest(x.changed_at, d.saved_at) as changed, x.deleted_at is not null or x.merged_into is not null as deleted, n.*,
           (select p.picture from proofs p where p.id = ${bestProofId('p.prompt_id = x.id', 'x.best_proof_id')}) as best_picture
         from drafts d join prompts x on x.id = d.prompt_id
         cross join lateral (
           select count(*) filter (where state = 'stored')::int as proofs, count(*) filter (where verdict = 'keep')::int as keepers, count(*) filter (where verdict = 'drop')::int as dropped,
             array_agg(distinct engine->>'id') filter (where state = 'stored') as tried_on, string_agg(nullif(note, ''), ' ') as proof_notes
           from proofs where ${OF_IT_OR_MERGED} and deleted_at is null) n
         where d.prompt_id = any(?)`,
        [ids],
      )
      const texts = (of: (row: StaleRow) => string) => rows.map((row) => plain(of(row)))
      const values = rows.map((row) => ({
        prompt_id: row.prompt_id,
        project_id: row.project_id,
        status: row.status,
        tags: row.tags,
        template_id: row.template_id,
        parts: [...new Set(partMarks(row.body.marks).map(({ source }) => source.id))],
        engines: [...new Set([...(row.tried_on ?? []), ...row.body.engines.map(({ engine }) => engine)])],
        proofs: row.proofs,
        keepers: row.keepers,
        dropped: row.dropped,
        changed: row.changed.toISOString(),
        deleted: row.deleted,
        best_picture: row.best_picture,
        text_hash: textHash(row.body),
      }))
      const documents = `select id, setweight(to_tsvector('simple', unaccent(title)), 'A') || setweight(to_tsvector('simple', unaccent(tags)), 'B')
          || setweight(to_tsvector('simple', unaccent(words)), 'C') || setweight(to_tsvector('simple', unaccent(notes)), 'D') as document
        from unnest(?::uuid[], ?::text[], ?::text[], ?::text[], ?::text[]) as t(id, title, tags, words, notes)`
      await trx.raw(
        `with documents as materialized (${documents}),
          kept as (insert into shelf (prompt_id, project_id, status, tags, template_id, parts, engines, proofs, keepers, dropped, changed, deleted, document, best_picture, text_hash) select v.prompt_id, v.project_id, v.status, v.tags, v.template_id, v.parts, v.engines, v.proofs, v.keepers, v.dropped, v.changed, v.deleted, d.document, v.best_picture, v.text_hash
            from jsonb_to_recordset(?::jsonb) as v(prompt_id uuid, project_id uuid, status text, tags text[], template_id uuid, parts text[], engines text[], proofs int, keepers int, dropped int, changed timestamptz, deleted boolean, best_picture text, text_hash text)
            join documents d on d.id = v.prompt_id
            on conflict (prompt_id) do update set (project_id, status, tags, template_id, parts, engines, proofs, keepers, dropped, changed, deleted, document, best_picture, text_hash, said_stale, vector_stale, near_stale) =
              (excluded.project_id, excluded.status, excluded.tags, excluded.template_id, excluded.parts, excluded.engines, excluded.proofs, excluded.keepers, excluded.dropped, excluded.changed, excluded.deleted, excluded.document, excluded.best_picture, excluded.text_hash, shelf.said_stale or shelf.text_hash <> excluded.text_hash, shelf.vector_stale or shelf.text_hash <> excluded.text_hash, shelf.near_stale or shelf.text_hash <> excluded.text_hash))
        insert into search_words (word)
          select distinct lexeme from documents, unnest(tsvector_to_array(document)) as lexeme
          where length(lexeme) between 3 and 40 and not exists (select 1 from search_words w where w.word = lexeme)
          order by 1 on conflict do nothing`,
        [rows.map((row) => row.prompt_id), texts(({ title }) => title), texts(({ tags }) => tags.join(' ')), texts(({ body }) => `${body.text} ${body.leaveOut.join(' ')}`), texts(({ note, proof_notes }) => `${note} ${proof_notes ?? ''}`), JSON.stringify(values)],
      )
      await trx('drafts').whereIn('prompt_id', ids).update({ search_stale: false })
      return ids.length
    })
  }
}
