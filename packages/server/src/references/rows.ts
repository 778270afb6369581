import type { Reference, ReferenceWhole, ReadingStage } from '@idolon/contract'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'

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

const of = (db: Database | Knex.Transaction, more: string[] = []) =>
  db('reference_pictures as r')
    .join('pictures as p', 'p.sha256', 'r.picture')
    .leftJoin('picture_readings as g', 'g.picture', 'r.picture')
    .select('r.id', 'r.project_id', 'r.picture', 'p.width', 'p.height', 'r.proof_id', 'r.name', 'r.source', 'r.rights', 'r.note', 'r.added_at', 'g.stage', 'g.problem', ...more)

export async function listReferences(db: Database, projectId: string | undefined): Promise<Reference[]> {
  const rows = (await of(db).where(projectId ? { 'r.project_id': projectId } : {}).orderBy('r.added_at', 'desc').limit(2_000)) as Row[]
  return rows.map(referenceOf)
}

export async function readReference(db: Database | Knex.Transaction, id: string): Promise<ReferenceWhole | undefined> {
  const [row] = (await of(db, ['r.metadata', 'g.facts', 'g.reading']).where('r.id', id)) as WholeRow[]
  return row && { reference: referenceOf(row), facts: row.facts, reading: row.reading, metadata: row.metadata }
}

/** The reference that a project has of a picture already. */
export async function knownReference(db: Database | Knex.Transaction, projectId: string, picture: string): Promise<Reference | undefined> {
  const [row] = (await of(db).where({ 'r.project_id': projectId, 'r.picture': picture })) as Row[]
  return row && referenceOf(row)
}
