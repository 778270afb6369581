import { type Draft, sameVersion, versionBodyOf, versionChanges } from '@idolon/core'
import type { Version } from '@idolon/contract'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { notFound } from '../http/problem.ts'
import { insertVersion, versionByNumber, versionsWhere } from './store.ts'

/** PostgreSQL's text cannot hold U+0000, which a draft may. */
const storable = (text: string) => text.replaceAll('\u0000', '�')

/** The version that says what the draft says: the one it goes on from when nothing differs, else a new one. */
export async function freezeVersion(trx: Knex.Transaction, promptId: string, draft: Draft, parent: number | null): Promise<{ id: string; number: number }> {
  const from = parent === null ? undefined : await versionByNumber(trx, promptId, parent)
  if (from && sameVersion(from.body, draft)) return { id: from.id, number: from.number }
  const id = randomUUID()
  const changes = from ? versionChanges(from.body, versionBodyOf(draft)).map(storable) : []
  const number = await insertVersion(trx, { id, prompt_id: promptId, parent: from?.number ?? null, body: versionBodyOf(draft), changes })
  await trx('drafts').where({ prompt_id: promptId }).update({ parent_version: number })
  return { id, number }
}

export class Versions {
  constructor(private readonly db: Database) {}

  list(promptId: string): Promise<Version[]> {
    // Of a trial plan's many texts only those that were kept or gone on from are steps of the work.
    return versionsWhere(
      this.db,
      `v.prompt_id = ? and (v.trial_id is null or v.number = (select parent_version from drafts where prompt_id = v.prompt_id) or exists (select 1 from versions n where n.prompt_id = v.prompt_id and n.parent = v.number and n.trial_id is null)
        or exists (select 1 from proofs k where k.version_id = v.id and k.verdict = 'keep' and k.deleted_at is null))`,
      [promptId],
    )
  }

  async explain(_actor: Actor, id: string, why: string): Promise<Version> {
    await this.db('versions').where({ id }).update({ why })
    const [version] = await versionsWhere(this.db, 'v.id = ?', [id])
    if (!version) throw notFound('version')
    return version
  }
}
