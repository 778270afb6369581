import type { BinEntry, BinKind, ChangeEvent } from '@idolon/contract'
import { emptyDraft, versionBodyOf } from '@idolon/core'
import type { Knex } from 'knex'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { BINNED, type BinnedKind } from './deleted-rows.ts'
import { putSeriesBack } from './put-series-back.ts'

/** Nothing is removed from the bin before it has lain there so long, and nothing ever by itself. */
const DAYS = 30
const OLD = `now() - interval '${DAYS} days'`
const MOST = 1_000

interface Row {
  kind: BinKind
  id: string
  name: string
  project: string | null
  deleted_at: Date
  picture: string | null
  removable: boolean
}

/** Everything that was deleted, with the way back. */
export class Bin {
  constructor(private readonly db: Database) {}

  async list(): Promise<BinEntry[]> {
    const { rows } = await this.db.raw<{ rows: Row[] }>(
      `select *, deleted_at < ${OLD} as removable from (
         select 'prompt' as kind, x.id, coalesce(nullif(x.title, ''), d.first_words) as name, j.name as project, x.deleted_at,
           (select p.picture from proofs p where p.prompt_id = x.id and p.state = 'stored' and p.deleted_at is null order by (p.id = x.best_proof_id) is true desc, (p.verdict = 'keep') is true desc, p.stored_at desc limit 1) as picture
         from prompts x join drafts d on d.prompt_id = x.id join projects j on j.id = x.project_id where x.deleted_at is not null and x.removed_at is null
           and not exists (select 1 from scenes c join series z on z.id = c.series_id where c.prompt_id = x.id and (c.deleted_at is not null or z.deleted_at is not null))
         union all
         select 'proof', p.id, coalesce(nullif(x.title, ''), d.first_words) || ', version ' || v.number || ', ' || (p.engine->>'name') || ' ' || (p.engine->>'revision'), j.name, p.deleted_at, p.picture
         from proofs p join prompts x on x.id = p.prompt_id join drafts d on d.prompt_id = x.id join versions v on v.id = p.version_id join projects j on j.id = x.project_id
         where p.deleted_at is not null and x.deleted_at is null and p.picture is not null
         union all
         select 'helper', h.id::uuid, v.body->>'name', null, h.deleted_at, null from helpers h join helper_versions v on v.helper_id = h.id and v.number = h.current where h.deleted_at is not null
         union all
         select 'template', t.id, v.body->>'name', j.name, t.deleted_at, null from templates t join template_versions v on v.template_id = t.id and v.number = t.current left join projects j on j.id = t.project_id where t.deleted_at is not null
         union all
         select 'part', t.id, v.body->>'name', j.name, t.deleted_at, null from parts t join part_versions v on v.part_id = t.id and v.number = t.current join projects j on j.id = t.project_id where t.deleted_at is not null
         union all
         select 'series', s.id, s.name, j.name, s.deleted_at, null from series s join projects j on j.id = s.project_id where s.deleted_at is not null
         union all
         select 'scene', c.id, s.name || ': ' || coalesce(nullif(c.body->>'beat', ''), 'a scene'), j.name, c.deleted_at, (select p.picture from proofs p where p.id = c.chosen) from scenes c join series s on s.id = c.series_id join projects j on j.id = s.project_id where c.deleted_at is not null and s.deleted_at is null
         union all
         select b.kind, b.id, b.name, j.name, b.deleted_at, case when b.kind = 'reference' then b.row->>'picture' end from bin b left join projects j on j.id = b.project_id
       ) t order by deleted_at desc limit ${MOST}`,
    )
    return rows.map(({ deleted_at, ...row }) => ({ ...row, deletedAt: deleted_at.toISOString() }))
  }

