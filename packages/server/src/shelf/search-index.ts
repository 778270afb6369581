import type { Draft } from '@idolon/core'
import type { Database } from '../database/connect.ts'

interface StaleRow {
  prompt_id: string
  body: Draft
  title: string
  tags: string[]
  note: string
  proof_notes: string | null
}

const BATCH = 500
/** Words alone: PostgreSQL's own parser would take markup, addresses and file names for more than words. */
const plain = (text: string) => (text.match(/[\p{L}\p{N}]+/gu) ?? []).join(' ')

/** Keeps the Shelf's full-text documents and its vocabulary in step with the prompts. A cache: it can be emptied and rebuilt. */
export class SearchIndex {
  constructor(private readonly db: Database) {}

  /** Brings up to date whatever changed since. Cheap when nothing did. */
  async refresh(): Promise<void> {
    for (;;) {
      const rows = await this.#refreshBatch()
      if (rows < BATCH) return
    }
  }

  #refreshBatch(): Promise<number> {
    return this.db.transaction(async (trx) => {
      const { rows } = await trx.raw<{ rows: StaleRow[] }>(
        `select d.prompt_id, d.body, coalesce(nullif(x.title, ''), d.first_words) as title, x.tags, x.note,
           (select string_agg(p.note, ' ') from proofs p where p.prompt_id = x.id and p.note <> '') as proof_notes
         from drafts d join prompts x on x.id = d.prompt_id where d.search_stale limit ? for update of d skip locked`,
        [BATCH],
      )
      if (rows.length === 0) return 0
      const columns = [
        rows.map((row) => row.prompt_id),
        rows.map((row) => plain(row.title)),
        rows.map((row) => plain(row.tags.join(' '))),
        rows.map((row) => plain(`${row.body.text} ${row.body.leaveOut.join(' ')}`)),
        rows.map((row) => plain(`${row.note} ${row.proof_notes ?? ''}`)),
      ]
      const documents = `select id, setweight(to_tsvector('simple', unaccent(title)), 'A') || setweight(to_tsvector('simple', unaccent(tags)), 'B')
          || setweight(to_tsvector('simple', unaccent(words)), 'C') || setweight(to_tsvector('simple', unaccent(notes)), 'D') as document
        from unnest(?::uuid[], ?::text[], ?::text[], ?::text[], ?::text[]) as t(id, title, tags, words, notes)`
      await trx.raw(
        `with documents as materialized (${documents}),
          kept as (insert into prompt_search (prompt_id, document) select id, document from documents
            on conflict (prompt_id) do update set document = excluded.document)
        insert into search_words (word)
          select distinct lexeme from documents, unnest(tsvector_to_array(document)) as lexeme
          where length(lexeme) between 3 and 40 and not exists (select 1 from search_words w where w.word = lexeme)
          order by 1 on conflict do nothing`,
        columns,
      )
      await trx('drafts').whereIn('prompt_id', rows.map((row) => row.prompt_id)).update({ search_stale: false })
      return rows.length
    })
  }
}
