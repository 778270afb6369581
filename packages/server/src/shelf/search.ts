import type { FoundFrame, FoundPrompt, TagCount } from '@idolon/contract'
import { type ShelfWords, shelfWords } from '@idolon/core'
import type { Database } from '../database/connect.ts'
import type { Meaning } from '../meaning/meaning.ts'
import { SHELF_COLUMNS, summariesOf, type SummaryRow } from '../prompts/store.ts'
import { type Conditions, conditionsFor, type ShelfQuery } from './conditions.ts'
import { findFrames } from './frames.ts'
import { saidQuery, unreadCount } from './said.ts'
import type { SearchIndex } from './search-index.ts'
import { readWords, type TypedWord, wordQuery } from './typed-words.ts'
import { whyFound } from './why.ts'

export interface ShelfAnswer {
  rows: FoundPrompt[]
  total: number
  more: boolean
  /** Words that no prompt has, and what they were read as. */
  read: { typed: string; as: string }[]
  frames: FoundFrame[]
  unread: number
}

/** A prompt that was found, in its place. */
interface Place {
  id: string
  family: string | null
  /** How many of the found are of its family, itself among them. */
  alike: number
  /** Cosine of what it says and what was asked; of a search by meaning alone. */
  score?: number
}

/** Further than this nobody counts, and of a very common word only so many, the last changed, are ranked. */
const COUNTED = 1_000
/** Texts further apart have nothing to do with each other: a paraphrase has 0.8 or so, another prompt 0.25 (docs/reuse.md). */
const CLOSE = 0.3
/** Filters that leave so many or fewer are asked first, and only what they leave is compared. */
const FILTERED = 2_000
/** What was found, before templates and writing styles are put beside it. */
type Found = Omit<ShelfAnswer, 'frames'>
const NOTHING: Found = { rows: [], total: 0, more: false, read: [], unread: 0 }

/** What may be asked beside words without holding prompts to anything. */
const BARE: ReadonlySet<string> = new Set(['q', 'by', 'each', 'limit', 'offset'])

/** Finds prompts on the Shelf, by their words or by what they mean. */
export class ShelfSearch {
  #warm = false

  constructor(
    private readonly db: Database,
    private readonly index: SearchIndex,
    private readonly meaning: Meaning,
  ) {}

