import type { Database } from '../database/connect.ts'

/** A typed word, and the words of the vocabulary that it may stand for. */
export interface TypedWord {
  typed: string
  words: string[]
  exact: boolean
}

/**
 * For each typed word the words of the vocabulary it may stand for: itself as a
 * prefix where any word starts so, else the nearest by trigrams within one or two letters (Levenshtein 1966).
 */
export async function readWords(db: Database, typed: string[]): Promise<TypedWord[]> {
  const { rows } = await db.raw<{ rows: TypedWord[] }>(
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

/** The tsquery for words that were read. */
export const wordQuery = (read: readonly TypedWord[]): string => read.map((row) => (row.exact ? `'${row.typed}':*` : `(${row.words.map((word) => `'${word.replaceAll("'", "''")}'`).join(' | ')})`)).join(' & ')
