import type { Knex } from 'knex'
import { recordEvent } from '../events/events.ts'
import { notFound } from '../http/problem.ts'

const TABLES = { part: 'parts', series: 'series', scene: 'scenes' } as const

/** Takes a part, a series or a scene out of the bin, with the prompts that went there with it. */
export async function putSeriesBack(trx: Knex.Transaction, kind: keyof typeof TABLES, id: string): Promise<void> {
  const [row] = await trx(TABLES[kind]).where({ id }).whereNotNull('deleted_at').update({ deleted_at: null }).returning<{ project_id?: string; series_id?: string; prompt_id?: string }[]>('*')
  if (!row) throw notFound(`${kind} in the bin`)
  const back = (prompts: Knex.QueryBuilder | string[]) => trx('prompts').whereNull('removed_at').whereIn('id', prompts as never).update({ deleted_at: null })
  if (kind === 'scene') await back([row.prompt_id!])
  if (kind === 'series') await back(trx('scenes').where({ series_id: id }).whereNull('deleted_at').select('prompt_id'))
  await recordEvent(trx, kind === 'part' ? { kind: 'parts', projectId: row.project_id! } : { kind: 'series', seriesId: row.series_id ?? id })
  await recordEvent(trx, { kind: 'prompt' })
  await recordEvent(trx, { kind: 'bin' })
}
