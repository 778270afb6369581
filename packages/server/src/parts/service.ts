import type { AnswerOf, Part, readPart } from '@idolon/contract'
import { type PartBody, partProblems } from '@idolon/core'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { demandOpenProject } from '../projects/open-project.ts'
import { projectState } from '../prompts/store.ts'
import { partsIn, seriesOfPart, sheetsOfPart, versionsOfPart } from './store.ts'

/** Characters, places and styles of projects. */
export class Parts {
  constructor(private readonly db: Database) {}

  async list(project: string): Promise<Part[]> {
    if (!(await projectState(this.db, project))) throw notFound('project')
    return partsIn(this.db, { project })
  }

  async read(id: string): Promise<AnswerOf<typeof readPart>> {
    const [[part], versions, series, sheets] = await Promise.all([partsIn(this.db, { id }), versionsOfPart(this.db, id), seriesOfPart(this.db, id), sheetsOfPart(this.db, id)])
    if (!part) throw notFound('character, place or style')
    return { part, versions, series, sheets }
  }

  async add(actor: Actor, { id, projectId, body, why }: { id: string; projectId: string; body: PartBody; why: string }): Promise<Part> {
    demandSound(body)
    await demandOpenProject(this.db, projectId)
    await this.db.transaction(async (trx) => {
      const put = await trx('parts').insert({ id, project_id: projectId, kind: body.kind, current: 1, made_by: actor.id }).onConflict('id').ignore().returning<unknown[]>('id')
      if (put.length) await trx('part_versions').insert({ part_id: id, number: 1, body: JSON.stringify(body), why, made_by: actor.id })
      await recordEvent(trx, { kind: 'parts', projectId })
    })
    return (await this.read(id)).part
  }

  async saveVersion(actor: Actor, id: string, { on, body, why }: { on: number; body: PartBody; why: string }): Promise<Part> {
    demandSound(body)
    await this.db.transaction(async (trx) => {
      const row = await trx('parts').where({ id }).whereNull('deleted_at').forUpdate().first<{ current: number; kind: string; project_id: string } | undefined>('current', 'kind', 'project_id')
      if (!row) throw notFound('character, place or style')
      await demandOpenProject(trx, row.project_id)
      if (row.current !== on) throw new ProblemError('draft-moved', `“${body.name}” was changed elsewhere meanwhile and has version ${row.current}. What you wrote is still here: copy it, read the newest, and put it in.`)
      if (row.kind !== body.kind) throw new ProblemError('invalid', `A ${row.kind} stays a ${row.kind}. Make a new ${body.kind} instead; nothing was changed.`)
      await trx('part_versions').insert({ part_id: id, number: on + 1, body: JSON.stringify(body), why, made_by: actor.id })
      await trx('parts').where({ id }).update({ current: on + 1 })
      await recordEvent(trx, { kind: 'parts', projectId: row.project_id })
    })
    return (await this.read(id)).part
  }

  async delete(_actor: Actor, id: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      const [row] = await trx('parts').where({ id }).whereNull('deleted_at').update({ deleted_at: trx.fn.now() }).returning<{ project_id: string }[]>('project_id')
      if (!row) throw notFound('character, place or style')
      await recordEvent(trx, { kind: 'parts', projectId: row.project_id })
      await recordEvent(trx, { kind: 'bin' })
    })
  }
}

function demandSound(body: PartBody): void {
  const [problem, ...more] = partProblems(body)
  if (problem) throw new ProblemError('invalid', `${problem}${more.length ? ` And ${more.length} more like it.` : ''} Nothing was changed; what you wrote is still here.`)
}
