import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'

/** Small things whose whole row goes into the bin: their table, and what a row is called there. */
export const BINNED = {
  phrase: { table: 'kept_phrases', name: 'text' },
  term: { table: 'terms', name: 'term' },
  engine: { table: 'engine_profiles', name: 'id' },
  model: { table: 'model_profiles', name: 'id' },
  'writing-style': { table: 'writing_styles', name: 'name' },
  reference: { table: 'reference_pictures', name: 'name' },
} as const
export type BinnedKind = keyof typeof BINNED

/** Deletes the rows that match and keeps them in the bin; the rows that went. */
export async function intoBin(trx: Knex.Transaction, kind: BinnedKind, which: Record<string, string>, actor: string): Promise<Record<string, unknown>[]> {
  const { table, name } = BINNED[kind]
  const gone = await trx(table).where(which).delete().returning<Record<string, unknown>[]>('*')
  if (gone.length) {
    const rows = gone.map((row) => ({ id: randomUUID(), kind, project_id: row['project_id'] ?? null, name: kind === 'engine' ? `${String(row['id'])} ${String(row['revision'])}` : String(row[name]), row: JSON.stringify(row), deleted_by: actor }))
    await trx('bin').insert(rows)
  }
  return gone
}
