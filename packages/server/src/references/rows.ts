import type { CloseTry, ReadingStage, Reference, ReferenceWhole } from '@idolon/contract'
import type { VersionBody } from '@idolon/core'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import { READING_MAKER } from '../pictures/sight/reader.ts'

interface Row {
  id: string
  project_id: string
  picture: string
  width: number
  height: number
  proof_id: string | null
  name: string
  source: string
  rights: Reference['rights']
  note: string
  added_at: Date
  stage: ReadingStage | null
  problem: string | null
}
interface WholeRow extends Row {
  metadata: ReferenceWhole['metadata']
  facts: ReferenceWhole['facts']
  reading: ReferenceWhole['reading']
}

const referenceOf = (row: Row): Reference => ({
  id: row.id,
  projectId: row.project_id,
  name: row.name,
  source: row.source,
  rights: row.rights,
  note: row.note,
  picture: { sha256: row.picture, width: row.width, height: row.height },
  proofId: row.proof_id,
  addedAt: row.added_at.toISOString(),
  stage: row.stage ?? 'asked',
  problem: row.problem,
})

/** What an older maker read has another shape: until it is read anew, it is as if it were not read. */
const IF_CURRENT = (column: 'stage' | 'facts' | 'reading') => `case when g.maker = '${READING_MAKER}' then g.${column} end`

const of = (db: Database | Knex.Transaction, more: (string | Knex.Raw)[] = []) =>
  db('reference_pictures as r')
    .join('pictures as p', 'p.sha256', 'r.picture')
    .leftJoin('picture_readings as g', 'g.picture', 'r.picture')
    .select('r.id', 'r.project_id', 'r.picture', 'p.width', 'p.height', 'r.proof_id', 'r.name', 'r.source', 'r.rights', 'r.note', 'r.added_at', db.raw(`${IF_CURRENT('stage')} as stage`), 'g.problem', ...more)

export async function listReferences(db: Database, projectId: string | undefined): Promise<Reference[]> {
  const rows = (await of(db).where(projectId ? { 'r.project_id': projectId } : {}).orderBy('r.added_at', 'desc').limit(2_000)) as Row[]
  return rows.map(referenceOf)
}

export async function readReference(db: Database | Knex.Transaction, id: string): Promise<ReferenceWhole | undefined> {
  const [row] = (await of(db, ['r.metadata', db.raw(`${IF_CURRENT('facts')} as facts`), db.raw(`${IF_CURRENT('reading')} as reading`)]).where('r.id', id)) as WholeRow[]
  return row && { reference: referenceOf(row), facts: row.facts, reading: row.reading, metadata: row.metadata }
}

/** The reference that a project has of a picture already. */
export async function knownReference(db: Database | Knex.Transaction, projectId: string, picture: string): Promise<Reference | undefined> {
  const [row] = (await of(db).where({ 'r.project_id': projectId, 'r.picture': picture })) as Row[]
  return row && referenceOf(row)
}

export interface TryRow extends Pick<CloseTry, 'proofId' | 'promptId' | 'promptTitle' | 'version' | 'sha256'> {
  engine: { id: string; name: string; revision: string }
  body: VersionBody
  asked_at: Date
  stage: ReadingStage | null
  reading: ReferenceWhole['reading']
}

/** The newest proofs of versions with words that were read from any of these references, oldest first. */
export async function triesOf(db: Database, referenceIds: readonly string[], most: number): Promise<TryRow[]> {
  const { rows } = await db.raw<{ rows: TryRow[] }>(
    `select * from (
       select p.id as "proofId", p.prompt_id as "promptId", coalesce(nullif(x.title, ''), d.first_words) as "promptTitle", v.number as version, v.body,
         json_build_object('id', p.engine->>'id', 'name', p.engine->>'name', 'revision', p.engine->>'revision') as engine, p.picture as sha256, p.asked_at, ${IF_CURRENT('stage')} as stage, ${IF_CURRENT('reading')} as reading, p.place
       from proofs p join versions v on v.id = p.version_id join prompts x on x.id = p.prompt_id join drafts d on d.prompt_id = x.id
         left join picture_readings g on g.picture = p.picture
       where p.state = 'stored' and p.deleted_at is null and x.deleted_at is null and p.picture is not null and v.body::text like any(?)
       order by p.asked_at desc, p.place desc limit ?) newest
     order by asked_at, place`,
    [referenceIds.map((id) => `%"reference","id":"${id}"%`), most],
  )
  return rows
}

/** What is read of pictures, by their SHA-256; those that are not read are missing. */
export async function readingsOf(db: Database, pictures: readonly string[]): Promise<Map<string, NonNullable<ReferenceWhole['reading']>>> {
  const rows = await db('picture_readings').whereIn('picture', pictures).where({ maker: READING_MAKER, stage: 'read' }).select<{ picture: string; reading: NonNullable<ReferenceWhole['reading']> }[]>('picture', 'reading')
  return new Map(rows.map(({ picture, reading }) => [picture, reading]))
}
