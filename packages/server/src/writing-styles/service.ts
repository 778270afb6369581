import type { WritingStyle } from '@idolon/contract'
import type { WritingStyleBody } from '@idolon/core'
import type { Actor } from '../actor.ts'
import { intoBin } from '../bin/deleted-rows.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { projectState } from '../prompts/store.ts'

interface Row {
  id: string
  project_id: string | null
  body: WritingStyleBody
  saved_at: Date
}
const styleOf = ({ id, project_id, body, saved_at }: Row): WritingStyle => ({ id, projectId: project_id, body, savedAt: saved_at.toISOString() })

/** Ways of writing prompts. */
export class WritingStyles {
  constructor(private readonly db: Database) {}

  async list(project?: string): Promise<WritingStyle[]> {
    const query = this.db('writing_styles').orderBy('saved_at', 'desc').limit(500)
    if (project) void query.where((own) => void own.whereNull('project_id').orWhere('project_id', project))
    return (await query.select<Row[]>('id', 'project_id', 'body', 'saved_at')).map(styleOf)
  }

  async save(actor: Actor, id: string, { projectId, body }: { projectId: string | null; body: WritingStyleBody }): Promise<WritingStyle> {
    if (projectId && !(await projectState(this.db, projectId))) throw notFound('project')
    if (body.words.low > body.words.middle || body.words.middle > body.words.high) throw new ProblemError('invalid', 'The lengths of a writing style go up: shortest, usual, longest. Nothing was changed.')
    if (new Set(body.facets.map(({ facet }) => facet)).size < body.facets.length) throw new ProblemError('invalid', 'A facet stands twice in the order of this writing style. Nothing was changed.')
    await this.db.transaction(async (trx) => {
      await trx('writing_styles')
        .insert({ id, project_id: projectId, name: body.name, body: JSON.stringify(body), saved_by: actor.id })
        .onConflict('id')
        .merge({ project_id: projectId, name: body.name, body: JSON.stringify(body), saved_by: actor.id, saved_at: trx.fn.now() })
      await recordEvent(trx, { kind: 'writing-styles' })
    })
    return styleOf(await this.db('writing_styles').where({ id }).first<Row>('id', 'project_id', 'body', 'saved_at'))
  }

  async delete(actor: Actor, id: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      if ((await intoBin(trx, 'writing-style', { id }, actor.id)).length === 0) throw notFound('writing style')
      await recordEvent(trx, { kind: 'writing-styles' })
      await recordEvent(trx, { kind: 'bin' })
    })
  }
}
