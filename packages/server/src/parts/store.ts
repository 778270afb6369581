import type { Part, PartVersion } from '@idolon/contract'
import { type PartBody, SHEET_TAG } from '@idolon/core'
import type { PartNow } from '@idolon/core/reader'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'

type Db = Database | Knex.Transaction

/** A scene `c` of a series `s` has the part `p`. */
const IN_SCENE = `(s.style = p.id or c.body->'place'->>'part' = p.id::text or c.body->'cast' @> jsonb_build_array(jsonb_build_object('part', p.id::text)))`

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
          and ${IN_SCENE}) as scenes
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

/** Series that a part is used in, the most scenes first. */
export async function seriesOfPart(db: Db, part: string): Promise<{ id: string; name: string; scenes: number }[]> {
  const { rows } = await db.raw<{ rows: { id: string; name: string; scenes: number }[] }>(
    `select s.id, s.name, count(*)::int as scenes from parts p join series s on s.project_id = p.project_id and s.deleted_at is null join scenes c on c.series_id = s.id and c.deleted_at is null
     where p.id = ? and ${IN_SCENE} group by s.id order by scenes desc, s.name limit 200`,
    [part],
  )
  return rows
}

/** Prompts that are sheets of a part: those tagged so that say it. */
export async function sheetsOfPart(db: Db, part: string): Promise<{ promptId: string; title: string }[]> {
  const { rows } = await db.raw<{ rows: { promptId: string; title: string }[] }>(
    `select x.id as "promptId", coalesce(nullif(x.title, ''), d.first_words) as title from parts p join prompts x on x.project_id = p.project_id join drafts d on d.prompt_id = x.id
     where p.id = ? and x.deleted_at is null and x.tags @> array[?]::text[] and d.body::jsonb->'marks' @> jsonb_build_array(jsonb_build_object('kind', 'from', 'source', jsonb_build_object('id', p.id::text)))
     order by x.created_at desc limit 20`,
    [part, SHEET_TAG],
  )
  return rows
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
