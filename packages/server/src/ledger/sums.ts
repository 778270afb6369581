import type { LedgerBy, LedgerSum } from '@idolon/contract'
import type { Database } from '../database/connect.ts'

/** By what is summed: the key and the label of a row, as SQL over the ledger `l`, its prompt `x`, draft `d`, project `j`, proof `p` and turn `t`. */
const GROUPS: Record<LedgerBy, { key: string; label: string }> = {
  day: { key: `to_char(l.at at time zone 'UTC', 'YYYY-MM-DD')`, label: `to_char(l.at at time zone 'UTC', 'YYYY-MM-DD')` },
  project: { key: 'l.project_id::text', label: 'j.name' },
  engine: { key: `coalesce((p.engine->>'id') || ' ' || (p.engine->>'revision'), 'model ' || (t.model->>'id'))`, label: `coalesce((p.engine->>'name') || ' ' || (p.engine->>'revision'), t.model->>'name')` },
  prompt: { key: `coalesce(l.prompt_id::text, '')`, label: `coalesce(nullif(x.title, ''), d.first_words, 'No prompt: ideas and cases of helpers')` },
}

export async function ledgerSums(db: Database, by: LedgerBy, projectId: string | undefined): Promise<LedgerSum[]> {
  const { key, label } = GROUPS[by]
  const { rows } = await db.raw<{ rows: LedgerSum[] }>(
    `select ${key} as key, min(${label}) as label, l.unit, sum(l.amount)::int as amount,
       count(distinct p.id) filter (where p.state = 'stored')::int as proofs,
       count(distinct p.id) filter (where p.state = 'stored' and p.verdict = 'keep')::int as keepers
     from ledger l left join proofs p on p.id = l.proof_id left join turns t on t.id = l.turn_id left join prompts x on x.id = l.prompt_id left join drafts d on d.prompt_id = x.id join projects j on j.id = l.project_id
     ${projectId ? 'where l.project_id = ?' : ''} group by 1, l.unit order by ${by === 'day' ? '1' : 'sum(l.amount) desc, 2'}`,
    projectId ? [projectId] : [],
  )
  return rows
}

export interface LedgerLine {
  at: Date
  project: string
  prompt: string
  engine: string
  revision: string
  kind: string
  amount: number
  unit: string
  note: string
  proof: string
  turn: string
  verdict: string | null
  price: number | null
  currency: string
}

/** Every entry of the ledger, the oldest first. */
export async function ledgerLines(db: Database, projectId: string | undefined): Promise<LedgerLine[]> {
  const { rows } = await db.raw<{ rows: LedgerLine[] }>(
    `select l.at, j.name as project, coalesce(nullif(x.title, ''), d.first_words, '') as prompt, l.engine, coalesce(p.engine->>'revision', '') as revision, l.kind, l.amount, l.unit, l.note, coalesce(l.proof_id::text, '') as proof, coalesce(l.turn_id::text, '') as turn, p.verdict,
       (select (r->>'price')::float from jsonb_array_elements(j.rates) r where r->>'unit' = l.unit limit 1) as price, j.currency
     from ledger l left join proofs p on p.id = l.proof_id left join prompts x on x.id = l.prompt_id left join drafts d on d.prompt_id = x.id join projects j on j.id = l.project_id
     ${projectId ? 'where l.project_id = ?' : ''} order by l.id`,
    projectId ? [projectId] : [],
  )
  return rows
}
