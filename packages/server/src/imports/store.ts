import type { Import } from '@idolon/contract'
import type { Encoding, Mapping } from '@idolon/core'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'

type Db = Database | Knex.Transaction

/** What the writer asked for. */
export interface AskedImport {
  project: string | null
  duplicates: boolean
  tag: string
}

export interface ImportRow {
  id: string
  name: string
  format: Import['format']
  encoding: Encoding | null
  state: Import['state']
  columns: Import['columns']
  rows: number
  mapping: Mapping
  asked: AskedImport | null
  progress: number
  made: number | null
  problem: string | null
  came_by: string
  at: Date
}

export const importOf = ({ id, name, format, state, columns, rows, mapping, asked, progress, made, problem, at }: ImportRow): Import => ({ id, name, format, state, columns, rows, mapping, progress, made, tag: asked?.tag ?? '', problem, at: at.toISOString() })

const COLUMNS = ['id', 'name', 'format', 'encoding', 'state', 'columns', 'rows', 'mapping', 'asked', 'progress', 'made', 'problem', 'came_by', 'at'] as const
export const importRow = (db: Db, id: string): Promise<ImportRow | undefined> => db('imports').where({ id }).first<ImportRow | undefined>(...COLUMNS)

/** The bytes of a file that came in, piece by piece. */
export async function* partsOf(db: Db, id: string): AsyncGenerator<Buffer> {
  for (let number = 0; ; number++) {
    const part = await db('import_parts').where({ import_id: id, number }).first<{ bytes: Buffer } | undefined>('bytes')
    if (!part) return
    yield part.bytes
  }
}

/** Files that came in two days ago and that nobody imported, or that were imported. */
export const forgetOldImports = (db: Database): Promise<number> => db('imports').whereNot({ state: 'asked' }).where('at', '<', db.raw(`now() - interval '2 days'`)).delete()
