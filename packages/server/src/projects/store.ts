import type { Amount, LedgerEntry, Project } from '@idolon/contract'
import type { Database } from '../database/connect.ts'

interface ProjectRow {
  id: string
  name: string
  created_at: Date
  archived_at: Date | null
  prompts: number
  proofs: number
  keepers: number
  spent: Amount[] | null
  currency: string
  rates: Project['rates']
  ceiling: Project['ceiling']
}

const SELECT = `
select x.id, x.name, x.created_at, x.archived_at, x.currency, x.rates, x.ceiling,
  (select count(*) from prompts where project_id = x.id and deleted_at is null) as prompts,
  coalesce(n.proofs, 0) as proofs, coalesce(n.keepers, 0) as keepers,
  (select json_agg(s) from (select unit, sum(amount)::int as amount from ledger where project_id = x.id group by unit order by unit) s) as spent
from projects x
left join (
  select prompts.project_id, count(*) as proofs, count(*) filter (where verdict = 'keep') as keepers
  from proofs join prompts on prompts.id = proofs.prompt_id
  where state = 'stored' and proofs.deleted_at is null and prompts.deleted_at is null group by 1
) n on n.project_id = x.id`

const projectOf = (row: ProjectRow): Project => ({
  id: row.id,
  name: row.name,
  createdAt: row.created_at.toISOString(),
  archivedAt: row.archived_at?.toISOString() ?? null,
  prompts: row.prompts,
  proofs: row.proofs,
  keepers: row.keepers,
  spent: row.spent ?? [],
  currency: row.currency,
  rates: row.rates,
  ceiling: row.ceiling,
})

export async function allProjects(db: Database): Promise<Project[]> {
  const { rows } = await db.raw<{ rows: ProjectRow[] }>(`${SELECT} order by x.archived_at is not null, lower(x.name)`)
  return rows.map(projectOf)
}

export async function oneProject(db: Database, id: string): Promise<Project | undefined> {
  const { rows } = await db.raw<{ rows: ProjectRow[] }>(`${SELECT} where x.id = ?`, [id])
  return rows[0] && projectOf(rows[0])
}

export const setMoney = async (db: Database, id: string, { currency, rates, ceiling }: Pick<Project, 'currency' | 'rates' | 'ceiling'>): Promise<void> => {
  await db('projects').where({ id }).update({ currency, rates: JSON.stringify(rates), ceiling: ceiling && JSON.stringify(ceiling) })
}

export const insertProject = async (db: Database, id: string, name: string): Promise<void> => {
  await db('projects').insert({ id, name })
}

export const updateProject = async (db: Database, id: string, change: { name?: string; archived?: boolean }): Promise<void> => {
  await db('projects')
    .where({ id })
    .update({
      ...(change.name === undefined ? {} : { name: change.name }),
      ...(change.archived === undefined ? {} : { archived_at: change.archived ? db.fn.now() : null }),
    })
}

export async function ledgerOf(db: Database, projectId: string): Promise<{ totals: Amount[]; entries: LedgerEntry[] }> {
  const totals = await db('ledger')
    .where({ project_id: projectId })
    .groupBy('unit')
    .orderBy('unit')
    .select<Amount[]>('unit', db.raw('sum(amount)::int as amount'))
  const rows = await db('ledger')
    .leftJoin('prompts', 'prompts.id', 'ledger.prompt_id')
    .leftJoin('drafts', 'drafts.prompt_id', 'ledger.prompt_id')
    .where('ledger.project_id', projectId)
    .orderBy('ledger.id', 'desc')
    .limit(200)
    .select<(Omit<LedgerEntry, 'at'> & { at: Date })[]>(
      'ledger.id',
      'ledger.at',
      'ledger.kind',
      'ledger.amount',
      'ledger.unit',
      'ledger.prompt_id as promptId',
      db.raw(`coalesce(nullif(prompts.title, ''), drafts.first_words, '') as "promptTitle"`),
      'ledger.engine',
      'ledger.note',
    )
  return { totals, entries: rows.map((row) => ({ ...row, at: row.at.toISOString() })) }
}
