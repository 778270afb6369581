import type { Draft } from '@idolon/core'
import type { Prompt, PromptSummary, Status } from '@idolon/contract'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import { firstWords } from '../drafts/store.ts'
import { bestProofId, proofsById } from '../proofs/proof-rows.ts'

type Db = Database | Knex.Transaction

export interface SummaryRow {
  id: string
  project_id: string
  title: string
  first_words: string
  draft_body: Draft
  status: Status
  tags: string[]
  note: string
  changed: Date
  versions: number
  proofs: number
  keepers: number
  best: string | null
}

/** Conditions for what belongs to a prompt `x`, or to one that was merged into it. */
export const OF_IT_OR_MERGED = 'prompt_id in (select x.id union all select m.id from prompts m where m.merged_into = x.id)'

/** Columns of a prompt's row; `x` is the prompt, `d` its draft. */
const summaryColumns = (proofs: string, keepers: string) => `
  x.id, x.project_id, x.title, d.first_words, d.body as draft_body, x.status, x.tags, x.note,
  greatest(x.changed_at, d.saved_at) as changed,
  (select count(*) from versions where prompt_id = x.id) as versions,
  ${proofs} as proofs, ${keepers} as keepers,
  ${bestProofId('p.prompt_id = x.id', 'x.best_proof_id')} as best`

export const SUMMARY_COLUMNS = summaryColumns(
  `(select count(*) from proofs where ${OF_IT_OR_MERGED} and state = 'stored' and deleted_at is null)`,
  `(select count(*) from proofs where ${OF_IT_OR_MERGED} and state = 'stored' and verdict = 'keep' and deleted_at is null)`,
)
/** The same where `s` is the prompt's row of the Shelf, which has counted already. */
export const SHELF_COLUMNS = summaryColumns('s.proofs', 's.keepers')

const EXCERPT = 280

export async function summariesOf(db: Db, rows: readonly SummaryRow[]): Promise<PromptSummary[]> {
  const best = await proofsById(db, rows.flatMap((row) => row.best ?? []))
  return rows.map((row) => {
    const { text } = row.draft_body
    return {
      id: row.id,
      projectId: row.project_id,
      title: row.title || row.first_words,
      named: row.title !== '',
      excerpt: text.length > EXCERPT ? `${text.slice(0, EXCERPT)}…` : text,
      status: row.status,
      tags: row.tags,
      note: row.note,
      changedAt: row.changed.toISOString(),
      versions: row.versions,
      proofs: row.proofs,
      keepers: row.keepers,
      bestProof: row.best === null ? null : (best.get(row.best) ?? null),
    }
  })
}

interface PromptRow extends SummaryRow {
  best_proof_id: string | null
  copied_from_prompt: string | null
  copied_from_version: number | null
  copied_title: string | null
  template: Prompt['template']
  merged_into: Prompt['mergedInto']
  deleted_at: Date | null
  revision: number
  saved_at: Date
  parent_version: number | null
}

export async function onePrompt(db: Db, id: string): Promise<Prompt | undefined> {
  const { rows } = await db.raw<{ rows: PromptRow[] }>(
    `select ${SUMMARY_COLUMNS}, x.best_proof_id, x.copied_from_prompt, x.copied_from_version,
       coalesce(nullif(o.title, ''), od.first_words) as copied_title,
       (select json_build_object('id', t.id, 'name', v.body->>'name', 'behind', greatest(x.template_version, x.template_left) < t.current)
        from templates t join template_versions v on v.template_id = t.id and v.number = t.current where t.id = x.template_id and t.deleted_at is null) as template,
       (select json_build_object('id', m.id, 'title', coalesce(nullif(m.title, ''), md.first_words)) from prompts m join drafts md on md.prompt_id = m.id where m.id = x.merged_into) as merged_into,
       x.deleted_at, d.revision, d.saved_at, d.parent_version
     from prompts x join drafts d on d.prompt_id = x.id
     left join prompts o on o.id = x.copied_from_prompt left join drafts od on od.prompt_id = o.id
     where x.id = ?`,
    [id],
  )
  const [row] = rows
  if (!row) return undefined
  const [summary] = await summariesOf(db, [row])
  if (!summary) return undefined
  return {
    ...summary,
    bestProofId: row.best_proof_id,
    copiedFrom:
      row.copied_from_prompt === null
        ? null
        : {
            promptId: row.copied_from_prompt,
            title: row.copied_title ?? '',
            version: row.copied_from_version,
          },
    template: row.template,
    mergedInto: row.merged_into,
    deletedAt: row.deleted_at?.toISOString() ?? null,
    draft: row.draft_body,
    revision: row.revision,
    savedAt: row.saved_at.toISOString(),
    parent: row.parent_version,
  }
}

export interface NewPrompt {
  id: string
  projectId: string
  title: string
  draft: Draft
  tags: string[]
  copiedFrom: { promptId: string; version: number | null } | null
  createdBy: string
}

export async function insertPrompt(trx: Knex.Transaction, prompt: NewPrompt): Promise<void> {
  await trx('prompts').insert({
    id: prompt.id,
    project_id: prompt.projectId,
    title: prompt.title,
    tags: prompt.tags,
    copied_from_prompt: prompt.copiedFrom?.promptId ?? null,
    copied_from_version: prompt.copiedFrom?.version ?? null,
    created_by: prompt.createdBy,
  })
  await trx('drafts').insert({ prompt_id: prompt.id, body: JSON.stringify(prompt.draft), first_words: firstWords(prompt.draft) })
}

export interface PromptChange {
  title?: string
  status?: Status
  note?: string
  tags?: string[]
  bestProofId?: string | null
}

export async function updatePrompt(trx: Knex.Transaction, id: string, change: PromptChange): Promise<void> {
  const { bestProofId: best, ...rest } = change
  await trx('prompts')
    .where({ id })
    .update({ ...rest, ...(best === undefined ? {} : { best_proof_id: best }), changed_at: trx.fn.now() })
}

export const setDeleted = async (trx: Knex.Transaction, id: string, deleted: boolean): Promise<void> => {
  await trx('prompts').where({ id }).update({ deleted_at: deleted ? trx.fn.now() : null })
}

export const projectState = (db: Db, id: string): Promise<{ archived_at: Date | null } | undefined> =>
  db('projects').where({ id }).first<{ archived_at: Date | null } | undefined>('archived_at')
