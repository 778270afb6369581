import { SHIPPED_TEMPLATES } from '@idolon/core'
import { createHash } from 'node:crypto'
import type { Database } from '../database/connect.ts'
import { addTemplateVersion } from './store.ts'

/** One process at a time brings the templates that ship up to date. */
const SHIP_LOCK = 7_301_144

/** Puts the templates that ship into the database; one that ships otherwise now gets a new version, unless the writer has changed it. */
export async function shipTemplates(db: Database): Promise<void> {
  await db.transaction(async (trx) => {
    await trx.raw('select pg_advisory_xact_lock(?)', [SHIP_LOCK])
    for (const [place, { id, body }] of SHIPPED_TEMPLATES.entries()) {
      const shippedAs = createHash('sha256').update(JSON.stringify(body)).digest('hex').slice(0, 16)
      const there = await trx('templates').where({ id }).first<{ current: number } | undefined>('current')
      const newest = there && (await trx('template_versions').where({ template_id: id, number: there.current }).first<{ shipped_as: string | null } | undefined>('shipped_as'))
      if (there && (newest?.shipped_as === shippedAs || !newest?.shipped_as)) continue
      if (!there) await trx('templates').insert({ id, shipped: true, place: place + 1, current: 1, made_by: 'idolon' })
      const number = await addTemplateVersion(trx, id, { body, why: there ? 'As it ships with a newer Idolon.' : 'As it ships with Idolon.', actor: 'idolon', shippedAs })
      if (there) await trx('templates').where({ id }).update({ current: number })
    }
  })
}
