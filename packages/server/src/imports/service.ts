import type { Import, ImportPreview } from '@idolon/contract'
import { type Encoding, type FoundPrompts, type Mapping, proposeMapping, UnreadableFile } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import { UnsafeArchive } from '../archive/zip.ts'
import { previewBundle } from '../bundles/preview-bundle.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { projectState } from '../prompts/store.ts'
import type { SearchIndex } from '../shelf/search-index.ts'
import { lookThrough, previewOf } from './look-through.ts'
import { type Held, holds } from './read-file.ts'
import { type AskedImport, importOf, importRow, type ImportRow, partsOf } from './store.ts'

const PART = 1_000_000
/** Of one file that comes in. */
const MOST_BYTES = 300_000_000

/** Says in the API's way what is wrong with a file. */
export function asProblem(error: unknown): unknown {
  if (error instanceof UnreadableFile) return new ProblemError('unreadable-file', `${/^(Line|“|prompt)/u.test(error.message) ? error.message : `The file cannot be read: ${error.message}`} Nothing was imported.`)
  if (error instanceof UnsafeArchive) return new ProblemError('unreadable-file', error.message)
  return error
}

const SAMPLE = 120
/** Columns with what stands first in each. */
const sampled = ({ columns, rows }: FoundPrompts): Import['columns'] => columns.map((name, i) => ({ name, sample: (rows.find(({ cells }) => cells[i]?.trim())?.cells[i] ?? '').slice(0, SAMPLE) }))

/** Files of prompts that come in: read first, shown, and then imported or deleted. */
export class Imports {
  constructor(
    private readonly db: Database,
    private readonly index: SearchIndex,
  ) {}

  /** Takes a file in as it comes, and reads what it is. A file that cannot be read leaves nothing behind. */
  async take(actor: Actor, name: string, body: AsyncIterable<Buffer>, encoding: Encoding | null): Promise<Import> {
    const id = randomUUID()
    await this.db('imports').insert({ id, name, encoding, format: 'text', columns: '[]', rows: 0, mapping: '{}', came_by: actor.id })
    try {
      await this.#keep(id, body)
      const held = await this.#read(id, name, encoding)
      const is = 'bundle' in held ? { format: 'bundle', columns: [], rows: held.bundle.prompts.length, mapping: {} } : { format: held.found.format, columns: sampled(held.found), rows: held.found.rows.length, mapping: proposeMapping(held.found) }
      await this.db('imports').where({ id }).update({ ...is, columns: JSON.stringify(is.columns), mapping: JSON.stringify(is.mapping) })
    } catch (error) {
      await this.db('imports').where({ id }).delete()
      throw asProblem(error)
    }
    return importOf((await importRow(this.db, id))!)
  }

  async #keep(id: string, body: AsyncIterable<Buffer>): Promise<void> {
    let [pieces, held, total, number] = [[] as Buffer[], 0, 0, 0]
    const write = async () => {
      if (held > 0) await this.db('import_parts').insert({ import_id: id, number: number++, bytes: Buffer.concat(pieces) })
      pieces = []
      held = 0
    }
    for await (const piece of body) {
      total += piece.length
      if (total > MOST_BYTES) throw new UnreadableFile(`it is larger than ${MOST_BYTES / 1e6} MB. Divide it.`)
      pieces.push(piece)
      held += piece.length
      if (held >= PART) await write()
    }
    await write()
  }

  #read = (id: string, name: string, encoding: Encoding | null): Promise<Held> => holds(name, () => partsOf(this.db, id), encoding ?? undefined)

  async read(id: string): Promise<Import> {
    return importOf(await this.#row(id))
  }

  async #row(id: string): Promise<ImportRow> {
    const row = await importRow(this.db, id)
    if (!row) throw notFound('file that came in')
    return row
  }

  async preview(id: string, mapping: Mapping): Promise<ImportPreview> {
    const { name, encoding } = await this.#row(id)
    await this.index.refresh()
    try {
      const held = await this.#read(id, name, encoding)
      return 'bundle' in held ? await previewBundle(this.db, held.bundle) : await previewOf(lookThrough(this.db, held.found, mapping))
    } catch (error) {
      throw asProblem(error)
    }
  }

  /** Asks for what is in a file to be imported; a job does it, all or nothing. */
  async start(_actor: Actor, id: string, { mapping, ...asked }: AskedImport & { mapping: Mapping }): Promise<Import> {
    const row = await this.#row(id)
    if (row.state === 'asked' || row.state === 'done') throw new ProblemError('not-now', row.state === 'done' ? 'What is in this file was imported already. Choose the file again to import it once more.' : 'This file is being imported.')
    if (asked.project) {
      const state = await projectState(this.db, asked.project)
      if (!state) throw notFound('project')
      if (state.archived_at) throw new ProblemError('project-archived', 'That project is archived. Nothing was imported; restore it from the archive first, or choose another.')
    }
    const tag = asked.tag.replace(/[,\n]+/gu, ' ').trim()
    await this.db.transaction(async (trx) => {
      await trx('imports').where({ id }).update({ state: 'asked', mapping: JSON.stringify(mapping), asked: JSON.stringify({ ...asked, tag }), progress: 0, problem: null, lease_until: null })
      await recordEvent(trx, { kind: 'import', importId: id })
    })
    return this.read(id)
  }

  async remove(_actor: Actor, id: string): Promise<void> {
    if ((await this.#row(id)).state === 'asked') throw new ProblemError('not-now', 'This file is being imported just now. Wait until it is done.')
    await this.db('imports').where({ id }).delete()
  }
}
