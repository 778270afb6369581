import type { MadeDraft, Template, TemplateVersion } from '@idolon/contract'
import type { SlotValues, TemplateBody } from '@idolon/core'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'

type Db = Database | Knex.Transaction

interface TemplateRow {
  id: string
  project_id: string | null
  shipped: boolean
  current: number
  body: TemplateBody
  drafts: number
  behind: number
  keepers: number
  changed_at: Date
}

/** Templates that are not deleted: those of a project and for all, or one; the writer's first. */
export async function templatesIn(db: Db, which: { project?: string | undefined; id?: string }): Promise<Template[]> {
  const conditions = ['t.deleted_at is null']
  const bindings: string[] = []
  if (which.id) bindings.push((conditions.push('t.id = ?'), which.id))
  if (which.project) bindings.push((conditions.push('(t.project_id is null or t.project_id = ?)'), which.project))
  const { rows } = await db.raw<{ rows: TemplateRow[] }>(
    `select t.id, t.project_id, t.shipped, t.current, v.body, v.made_at as changed_at,
       count(x.id)::int as drafts, (count(*) filter (where greatest(x.template_version, x.template_left) < t.current))::int as behind,
       coalesce(sum((select count(*) from proofs p where p.prompt_id = x.id and p.verdict = 'keep' and p.deleted_at is null)), 0)::int as keepers
     from templates t join template_versions v on v.template_id = t.id and v.number = t.current
     left join prompts x on x.template_id = t.id and x.deleted_at is null
     where ${conditions.join(' and ')} group by t.id, v.template_id, v.number order by t.shipped, t.place, v.made_at desc`,
    bindings,
  )
  return rows.map(({ project_id, current, changed_at, ...row }) => ({ ...row, projectId: project_id, version: current, changedAt: changed_at.toISOString() }))
}

export async function versionsOfTemplate(db: Db, template: string): Promise<TemplateVersion[]> {
  const rows = await db('template_versions').where({ template_id: template }).orderBy('number', 'desc').select<{ number: number; body: TemplateBody; why: string; made_at: Date }[]>('number', 'body', 'why', 'made_at')
  return rows.map(({ made_at, ...row }) => ({ ...row, madeAt: made_at.toISOString() }))
}

/** Most prompts of one template that are listed. */
const MOST = 1_000
export async function madeFrom(db: Db, template: string): Promise<MadeDraft[]> {
  const { rows } = await db.raw<{ rows: { id: string; project_id: string; title: string; template_version: number; template_values: SlotValues; proofs: number; keepers: number }[] }>(
    `select x.id, x.project_id, coalesce(nullif(x.title, ''), d.first_words) as title, x.template_version, x.template_values,
       (select count(*)::int from proofs p where p.prompt_id = x.id and p.state = 'stored' and p.deleted_at is null) as proofs,
       (select count(*)::int from proofs p where p.prompt_id = x.id and p.verdict = 'keep' and p.deleted_at is null) as keepers
     from prompts x join drafts d on d.prompt_id = x.id where x.template_id = ? and x.deleted_at is null order by x.created_at desc, x.id limit ?`,
    [template, MOST],
  )
  return rows.map((row) => ({ promptId: row.id, projectId: row.project_id, title: row.title, version: row.template_version, values: row.template_values, proofs: row.proofs, keepers: row.keepers }))
}

/** Adds the next version; its number. `shippedAs` is set for one that ships. */
export async function addTemplateVersion(trx: Knex.Transaction, template: string, { body, why, actor, shippedAs }: { body: TemplateBody; why: string; actor: string; shippedAs?: string }): Promise<number> {
  const last = await trx('template_versions').where({ template_id: template }).max<{ max: number | null }>('number as max').first()
  const number = (last?.max ?? 0) + 1
  await trx('template_versions').insert({ template_id: template, number, body: JSON.stringify(body), why, made_by: actor, ...(shippedAs === undefined ? {} : { shipped_as: shippedAs }) })
  return number
}
