import type { Facet, VersionBody } from '@idolon/core'
import type { PhraseCount } from '@idolon/contract'
import type { Database } from '../database/connect.ts'

export interface KeptPhrase {
  id: string
  text: string
  facet: Facet
}

/** A prompt that has shown what it can do, in the words that did it. */
export interface ProvenText {
  promptId: string
  title: string
  keepers: number
  body: Pick<VersionBody, 'text' | 'marks'>
}

export const keptPhrases = (db: Database, projectId: string): Promise<KeptPhrase[]> =>
  db('kept_phrases').where({ project_id: projectId }).orderBy('kept_at', 'desc').select<KeptPhrase[]>('id', 'text', 'facet')

/** The kept phrase; the one that was there when it is kept already. */
export async function keepPhrase(db: Database, id: string, projectId: string, phrase: { text: string; facet: Facet }, actor: string): Promise<KeptPhrase> {
  await db('kept_phrases')
    .insert({ id, project_id: projectId, text: phrase.text, facet: phrase.facet, kept_by: actor })
    .onConflict(db.raw('(project_id, facet, lower(text))'))
    .ignore()
  const { rows } = await db.raw<{ rows: KeptPhrase[] }>('select id, text, facet from kept_phrases where project_id = ? and facet = ? and lower(text) = lower(?)', [projectId, phrase.facet, phrase.text])
  return rows[0]!
}

/** Most prompts whose phrases are offered; those with most keepers first. */
const MOST = 200

/** Prompts of a project that are proven or have a keeper: the version of their best-judged picture, else the draft. */
export async function provenTexts(db: Database, projectId: string): Promise<ProvenText[]> {
  const { rows } = await db.raw<{ rows: ProvenText[] }>(
    `select x.id as "promptId", coalesce(nullif(x.title, ''), d.first_words) as title, k.keepers::int as keepers, coalesce(v.body, d.body) as body
     from prompts x
     join drafts d on d.prompt_id = x.id
     cross join lateral (select count(*) as keepers from proofs p where p.prompt_id = x.id and p.verdict = 'keep' and p.deleted_at is null) k
     left join lateral (
       select v.body from proofs p join versions v on v.id = p.version_id
       where p.prompt_id = x.id and p.deleted_at is null and (p.id = x.best_proof_id or p.verdict = 'keep')
       order by (p.id = x.best_proof_id) desc nulls last, p.rank nulls last, p.stored_at desc limit 1
     ) v on true
     where x.project_id = ? and x.deleted_at is null and (x.status = 'proven' or k.keepers > 0)
     order by k.keepers desc, x.changed_at desc limit ?`,
    [projectId, MOST],
  )
  return rows
}

/** Verdicts on proofs of versions that say each phrase (as bare words), by engine. */
export async function phraseCounts(db: Database, projectId: string, phrases: string[]): Promise<PhraseCount[]> {
  if (phrases.length === 0) return []
  const { rows } = await db.raw<{ rows: PhraseCount[] }>(
    `select s.phrase, p.engine->>'id' as engine, p.engine->>'revision' as revision, count(*) filter (where p.verdict = 'keep')::int as kept, count(*)::int as tried
     from version_phrases s join proofs p on p.version_id = s.version_id and p.verdict is not null and p.deleted_at is null
       join prompts x on x.id = p.prompt_id and x.project_id = ? and x.deleted_at is null
     where s.phrase = any(?) group by 1, 2, 3 order by 1, tried desc`,
    [projectId, phrases],
  )
  return rows
}
