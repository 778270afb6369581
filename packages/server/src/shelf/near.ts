import type { Draft, Phrase } from '@idolon/core'
import { compareReadings, type Comparison, headOf } from '@idolon/core/reader'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import { draftRow } from '../drafts/store.ts'
import { notFound } from '../http/problem.ts'
import type { Meaning } from '../meaning/meaning.ts'
import { promptReader, readShown } from '../phrases/prompt-reader.ts'
import { sameWords } from '../phrases/same-words.ts'
import { saidVector } from './said.ts'
import { textHash } from './search-index.ts'

/** So many of those that share most words, and as many of those closest in meaning, are read and compared; further ones share too little to be the same. */
const COMPARED = 12
/** Of a subject that many have, so many are ranked; what else is the same is found by its meaning. */
const RANKED = 2_000
/** Prompts further apart in meaning are not the same in any words. */
const CLOSE = 0.55

export interface Near {
  id: string
  score: number
  differences: Comparison['differences']
}
const SAME: Omit<Near, 'id'> = { score: 1, differences: [] }

/** The lexemes of a tsvector in its text form. */
const lexemesOf = (vector: string): string[] => [...vector.matchAll(/'([^']+)':/gu)].map((match) => match[1]!)
const anyOf = (lexemes: readonly string[]) => lexemes.map((lexeme) => `'${lexeme}'`).join(' | ')

/** Prompts that share the most words with phrases, facet by facet, and one of what they are of. */
async function sharingWords(db: Database, phrases: readonly Phrase[], except: string): Promise<string[]> {
  const about = lexemesOf(saidVector(phrases.filter(({ facet }) => facet === 'subject').map((phrase): Phrase => ({ ...phrase, text: headOf(phrase.text) }))))
  if (about.length === 0) return []
  const { rows } = await db.raw<{ rows: { id: string }[] }>(
    `with sharing as materialized (select prompt_id, said from shelf where said @@ ?::tsquery and prompt_id <> ? and not deleted limit ${RANKED})
     select prompt_id as id from sharing order by ts_rank(said, ?::tsquery) desc limit ${COMPARED}`,
    [anyOf(about), except, anyOf(lexemesOf(saidVector(phrases)))],
  )
  return rows.map(({ id }) => id)
}

async function closeInMeaning(meaning: Meaning, prompt: string): Promise<string[]> {
  return (await meaning.closest({ prompt }, { most: COMPARED, least: CLOSE })).map(({ id }) => id)
}

async function withSameText(db: Database, hash: string, except: string): Promise<string[]> {
  return (await db('shelf').where({ text_hash: hash }).whereNot({ prompt_id: except }).limit(COMPARED).select<{ prompt_id: string }[]>('prompt_id')).map((row) => row.prompt_id)
}

/**
 * Prompts that are one with a prompt's draft, in other words or another order, the most alike first. Candidates share words of what the picture is
 * of, or are close in meaning; they are compared phrase by phrase.
 */
export async function nearOf(db: Database, meaning: Meaning, prompt: string): Promise<Near[]> {
  const own = await draftRow(db, prompt)
  if (!own) throw notFound('prompt')
  const [reader, sameness] = await Promise.all([promptReader(), sameWords()])
  const mine = readShown(reader, own.body)
  if (mine.phrases.length === 0) return []
  const hash = textHash(own.body)
  const candidates = new Set((await Promise.all([withSameText(db, hash, prompt), sharingWords(db, mine.phrases, prompt), closeInMeaning(meaning, prompt)])).flat())
  // Scenes of one series have their people, place and look in common, and are different pictures all the same.
  const { rows } = await db.raw<{ rows: { id: string; body: Draft }[] }>(
    `select s.prompt_id as id, d.body from shelf s join drafts d on d.prompt_id = s.prompt_id where s.prompt_id = any(?::uuid[]) and not s.deleted
       and not exists (select from scenes a join scenes b on b.series_id = a.series_id where a.prompt_id = ? and b.prompt_id = s.prompt_id)`,
    [[...candidates], prompt],
  )
  const near: Near[] = []
  for (const { id, body } of rows) {
    const found = textHash(body) === hash ? { near: true, ...SAME } : compareReadings(mine, readShown(reader, body), sameness)
    if (found.near) near.push({ id, score: found.score, differences: found.differences })
    // Requests come between.
    await new Promise((resolve) => setImmediate(resolve))
  }
  return near.sort((x, y) => y.score - x.score)
}

/** What differs all the same, in words. */
export const inWords = (differences: Near['differences']): string[] =>
  differences.map(({ change, a, b }) => (change === 'changed' ? `${a ?? ''} → ${b ?? ''}` : change === 'added' ? `+ ${b ?? ''}` : `− ${a ?? ''}`))

/** Two ids in the order in which a pair has them. */
export const pairOf = (a: string, b: string): { one: string; other: string } => (a < b ? { one: a, other: b } : { one: b, other: a })

export type Db = Database | Knex.Transaction
