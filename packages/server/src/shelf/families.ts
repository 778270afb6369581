import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import type { Meaning } from '../meaning/meaning.ts'
import { type Db, nearOf, pairOf } from './near.ts'

const BATCH = 4
/** Prompts that hang together in a chain longer than this are no family that a person could look through. */
const MOST = 500
/** Families are changed one after the other, so that two that grow together become one. */
const TURN = 118_801

interface Edge {
  one: string
  other: string
}

/** A pair `n` that the writer has not told apart. */
const NOT_TOLD_APART = 'not exists (select from prompt_pairs p where p.one = n.one and p.other = n.other and not p.same)'

/** Two by two what is the same: as compared, where the writer has not said otherwise, and as the writer has said. */
const EDGES = `
  select n.other as to_id from near_pairs n where n.one = r.id and ${NOT_TOLD_APART}
  union all select n.one from near_pairs n where n.other = r.id and ${NOT_TOLD_APART}
  union all select p.other from prompt_pairs p where p.one = r.id and p.same
  union all select p.one from prompt_pairs p where p.other = r.id and p.same`

/** The groups that edges make of ids. */
export function groupsOf(ids: readonly string[], edges: readonly Edge[]): string[][] {
  const parent = new Map(ids.map((id) => [id, id]))
  const root = (id: string): string => {
    const up = parent.get(id) ?? id
    if (up === id) return id
    const top = root(up)
    parent.set(id, top)
    return top
  }
  for (const { one, other } of edges) if (parent.has(one) && parent.has(other)) parent.set(root(one), root(other))
  const groups = new Map<string, string[]>()
  for (const id of ids) groups.set(root(id), [...(groups.get(root(id)) ?? []), id])
  return [...groups.values()]
}

/** Finds anew which families some prompts, and those they were or are now one with, belong to; whether any is in another than before. */
export async function regroup(trx: Db, prompts: string[]): Promise<boolean> {
  await trx.raw('select pg_advisory_xact_lock(?)', [TURN])
  const { rows: reached } = await trx.raw<{ rows: { id: string }[] }>(
    `with recursive reach(id) as (
       select id from (select unnest(?::uuid[]) as id union select m.prompt_id from shelf s join shelf m on m.family = s.family where s.prompt_id = any(?::uuid[])) seeds
       union select e.to_id from reach r cross join lateral (${EDGES}) e)
     select id from reach limit ${MOST}`,
    [prompts, prompts],
  )
  const ids = reached.map(({ id }) => id)
  const { rows: edges } = await trx.raw<{ rows: Edge[] }>(
    `select n.one, n.other from near_pairs n where n.one = any(?::uuid[]) and ${NOT_TOLD_APART}
     union select one, other from prompt_pairs where one = any(?::uuid[]) and same`,
    [ids, ids],
  )
  const families = groupsOf(ids, edges).flatMap((group) => {
    // Of one by itself none.
    const least = group.length > 1 ? group.reduce((a, b) => (a < b ? a : b)) : ''
    return group.map((id) => ({ id, family: least }))
  })
  const { rowCount } = await trx.raw<{ rowCount: number }>(`update shelf set family = nullif(f.family, '')::uuid from unnest(?::uuid[], ?::text[]) as f(id, family) where shelf.prompt_id = f.id and shelf.family is distinct from nullif(f.family, '')::uuid`, [families.map(({ id }) => id), families.map(({ family }) => family)])
  return rowCount > 0
}

/** Looks which prompts say the same as some that were read and have not been looked at, the last changed first; how many there were. */
export async function findFamilies(db: Database, meaning: Meaning): Promise<number> {
  const { rows } = await db.raw<{ rows: { prompt_id: string; text_hash: string }[] }>('select prompt_id, text_hash from shelf where near_stale and not said_stale and not vector_stale and not deleted order by changed desc limit ?', [BATCH])
  for (const { prompt_id: prompt, text_hash } of rows) {
    const near = await nearOf(db, meaning, prompt)
    await db.transaction(async (trx) => {
      await trx.raw('select pg_advisory_xact_lock(?)', [TURN])
      const { rows: before } = await trx.raw<{ rows: Edge[] }>('delete from near_pairs where one = ?::uuid or other = ?::uuid returning one, other', [prompt, prompt])
      const pairs = near.map(({ id, score }) => ({ ...pairOf(prompt, id), score }))
      if (pairs.length) await trx('near_pairs').insert(pairs)
      // A text that changed meanwhile stays to be looked at.
      await trx('shelf').where({ prompt_id: prompt, text_hash }).update({ near_stale: false })
      const changed = (before.length > 0 || pairs.length > 0) && (await regroup(trx, [...new Set([prompt, ...[...before, ...pairs].flatMap(({ one, other }) => [one, other])])]))
      if (changed) await recordEvent(trx, { kind: 'prompt' })
    })
  }
  return rows.length
}
