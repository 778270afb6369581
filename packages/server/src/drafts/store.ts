import { type Draft, titleOf } from '@idolon/core'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import { CHANNEL } from '../events/events.ts'

/** What a prompt without a title is called; PostgreSQL's text cannot hold U+0000. */
export const firstWords = (draft: Draft): string => titleOf(draft.text).replaceAll('\u0000', '�')

export interface DraftRow {
  body: Draft
  revision: number
  /** By client: the number of its last edit that was applied, and when (ms). */
  clients: Record<string, { last: number; at: number }>
  parent_version: number | null
  saved_at: Date
}

export const draftRow = (db: Database | Knex.Transaction, promptId: string, lock = false): Promise<DraftRow | undefined> => {
  const query = db('drafts').where({ prompt_id: promptId }).first<DraftRow | undefined>('body', 'revision', 'clients', 'parent_version', 'saved_at')
  return lock ? query.forUpdate() : query
}

/** Writes the draft if it is still at `base`, and tells the pages. One statement, so that saving is one commit. */
export async function writeDraft(
  db: Database,
  promptId: string,
  base: number,
  next: { body: Draft; revision: number; clients: DraftRow['clients']; /** Null leaves it as it is. */ parent: number | null; client: string },
): Promise<Date | undefined> {
  const { rows } = await db.raw<{ rows: { saved_at: Date }[] }>(
    `with saved as (
       update drafts set body = ?::json, first_words = ?, revision = ?, clients = ?::jsonb, parent_version = coalesce(?, parent_version), saved_at = now(), search_stale = true
       where prompt_id = ? and revision = ? returning saved_at)
     select saved_at, pg_notify(?, ?) from saved`,
    [
      JSON.stringify(next.body),
      firstWords(next.body),
      next.revision,
      JSON.stringify(next.clients),
      next.parent,
      promptId,
      base,
      CHANNEL,
      JSON.stringify({ body: { kind: 'draft', promptId, revision: next.revision, client: next.client } }),
    ],
  )
  return rows[0]?.saved_at
}
