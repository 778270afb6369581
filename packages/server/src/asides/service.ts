import type { Aside } from '@idolon/contract'
import type { Draft, Edit } from '@idolon/core'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound } from '../http/problem.ts'

interface Row {
  id: string
  prompt_id: string
  says: string
  base: Draft
  edit: Edit
  put_at: Date
}

/** Changes put aside with a prompt, to be tried another time. */
export class Asides {
  constructor(private readonly db: Database) {}

  async list(promptId: string): Promise<Aside[]> {
    const rows = await this.db('asides').where({ prompt_id: promptId }).orderBy('put_at', 'desc').select<Row[]>('*')
    return rows.map(({ id, prompt_id, says, base, edit, put_at }) => ({ id, promptId: prompt_id, says, base, edit, putAt: put_at.toISOString() }))
  }

  async put(_actor: Actor, promptId: string, { base, asides }: { base: Draft; asides: { id: string; says: string; edit: Edit }[] }): Promise<Aside[]> {
    await this.db.transaction(async (trx) => {
      if (!(await trx('prompts').where({ id: promptId }).first('id'))) throw notFound('prompt')
      const rows = asides.map(({ id, says, edit }) => ({ id, prompt_id: promptId, says: says.replaceAll('\u0000', '�'), base: JSON.stringify(base), edit: JSON.stringify(edit) }))
      await trx('asides').insert(rows).onConflict('id').ignore()
      await recordEvent(trx, { kind: 'asides', promptId })
    })
    return this.list(promptId)
  }

  async drop(_actor: Actor, id: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      const [gone] = await trx('asides').where({ id }).delete().returning<{ prompt_id: string }[]>('prompt_id')
      if (!gone) throw notFound('change put aside')
      await recordEvent(trx, { kind: 'asides', promptId: gone.prompt_id })
    })
  }
}
