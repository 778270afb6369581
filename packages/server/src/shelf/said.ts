import type { Draft, Phrase, ShelfWords } from '@idolon/core'
import type { Database } from '../database/connect.ts'
import { promptReader, readShown } from '../phrases/prompt-reader.ts'

/** Who read it; what an older reader found is read anew. */
const MAKER = 'said-1'
const BATCH = 40
/** Between phrases, so that no term is found over the end of one. */
const GAP = 5
/** Highest position that PostgreSQL keeps of a word. */
const LAST = 16_000
const bare = (word: string) => word.normalize('NFKD').replace(/\p{M}/gu, '')
const wordsOf = (text: string) => bare(text.toLowerCase()).match(/[\p{L}\p{N}]+/gu) ?? []

/** A tsvector of what phrases say: each word under its facet, in order. */
export function saidVector(phrases: readonly Phrase[]): string {
  const places = new Map<string, number[]>()
  let at = 1
  for (const { facet, text } of phrases) {
    for (const word of wordsOf(text)) {
      const lexeme = `${facet}.${word.slice(0, 60)}`
      places.set(lexeme, [...(places.get(lexeme) ?? []), at])
      at = Math.min(LAST, at + 1)
    }
    at = Math.min(LAST, at + GAP)
  }
  return [...places].map(([lexeme, own]) => `'${lexeme}':${[...new Set(own)].slice(0, 200).join(',')}`).join(' ')
}

/** The tsquery for terms of facets; the last word of each may be only begun. */
export const saidQuery = (said: ShelfWords['said']): string => said.map(({ facet, words }) => `(${words.map((word, i) => `'${facet}.${bare(word)}'${i === words.length - 1 ? ':*' : ''}`).join(' <-> ')})`).join(' & ')

interface Row {
  prompt_id: string
  text_hash: string
  body: Draft
}

let lookedForOlder = false
/** What an older reader found is read anew; looked for once a process. */
async function markOlder(db: Database): Promise<void> {
  if (lookedForOlder) return
  await db.raw('update shelf set said_stale = true where said_maker <> ? and not said_stale', [MAKER])
  lookedForOlder = true
}

/** Reads drafts whose text has not been read, a few at a time; how many there were. */
export async function readSaid(db: Database): Promise<number> {
  await markOlder(db)
  const { rows } = await db.raw<{ rows: Row[] }>('select s.prompt_id, s.text_hash, d.body from shelf s join drafts d on d.prompt_id = s.prompt_id where s.said_stale and not s.deleted order by s.changed desc limit ?', [BATCH])
  if (rows.length === 0) return 0
  const reader = await promptReader()
  const vectors: string[] = []
  for (const { body } of rows) {
    vectors.push(saidVector(readShown(reader, body).phrases))
    // Requests come between.
    await new Promise((resolve) => setImmediate(resolve))
  }
  // A text that changed meanwhile stays to be read.
  await db.raw(
    `update shelf set said = read.said, said_maker = ?, said_stale = false from unnest(?::uuid[], ?::text[], ?::tsvector[]) as read(id, text_hash, said)
     where shelf.prompt_id = read.id and shelf.text_hash = read.text_hash`,
    [MAKER, rows.map((row) => row.prompt_id), rows.map((row) => row.text_hash), vectors],
  )
  return rows.length
}

/** Prompts on the Shelf of which something is still to be worked out. */
export async function unreadCount(db: Database, what: 'said_stale' | 'vector_stale'): Promise<number> {
  const { rows } = await db.raw<{ rows: { count: number }[] }>(`select count(*)::int as count from shelf where ${what} and not deleted`)
  return rows[0]?.count ?? 0
}
