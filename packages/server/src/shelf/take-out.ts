import { type Draft, type PromptRecord, textFileOf, type WritingFormat, WRITING_FORMATS } from '@idolon/core'
import { searchShelf } from '@idolon/contract'
import type { IRouter, Request } from 'express'
import { ZipAnswer } from '../archive/zip-writing.ts'
import type { Database } from '../database/connect.ts'
import { ProblemError } from '../http/problem.ts'
import { demand } from '../http/validators.ts'
import type { ShelfQuery } from './conditions.ts'
import type { ShelfSearch } from './search.ts'

/** Most prompts in one file. */
const MOST = 100_000
const BATCH = 500

interface Row extends Omit<PromptRecord, 'draft'> {
  body: Draft
}

/** What leaves of prompts, in the order of their ids. */
async function recordsOf(db: Database, ids: readonly string[]): Promise<PromptRecord[]> {
  const { rows } = await db.raw<{ rows: Row[] }>(
    `select coalesce(nullif(x.title, ''), d.first_words) as title, j.name as project, x.status, x.tags, x.note, d.body,
       (select count(*)::int from proofs p where p.prompt_id = x.id and p.state = 'stored' and p.deleted_at is null) as proofs,
       (select count(*)::int from proofs p where p.prompt_id = x.id and p.verdict = 'keep' and p.deleted_at is null) as keepers
     from unnest(?::uuid[]) with ordinality as page(id, place) join prompts x on x.id = page.id join drafts d on d.prompt_id = x.id join projects j on j.id = x.project_id order by page.place`,
    [ids as string[]],
  )
  return rows.map(({ body, ...row }) => ({ ...row, draft: body }))
}

async function* written(db: Database, format: WritingFormat, ids: readonly string[]): AsyncGenerator<string> {
  yield format.begin
  for (let i = 0; i < ids.length; i += BATCH) yield (await recordsOf(db, ids.slice(i, i + BATCH))).map((record, k) => format.prompt(record, i + k)).join('')
  yield format.end
}

/** The ids of what a search finds, as its address asks. */
export async function askedIds(search: ShelfSearch, request: Request, most: number): Promise<string[]> {
  const query: unknown = { ...request.query }
  demand(searchShelf.query ?? {}, query, 'query', true)
  const ids = await search.ids(query as ShelfQuery, most)
  if (ids.length === 0) throw new ProblemError('nothing-to-try', 'Nothing fits this search, so there is nothing to take out. Take a word or a filter away.')
  return ids
}

/** What a search finds as a file, written as it is read, so that a hundred thousand prompts take no room. */
export function takeOutRoutes(router: IRouter, db: Database, search: ShelfSearch): void {
  for (const format of WRITING_FORMATS) {
    router.get(`/api/shelf.${format.ending}`, async (request, response) => {
      const ids = await askedIds(search, request, MOST)
      response.attachment(`prompts.${format.ending}`).type(format.type)
      for await (const piece of written(db, format, ids)) if (!response.write(piece)) await new Promise((resolve) => response.once('drain', resolve))
      response.end()
    })
  }
  router.get('/api/shelf.texts.zip', async (request, response) => {
    const ids = await askedIds(search, request, MOST)
    const zip = new ZipAnswer(response, 'prompts.zip')
    for (let i = 0; i < ids.length; i += BATCH) {
      for (const [k, record] of (await recordsOf(db, ids.slice(i, i + BATCH))).entries()) {
        const { name, text } = textFileOf(record, i + k)
        await zip.add(name, text)
      }
    }
    zip.end()
  })
}
