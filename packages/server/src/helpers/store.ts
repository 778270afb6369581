import type { Helper, HelperVersion, SavedCase } from '@idolon/contract'
import type { HelperBody, HelperCase } from '@idolon/core/helper'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'

interface HelperRow {
  id: string
  shipped: boolean
  current: number
  versions: number
  cases: number
  body: HelperBody
}

/** Helpers that are not deleted, with the version that is used: those that ship first. */
export async function helpersIn(db: Database | Knex.Transaction, id?: string): Promise<Helper[]> {
  const { rows } = await db.raw<{ rows: HelperRow[] }>(
    `select h.id, h.shipped, h.current, v.body,
       (select count(*)::int from helper_versions n where n.helper_id = h.id) as versions,
       (select count(*)::int from helper_cases c where c.helper_id = h.id and c.removed_at is null) as cases
     from helpers h join helper_versions v on v.helper_id = h.id and v.number = h.current
     where h.deleted_at is null ${id === undefined ? '' : 'and h.id = ?'} order by h.shipped desc, h.place, h.made_at`,
    id === undefined ? [] : [id],
  )
  return rows
}

export async function versionsOf(db: Database | Knex.Transaction, helperId: string): Promise<HelperVersion[]> {
  const rows = await db('helper_versions').where({ helper_id: helperId }).orderBy('number', 'desc').select<{ number: number; body: HelperBody; why: string; made_at: Date }[]>('number', 'body', 'why', 'made_at')
  return rows.map(({ made_at, ...row }) => ({ ...row, madeAt: made_at.toISOString() }))
}

export async function casesOf(db: Database | Knex.Transaction, helperId: string): Promise<SavedCase[]> {
  const rows = await db('helper_cases').where({ helper_id: helperId }).whereNull('removed_at').orderBy('place').select<{ id: string; body: HelperCase }[]>('id', 'body')
  return rows.map(({ id, body }) => ({ id, case: body }))
}

/** Adds the next version of a helper; its number. `shippedAs` is set for one that ships. */
export async function addVersion(trx: Knex.Transaction, helperId: string, { body, why, actor, shippedAs }: { body: HelperBody; why: string; actor: string; shippedAs?: string }): Promise<number> {
  const last = await trx('helper_versions').where({ helper_id: helperId }).max<{ max: number | null }>('number as max').first()
  const number = (last?.max ?? 0) + 1
  await trx('helper_versions').insert({ helper_id: helperId, number, body: JSON.stringify(body), why, made_by: actor, ...(shippedAs === undefined ? {} : { shipped_as: shippedAs }) })
  return number
}
