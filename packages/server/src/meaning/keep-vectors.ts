import { type Draft, shownText } from '@idolon/core'
import type { Database } from '../database/connect.ts'
import type { Meaning } from './meaning.ts'
import { VECTOR_MAKER } from './vector-table.ts'

/** A question that is asked meanwhile waits for one batch. */
const BATCH = 8
/** Whoever writes vectors takes turns, so that a reader who asks for later numbers misses none. */
const TURN = 118_800

interface Row {
  prompt_id: string
  text_hash: string
  body: Draft
}

const markedOlder = new WeakSet<Database>()
/** What an older maker made is made anew; looked for once a process. */
async function markOlder(db: Database): Promise<void> {
  if (markedOlder.has(db)) return
  await db.raw('update shelf set vector_stale = true from shelf_vectors v where v.prompt_id = shelf.prompt_id and v.maker <> ? and not shelf.vector_stale', [VECTOR_MAKER])
  markedOlder.add(db)
}

/** Makes vectors for drafts that have none, a few at a time, the last changed first; how many there were. */
export async function keepVectors(db: Database, meaning: Meaning): Promise<number> {
  await markOlder(db)
  const { rows } = await db.raw<{ rows: Row[] }>('select s.prompt_id, s.text_hash, d.body from shelf s join drafts d on d.prompt_id = s.prompt_id where s.vector_stale and not s.deleted order by s.changed desc limit ?', [BATCH])
  if (rows.length === 0) return 0
  const vectors = await meaning.vectors(rows.map(({ body }) => shownText(body)))
  await db.transaction(async (trx) => {
    await trx.raw('select pg_advisory_xact_lock(?)', [TURN])
    // A text that changed meanwhile stays to be done.
    await trx.raw(
      `with made as (insert into shelf_vectors (prompt_id, text_hash, maker, vector) select * from unnest(?::uuid[], ?::text[], ?::text[], ?::bytea[])
         on conflict (prompt_id) do update set (text_hash, maker, vector, written) = (excluded.text_hash, excluded.maker, excluded.vector, excluded.written) returning prompt_id, text_hash)
       update shelf set vector_stale = false from made where shelf.prompt_id = made.prompt_id and shelf.text_hash = made.text_hash`,
      [rows.map((row) => row.prompt_id), rows.map((row) => row.text_hash), rows.map(() => VECTOR_MAKER), vectors.map((vector) => Buffer.from(vector.buffer, vector.byteOffset, vector.length))],
    )
  })
  return rows.length
}
