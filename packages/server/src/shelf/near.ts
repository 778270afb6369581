import type { NearPrompt } from '@idolon/contract'
import { covered, type Draft, fixedFacetsOf, type Phrase } from '@idolon/core'
import { compareReadings, headOf } from '@idolon/core/reader'
import type { Database } from '../database/connect.ts'
import { draftRow } from '../drafts/store.ts'
import { notFound } from '../http/problem.ts'
import { promptReader } from '../phrases/prompt-reader.ts'
import { sameWords } from '../phrases/same-words.ts'
import { saidVector } from './said.ts'

/** Prompts that share most with a draft are read and compared; further ones share too little to be the same. */
const COMPARED = 40
const MOST = 20

interface Row {
  id: string
  title: string
  project_id: string
  body: Draft
  keepers: number
  proofs: number
}

/** The lexemes of a tsvector in its text form. */
const lexemesOf = (vector: string): string[] => [...vector.matchAll(/'([^']+)':/gu)].map((match) => match[1]!)

/**
 * Prompts that are one with a prompt's draft, in other words or another order, the most alike first. Candidates have a word in common of what
 * the picture is of; those that share most by facet are compared phrase by phrase.
 */
export async function nearPrompts(db: Database, promptId: string): Promise<NearPrompt[]> {
  const own = await draftRow(db, promptId)
  if (!own) throw notFound('prompt')
  const [reader, sameness] = await Promise.all([promptReader(), sameWords()])
  const read = ({ text, marks }: Draft) => {
    const reading = reader.read(text, fixedFacetsOf(marks))
    return { ...reading, phrases: reading.phrases.filter((phrase) => !covered(text, marks, 'off', phrase)) }
  }
  const mine = read(own.body)
  const vector = lexemesOf(saidVector(mine.phrases))
  const about = lexemesOf(saidVector(mine.phrases.filter(({ facet }) => facet === 'subject').map((phrase): Phrase => ({ ...phrase, text: headOf(phrase.text) }))))
  if (about.length === 0) return []
  const any = (lexemes: readonly string[]) => lexemes.map((lexeme) => `'${lexeme}'`).join(' | ')
  const { rows } = await db.raw<{ rows: Row[] }>(
    `with alike as materialized (select r.prompt_id, ts_rank(r.said, ?::tsquery) as rank from shelf_said r where r.said @@ ?::tsquery and r.prompt_id <> ? order by rank desc limit ${COMPARED})
     select x.id, coalesce(nullif(x.title, ''), d.first_words) as title, x.project_id, d.body, s.keepers, s.proofs
     from alike a join shelf s on s.prompt_id = a.prompt_id join prompts x on x.id = a.prompt_id join drafts d on d.prompt_id = a.prompt_id where not s.deleted order by a.rank desc`,
    [any(vector), any(about), promptId],
  )
  return rows
    .map((row) => ({ row, found: compareReadings(mine, read(row.body), sameness) }))
    .filter(({ found }) => found.near)
    .sort((x, y) => y.found.score - x.found.score)
    .slice(0, MOST)
    .map(({ row, found }) => ({ promptId: row.id, title: row.title, projectId: row.project_id, score: found.score, proofs: row.proofs, keepers: row.keepers, differences: found.differences.map(({ change, a, b }) => (change === 'changed' ? `${a ?? ''} → ${b ?? ''}` : change === 'added' ? `+ ${b ?? ''}` : `− ${a ?? ''}`)) }))
}
