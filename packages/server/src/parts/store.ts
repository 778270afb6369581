import type { Part, PartVersion } from '@idolon/contract'
import type { PartBody } from '@idolon/core'
import type { PartNow } from '@idolon/core/reader'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'

type Db = Database | Knex.Transaction

interface PartRow {
  id: string
  project_id: string
  current: number
  body: PartBody
  scenes: number
  made_at: Date
}

/** Parts that are not in the bin: those of a project, or one; by kind and name. */
export async function partsIn(db: Db, which: { project: string } | { id: string }): Promise<Part[]> {
  const { rows } = await db.raw<{ rows: PartRow[] }>(
    `select p.id, p.project_id, p.current, v.body, v.made_at,
       (select count(*)::int from scenes c join series s on s.id = c.series_id
        where c.deleted_at is null and s.deleted_at is null and s.project_id = p.project_id
          and (s.style = p.id or c.body->'place'->>'part' = p.id::text or c.body->'cast' @> jsonb_build_array(jsonb_build_object('part', p.id::text)))) as scenes
     from parts p join part_versions v on v.part_id = p.id and v.number = p.current
     where p.deleted_at is null and ${'id' in which ? 'p.id' : 'p.project_id'} = ? order by p.kind, lower(v.body->>'name'), p.id limit 2000`,
    ['id' in which ? which.id : which.project],
  )
  return rows.map(({ id, project_id, current, body, scenes, made_at }) => ({ id, projectId: project_id, version: current, body, scenes, changedAt: made_at.toISOString() }))
}

export async function versionsOfPart(db: Db, part: string): Promise<PartVersion[]> {
  const rows = await db('part_versions').where({ part_id: part }).orderBy('number', 'desc').limit(500).select<{ number: number; body: PartBody; why: string; made_at: Date }[]>('number', 'body', 'why', 'made_at')
  return rows.map(({ made_at, ...row }) => ({ ...row, madeAt: made_at.toISOString() }))
}

/** Parts of a project as they are now, those in the bin too: what is composed from them is not lost with them. */
export async function partsNow(db: Db, projectId: string): Promise<Map<string, PartNow>> {
  const rows = await db('parts').join('part_versions', (join) => void join.on('part_versions.part_id', 'parts.id').andOn('part_versions.number', 'parts.current')).where({ project_id: projectId }).select<{ id: string; current: number; body: PartBody }[]>('parts.id', 'parts.current', 'part_versions.body')
  return new Map(rows.map(({ id, current, body }) => [id, { id, version: current, body }]))
}

/** Bodies of versions of parts, by `id number`. */
export async function partBodies(db: Db, wanted: readonly (readonly [part: string, number: number])[]): Promise<Map<string, PartBody>> {
  if (!wanted.length) return new Map()
  const rows = await db('part_versions').whereIn(['part_id', 'number'], [...wanted] as never).select<{ part_id: string; number: number; body: PartBody }[]>('part_id', 'number', 'body')
  return new Map(rows.map(({ part_id, number, body }) => [`${part_id} ${number}`, body]))
}
