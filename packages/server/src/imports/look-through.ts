import type { ImportPreview } from '@idolon/contract'
import { type Brought, broughtFrom, type FoundPrompts, MAX_BROUGHT_IN, type Mapping, type PromptRecord } from '@idolon/core'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import { textHash } from '../shelf/search-index.ts'

const LISTED = 100
const SHOWN = 20
const BATCH = 1_000
const EXCERPT = 300

/** A prompt that may come in. */
export interface Coming extends Brought {
  record: PromptRecord
  hash: string
  /** What it is a duplicate of: a prompt that is here, or another place of the file. */
  of?: { promptId: string | null; title: string }
}
/** Some rows of a file, looked through. */
export interface LookedThrough {
  coming: Coming[]
  rejected: { place: string; reason: string }[]
}

/** Prompts that are here and say the same to the letter, by what of them is compared. */
async function hereAlready(db: Database | Knex.Transaction, hashes: readonly string[]): Promise<Map<string, { promptId: string; title: string }>> {
  const { rows } = await db.raw<{ rows: { hash: string; id: string; title: string }[] }>(
    `select distinct on (s.text_hash) s.text_hash as hash, x.id, coalesce(nullif(x.title, ''), d.first_words) as title
     from shelf s join prompts x on x.id = s.prompt_id join drafts d on d.prompt_id = x.id where s.text_hash = any(?::text[]) and not s.deleted order by s.text_hash, x.created_at`,
    [hashes as string[]],
  )
  return new Map(rows.map(({ hash, id, title }) => [hash, { promptId: id, title }]))
}

/** Each row of a file as the prompt it would be, with what it is a duplicate of; or why it is none. Some at a time, so that a hundred thousand take no room. */
export async function* lookThrough(db: Database | Knex.Transaction, found: FoundPrompts, mapping: Mapping): AsyncGenerator<LookedThrough> {
  const seen = new Map<string, string>()
  const rows = found.rows.slice(0, MAX_BROUGHT_IN)
  for (let i = 0; i < rows.length; i += BATCH) {
    const coming: Coming[] = []
    const rejected: LookedThrough['rejected'] = []
    for (const row of rows.slice(i, i + BATCH)) {
      const one = broughtFrom(row, mapping)
      if (!one.record) {
        rejected.push({ place: one.place, reason: one.rejected ?? '' })
        continue
      }
      const hash = textHash(one.record.draft)
      const before = seen.get(hash)
      if (before === undefined) seen.set(hash, one.place)
      coming.push({ ...one, record: one.record, hash, ...(before === undefined ? {} : { of: { promptId: null, title: before } }) })
    }
    const here = await hereAlready(db, coming.map(({ hash }) => hash))
    for (const one of coming) {
      const same = here.get(one.hash)
      if (same) one.of = same
    }
    yield { coming, rejected }
  }
  if (found.rows.length > MAX_BROUGHT_IN) yield { coming: [], rejected: [{ place: `after ${MAX_BROUGHT_IN.toLocaleString('en')}`, reason: 'more are not taken at once; divide the file' }] }
}

const saysOf = ({ status, note, draft }: PromptRecord): string =>
  [status === 'rough' ? '' : status, draft.leaveOut.length ? `leaves out ${draft.leaveOut.join(', ')}` : '', draft.engines.length ? `for ${draft.engines.map(({ engine }) => engine).join(', ')}` : '', Object.entries(draft.settings).map(([key, value]) => `${key} ${value}`).join(', '), note ? 'with a note' : ''].filter(Boolean).join('; ').slice(0, EXCERPT)

/** Adds to a list of which only the first are shown. */
function list<T>(to: { count: number; first: T[] }, more: readonly T[], most: number): void {
  to.count += more.length
  to.first.push(...more.slice(0, Math.max(0, most - to.first.length)))
}

export async function previewOf(looked: AsyncIterable<LookedThrough>): Promise<ImportPreview> {
  const preview: ImportPreview = { coming: { count: 0, first: [] }, duplicates: { count: 0, first: [] }, rejected: { count: 0, first: [] }, notes: { count: 0, first: [] }, beside: [] }
  for await (const { coming, rejected } of looked) {
    list(preview.coming, coming.filter(({ of }) => !of).map(({ place, record }) => ({ place, title: record.title, text: record.draft.text.slice(0, EXCERPT), project: record.project, tags: record.tags, says: saysOf(record) })), SHOWN)
    list(preview.duplicates, coming.flatMap(({ place, record, of }) => (of ? [{ place, title: record.title || record.draft.text.slice(0, 60), of }] : [])), LISTED)
    list(preview.rejected, rejected, LISTED)
    list(preview.notes, coming.flatMap(({ place, notes }) => notes.map((note) => ({ place, note }))), LISTED)
  }
  return preview
}