  async find(asked: ShelfQuery): Promise<ShelfAnswer> {
    const typed = shelfWords(asked.q ?? '')
    if (typed.words.length) this.#getReady()
    const bare = !asked.offset && typed.said.length === 0 && Object.keys(asked).every((name) => BARE.has(name))
    const [answer, frames] = await Promise.all([asked.by === 'meaning' && typed.words.length ? this.#byMeaning(asked, typed) : this.#byWords(asked, typed), bare ? findFrames(this.db, typed.words) : []])
    return { ...answer, frames }
  }

  /** Whoever looks by words may look by meaning next, which takes seconds to get ready; a list without words needs none of it. */
  #getReady(): void {
    if (!this.#warm) void this.meaning.closest({ text: 'ready' }, { most: 1, least: 1 }).catch(() => undefined)
    this.#warm = true
  }

  /** The ids of all prompts that fit, the last changed first, at most `most`; by meaning the closest first. */
  async ids(asked: ShelfQuery, most: number): Promise<string[]> {
    const typed = shelfWords(asked.q ?? '')
    if (asked.by === 'meaning' && typed.words.length) return (await this.#close(typed, conditionsFor(asked, '', saidQuery(typed.said)))).slice(0, most).map(({ id }) => id)
    const { known, where, bindings } = await this.#read(asked, typed)
    if (!known) return []
    const { rows } = await this.db.raw<{ rows: { prompt_id: string }[] }>(`select s.prompt_id from shelf s where ${where} order by s.changed desc limit ?`, [...bindings, most])
    return rows.map((row) => row.prompt_id)
  }

  /** Typed words with what they may stand for, and the conditions they make; not known where a word stands for nothing. */
  async #read(asked: ShelfQuery, typed: ShelfWords) {
    const words = () => (typed.words.length ? readWords(this.db, typed.words) : Promise.resolve([]))
    // Most of the time nothing was written since, and the words need not be read twice.
    const [stale, first] = await Promise.all([this.index.catchUp(), words()])
    const read = stale ? await words() : first
    const known = read.every((row) => row.words?.length)
    const query = known ? wordQuery(read) : ''
    return { read, known, words: query, ...conditionsFor(asked, query, saidQuery(typed.said)) }
  }

  async #byWords(asked: ShelfQuery, typed: ShelfWords): Promise<Found> {
    const { limit = 50, offset = 0 } = asked
    const { read, known, words, where, bindings } = await this.#read(asked, typed)
    const unread = typed.said.length ? await unreadCount(this.db, 'said_stale') : 0
    if (!known) return { ...NOTHING, unread }
    // Words rank among the newest that fit; the same rows say how many there are. Of a family the best stands for all.
    const rank = words ? 'ts_rank(document, ?::tsquery)' : '0'
    const { rows: found } = await this.db.raw<{ rows: (Place & { total: number })[] }>(
      `with found as materialized (select s.prompt_id, s.family, ${words ? 's.document, ' : ''}s.changed from shelf s where ${where} order by s.changed desc limit ${Math.max(COUNTED, offset + limit) + 1}),
       ranked as (select prompt_id, family, changed, ${rank} as rank from found),
       placed as materialized (select *, row_number() over own as place, count(*) over (partition by coalesce(family, prompt_id)) as alike from ranked window own as (partition by coalesce(family, prompt_id) order by rank desc, changed desc))
       select prompt_id as id, family, alike::int, (select count(*)::int from placed ${asked.each ? '' : 'where place = 1'}) as total from placed ${asked.each ? '' : 'where place = 1'} order by rank desc, changed desc limit ? offset ?`,
      [...bindings, ...(words ? [words] : []), limit, offset],
    )
    const total = found[0]?.total ?? 0
    return {
      rows: await this.#rows(found, read, typed.said),
      total: Math.min(total, COUNTED),
      more: total > COUNTED,
      read: read.filter((row) => !row.exact).map((row) => ({ typed: row.typed, as: row.words.join(', ') })),
      unread,
    }
  }

  async #byMeaning(asked: ShelfQuery, typed: ShelfWords): Promise<Found> {
    const { limit = 50, offset = 0 } = asked
    const [close, unread] = await Promise.all([this.#close(typed, conditionsFor(asked, '', saidQuery(typed.said))), unreadCount(this.db, 'vector_stale')])
    const families = new Map<string, number>()
    for (const { id, family } of close) families.set(family ?? id, (families.get(family ?? id) ?? 0) + 1)
    const first = new Set<string>()
    const places = close.flatMap((one): Place[] => {
      const key = one.family ?? one.id
      if (!asked.each && first.has(key)) return []
      first.add(key)
      return [{ ...one, alike: families.get(key) ?? 1 }]
    })
    return { rows: await this.#rows(places.slice(offset, offset + limit), [], typed.said), total: Math.min(places.length, COUNTED), more: places.length > COUNTED, read: [], unread }
  }

  /** What fits the conditions and is close to the words, the closest first. */
  async #close({ words }: ShelfWords, { where, bindings, some }: Conditions): Promise<{ id: string; family: string | null; score: number }[]> {
    await this.index.catchUp()
    let among: string[] | undefined
    if (some) {
      const { rows } = await this.db.raw<{ rows: { prompt_id: string }[] }>(`select s.prompt_id from shelf s where ${where} limit ${FILTERED + 1}`, bindings)
      if (rows.length <= FILTERED) among = rows.map((row) => row.prompt_id)
    }
    const close = await this.meaning.closest({ text: words.join(' ') }, { most: some ? FILTERED : COUNTED + 1, least: CLOSE, ...(among ? { among } : {}) })
    const { rows } = await this.db.raw<{ rows: { id: string; family: string | null; score: number }[] }>(
      `select s.prompt_id as id, s.family, c.score from unnest(?::uuid[], ?::real[]) with ordinality as c(id, score, place) join shelf s on s.prompt_id = c.id where ${where} order by c.place limit ${COUNTED + 1}`,
      [close.map(({ id }) => id), close.map(({ score }) => score), ...bindings],
    )
    return rows
  }

  /** What the Shelf shows of prompts, in order, with why each was found. */
  async #rows(places: readonly Place[], read: readonly TypedWord[], said: ShelfWords['said']): Promise<FoundPrompt[]> {
    if (places.length === 0) return []
    const { rows } = await this.db.raw<{ rows: (SummaryRow & { proof_notes: string | null })[] }>(
      `select ${SHELF_COLUMNS}, ${read.length ? `(select string_agg(p.note, ' ') from proofs p where p.prompt_id = x.id and p.note <> '')` : 'null'} as proof_notes
       from unnest(?::uuid[]) with ordinality as page(id, place) join prompts x on x.id = page.id join drafts d on d.prompt_id = x.id join shelf s on s.prompt_id = x.id order by page.place`,
      [places.map(({ id }) => id)],
    )
    const summaries = await summariesOf(this.db, rows)
    const placeOf = new Map(places.map((place) => [place.id, place]))
    return summaries.map((prompt, i) => {
      const { family, alike, score } = placeOf.get(prompt.id)!
      const why = whyFound(prompt, rows[i]!.draft_body.text, `${prompt.note} ${rows[i]!.proof_notes ?? ''}`, read, said)
      return { ...prompt, family, alike: alike - 1, why: score === undefined ? why : ['close in meaning', ...why] }
    })
  }
}

export async function tagCounts(db: Database, project?: string): Promise<TagCount[]> {
  const { rows } = await db.raw<{ rows: TagCount[] }>(
    `select tag, count(*)::int as count from prompts x, unnest(x.tags) as tag
     where x.deleted_at is null ${project ? 'and x.project_id = ?' : ''} group by tag order by count desc, tag limit 500`,
    project ? [project] : [],
  )
  return rows
}