  async restoreFromBin(_actor: Actor, kind: BinKind, id: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      if (kind === 'prompt') {
        const [row] = await trx('prompts').where({ id }).whereNotNull('deleted_at').whereNull('removed_at').update({ deleted_at: null }).returning<{ project_id: string }[]>('project_id')
        if (!row) throw notFound('prompt in the bin')
        await this.#tell(trx, { kind: 'prompt', promptId: id, projectId: row.project_id })
      } else if (kind === 'proof') {
        const [row] = await trx('proofs').where({ id }).whereNotNull('deleted_at').whereNotNull('picture').update({ deleted_at: null }).returning<{ prompt_id: string; run_id: string }[]>(['prompt_id', 'run_id'])
        if (!row) throw notFound('proof in the bin')
        await trx('prompts').where({ id: row.prompt_id }).update({ ranks_stale: true })
        await this.#tell(trx, { kind: 'run', promptId: row.prompt_id, runId: row.run_id })
      } else if (kind === 'template') {
        const back = await trx('templates').where({ id }).whereNotNull('deleted_at').update({ deleted_at: null })
        if (!back) throw notFound('template in the bin')
        await this.#tell(trx, { kind: 'templates' })
      } else if (kind === 'part' || kind === 'series' || kind === 'scene') await putSeriesBack(trx, kind, id)
      else if (kind === 'helper') {
        const back = await trx('helpers').where({ id }).whereNotNull('deleted_at').update({ deleted_at: null })
        if (!back) throw notFound('helper in the bin')
        await this.#tell(trx, { kind: 'helpers' })
      } else await this.#putRowBack(trx, kind, id)
    })
  }

  async #putRowBack(trx: Knex.Transaction, kind: BinnedKind, id: string): Promise<void> {
    const [entry] = await trx('bin').where({ id, kind }).delete().returning<{ row: Record<string, unknown>; project_id: string | null; name: string }[]>('*')
    if (!entry) throw notFound(`${kind} in the bin`)
    const json = Object.fromEntries(Object.entries(entry.row).map(([key, value]) => [key, value !== null && typeof value === 'object' ? JSON.stringify(value) : value]))
    const put = await trx(BINNED[kind].table).insert(json).onConflict().ignore().returning<unknown[]>('*')
    if (put.length === 0) throw new ProblemError('name-taken', `There is a ${kind} “${entry.name}” again by now. This one stays in the bin.`)
    await this.#tell(trx, toldOf(kind, entry))
  }

  /** The words and pictures go; what was spent on them stays in the ledger, and so does the bare row it names. */
  async deleteForGood(_actor: Actor, kind: BinKind, id: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      const old = (column: string) => trx.raw(`${column} < ${OLD}`)
      let removed: number
      if (kind === 'prompt') {
        removed = await trx('prompts').where({ id }).whereNull('removed_at').where(old('deleted_at')).update({ removed_at: trx.fn.now(), title: 'A prompt deleted for good', note: '', tags: [], best_proof_id: null })
        if (removed) await this.#empty(trx, id)
      } else if (kind === 'proof') removed = await emptyProofs(trx, trx('proofs').where({ id }).whereNotNull('picture').where(old('deleted_at')))
      else if (kind === 'helper') throw new ProblemError('not-now', 'A helper stays in the bin: what was asked with it names it. It takes up no room.')
      else if (kind === 'part' || kind === 'series' || kind === 'scene') throw new ProblemError('not-now', 'What belongs to a series stays in the bin: texts and proofs name it. It takes up no room.')
      else if (kind === 'template') throw new ProblemError('not-now', 'A template stays in the bin: drafts that were made from it name it. It takes up no room.')
      else removed = await trx('bin').where({ id, kind }).where(old('deleted_at')).delete()
      if (!removed) throw new ProblemError('not-now', `Only what has lain in the bin for ${DAYS} days can be deleted for good. It is still there.`)
      await recordEvent(trx, { kind: 'bin' })
    })
  }

  async #empty(trx: Knex.Transaction, promptId: string): Promise<void> {
    await emptyProofs(trx, trx('proofs').where({ prompt_id: promptId }))
    await trx('asides').where({ prompt_id: promptId }).delete()
    await trx('turns').where({ prompt_id: promptId }).update({ draft: JSON.stringify(emptyDraft()), messages: '[]', given: '{}', further: null, text: '', earlier: [], value: null, proposed: null, mended: [], locked_lost: [] })
    await trx('version_phrases').whereIn('version_id', trx('versions').where({ prompt_id: promptId }).select('id')).delete()
    await trx('versions').where({ prompt_id: promptId }).update({ body: JSON.stringify(versionBodyOf(emptyDraft())), changes: [], why: '' })
    await trx('shelf').where({ prompt_id: promptId }).delete()
    await trx('shelf_vectors').where({ prompt_id: promptId }).delete()
    for (const pairs of ['near_pairs', 'prompt_pairs']) await trx(pairs).where({ one: promptId }).orWhere({ other: promptId }).delete()
    // What was merged into it stands by itself again.
    await trx('prompts').where({ merged_into: promptId }).update({ merged_into: null })
    await trx('drafts').where({ prompt_id: promptId }).update({ body: JSON.stringify(emptyDraft()), first_words: 'A prompt deleted for good' })
  }

  async #tell(trx: Knex.Transaction, event: ChangeEvent): Promise<void> {
    await recordEvent(trx, event)
    await recordEvent(trx, { kind: 'bin' })
  }
}

async function emptyProofs(trx: Knex.Transaction, which: Knex.QueryBuilder): Promise<number> {
  const ids = (await (which.select('id') as unknown as Promise<{ id: string }[]>)).map(({ id }) => id)
  await trx('judgements').whereIn('left_proof', ids).orWhereIn('right_proof', ids).delete()
  await trx('prompts').whereIn('best_proof_id', ids).update({ best_proof_id: null })
  return trx('proofs').whereIn('id', ids).update({ picture: null, note: '', faults: [], regions: '[]', output: JSON.stringify({ text: '', leaveOut: '', settings: {}, used: 0, limit: null, cut: [], notes: [] }), deleted_at: trx.fn.now() })
}

/** What the pages are told when a row comes back. */
function toldOf(kind: BinnedKind, { project_id, row }: { project_id: string | null; row: Record<string, unknown> }): ChangeEvent {
  const project = project_id ? { projectId: project_id } : {}
  if (kind === 'phrase') return { kind: 'project', ...project }
  if (kind === 'reference') return { kind: 'reference', referenceId: String(row['id']), ...project }
  return { kind: ({ term: 'terms', engine: 'engines', model: 'models', 'writing-style': 'writing-styles' } as const)[kind], ...project }
}
