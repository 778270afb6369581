import { SHIPPED_HELPERS } from '@idolon/core/helper'
import { createHash, randomUUID } from 'node:crypto'
import type { Database } from '../database/connect.ts'
import { addVersion } from './store.ts'

/** One process at a time brings the helpers that ship up to date. */
const SHIP_LOCK = 7_301_143

/**
 * Puts the helpers that ship into the database: new ones with their cases; of one that ships otherwise now, a new version,
 * which is used where the writer uses a version that shipped. What the writer made is never touched.
 */
export async function shipHelpers(db: Database): Promise<void> {
  await db.transaction(async (trx) => {
    await trx.raw('select pg_advisory_xact_lock(?)', [SHIP_LOCK])
    for (const [place, { id, body, cases }] of SHIPPED_HELPERS.entries()) {
      const shippedAs = createHash('sha256').update(JSON.stringify(body)).digest('hex').slice(0, 16)
      const [helper] = await trx('helpers').where({ id }).select<{ current: number }[]>('current')
      const known = await trx('helper_versions').where({ helper_id: id, shipped_as: shippedAs }).first<{ number: number } | undefined>('number')
      if (helper && known) continue
      if (!helper) {
        await trx('helpers').insert({ id, shipped: true, place, current: 1, made_by: 'idolon' })
        if (cases.length) await trx('helper_cases').insert(cases.map((one) => ({ id: randomUUID(), helper_id: id, body: JSON.stringify(one) })))
      }
      const used = helper && (await trx('helper_versions').where({ helper_id: id, number: helper.current }).first<{ shipped_as: string | null } | undefined>('shipped_as'))
      const number = await addVersion(trx, id, { body, why: helper ? 'As it ships with a newer Idolon.' : 'As it ships with Idolon.', actor: 'idolon', shippedAs })
      if (used?.shipped_as) await trx('helpers').where({ id }).update({ current: number })
    }
  })
}
