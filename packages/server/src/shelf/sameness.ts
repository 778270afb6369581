import type { NearPrompt } from '@idolon/contract'
import type { Knex } from 'knex'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import type { Meaning } from '../meaning/meaning.ts'
import { regroup } from './families.ts'
import { inWords, nearOf, pairOf } from './near.ts'

const MOST = 40
const MOST_NOTE = 10_000

interface Row {
  id: string
  title: string
  projectId: string
  proofs: number
  keepers: number
  said: boolean | null
  merged: boolean
}

/** Which prompts are the same: as they compare, and as the writer says. */
export class Sameness {
  constructor(
    private readonly db: Database,
    private readonly meaning: Meaning,
  ) {}

  /** Those that say the same as a prompt's draft, those the writer has linked with it or told from it, and those merged into it. */
  async near(prompt: string): Promise<NearPrompt[]> {
    const near = new Map((await nearOf(this.db, this.meaning, prompt)).map((one) => [one.id, one]))
    const { rows } = await this.db.raw<{ rows: Row[] }>(
      `with named as (
         select unnest(?::uuid[]) as id
         union select case when one = ? then other else one end from prompt_pairs where one = ? or other = ?
         union select id from prompts where merged_into = ?
         union select m.prompt_id from shelf s join shelf m on m.family = s.family where s.prompt_id = ?)
       select x.id, coalesce(nullif(x.title, ''), d.first_words) as title, x.project_id as "projectId", coalesce(s.proofs, 0) as proofs, coalesce(s.keepers, 0) as keepers, p.same as said, x.merged_into is not distinct from ?::uuid as merged
       from named join prompts x on x.id = named.id join drafts d on d.prompt_id = x.id left join shelf s on s.prompt_id = x.id
       left join prompt_pairs p on p.one = least(x.id, ?::uuid) and p.other = greatest(x.id, ?::uuid)
       where x.id <> ? and x.deleted_at is null and (x.merged_into is null or x.merged_into = ?)`,
      [[...near.keys()], prompt, prompt, prompt, prompt, prompt, prompt, prompt, prompt, prompt, prompt],
    )
    return rows
      .map(({ id, said, ...row }): NearPrompt => ({ promptId: id, ...row, said: said === null ? null : said ? 'same' : 'other', score: near.get(id)?.score ?? null, differences: inWords(near.get(id)?.differences ?? []) }))
      .sort((a, b) => Number(a.said === 'other') - Number(b.said === 'other') || (b.score ?? 0) - (a.score ?? 0))
      .slice(0, MOST)
  }

  /** Keeps what the writer says of two prompts: that they are the same, that they are not, or nothing any more. */
  async say(actor: Actor, prompt: string, others: readonly string[], as: 'same' | 'other' | null): Promise<{ changed: number }> {
    const pairs = [...new Set(others)].filter((other) => other !== prompt).map((other) => pairOf(prompt, other))
    return this.db.transaction(async (trx) => {
      await this.#there(trx, [prompt, ...others])
      for (const pair of pairs) {
        if (as === null) await trx('prompt_pairs').where(pair).delete()
        else await trx('prompt_pairs').insert({ ...pair, same: as === 'same', said_by: actor.id }).onConflict(['one', 'other']).merge(['same', 'said_by'])
      }
      await regroup(trx, [prompt, ...others])
      await recordEvent(trx, { kind: 'prompt', promptId: prompt })
      return { changed: pairs.length }
    })
  }

  /** Merges prompts into one: it gets their tags and notes, and what they have shown counts for it. Their drafts, versions and pictures stay as they are, and they can be taken out again. */
  async merge(_actor: Actor, into: string, others: readonly string[]): Promise<{ changed: number }> {
    const merged = [...new Set(others)].filter((other) => other !== into)
    return this.db.transaction(async (trx) => {
      const rows = await this.#there(trx, [into, ...merged])
      const own = rows.find(({ id }) => id === into)
      if (own?.merged_into) throw new ProblemError('invalid', 'That prompt is itself merged into another. Nothing was changed; remove it from that merge first, or merge into the other.')
      const added = merged.flatMap((id) => rows.find((row) => row.id === id) ?? [])
      const note = [own?.note, ...added.map((row) => row.note)].map((one) => one?.trim()).filter((one, i, all) => one && all.indexOf(one) === i).join('\n\n')
      if (note.length > MOST_NOTE) throw new ProblemError('invalid', 'Their notes together are too long for one prompt. Nothing was changed; shorten one of them first.')
      const tags = [...new Set([...(own?.tags ?? []), ...added.flatMap((row) => row.tags)])].slice(0, 60)
      await trx('prompts').where({ id: into }).update({ tags, note, changed_at: trx.fn.now() })
      await trx('prompts').whereIn('id', merged).orWhereIn('merged_into', merged).update({ merged_into: into })
      await recordEvent(trx, { kind: 'prompt', promptId: into })
      return { changed: merged.length }
    })
  }

  /** Takes a prompt out of the one it was merged into. */
  async unmerge(_actor: Actor, prompt: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      await this.#there(trx, [prompt])
      await trx('prompts').where({ id: prompt }).update({ merged_into: null })
      await recordEvent(trx, { kind: 'prompt', promptId: prompt })
    })
  }

  async #there(trx: Knex.Transaction, prompts: readonly string[]) {
    const rows = await trx('prompts').whereIn('id', prompts).whereNull('removed_at').forUpdate().select<{ id: string; tags: string[]; note: string; merged_into: string | null }[]>('id', 'tags', 'note', 'merged_into')
    if (rows.length < new Set(prompts).size) throw notFound('prompt')
    return rows
  }
}
