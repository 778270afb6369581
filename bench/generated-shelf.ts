import { normal, seededRandom } from '@idolon/core'
import { type connectDatabase, inBytes, type MeaningThread } from '@idolon/server'
import { randomUUID } from 'node:crypto'

export const PROMPTS = 100_000
const SUBJECTS = 'beekeeper,train,fox,heron,teapot,jar,goat,chapel,boat,lantern,miller,orchard,viaduct,glacier,baker,signal box,ferry,owl,cat,clock'.split(',')
const HOWS = 'old,red,brass,tiny,weathered,sleeping,snowy,tall,painted,quiet,broken,shining,crooked,striped,velvet'.split(',')
const PLACES = 'in a village,by the lake,under the pass,on a terrace,in a kitchen,above the clouds,at the station,in a meadow,behind the mill,on the ridge'.split(',')
const WHENS = 'at dawn,at dusk,at noon,in late autumn,in first snow,on a foggy morning,at midnight,in spring rain'.split(',')
const MEDIA = 'gouache illustration,linocut print,product photograph,watercolour,paper cut,line drawing,travel poster'.split(',')
/** So many texts get a vector of the model; the others' lie about one of these. */
const REAL = 600
/** How far: a paraphrase of a text has a cosine of 0.8 or so with it. */
const NOISE = 0.03

export interface GeneratedPrompt {
  id: string
  text: string
  parts: Record<'subject' | 'second' | 'setting' | 'moment' | 'medium', string>
}

/** Words a search may be made of, from one stream of random numbers. */
export function wordsFrom(random: () => number) {
  const pick = (list: readonly string[]) => list[Math.floor(random() * list.length)] ?? ''
  return { how: () => pick(HOWS), subject: () => pick(SUBJECTS), setting: () => pick(PLACES), moment: () => pick(WHENS), medium: () => pick(MEDIA), pick }
}

/** Prompts in a project as they are stored; invented names give the vocabulary the long tail that real collections have. */
export function generatedPrompts(): GeneratedPrompt[] {
  const { how, subject, setting, moment, medium, pick } = wordsFrom(seededRandom(20_000))
  const name = () => Array.from({ length: 3 }, () => pick(['ta', 'ro', 'len', 'bri', 'ko', 'sa', 'mun', 'del', 'vi', 'ner', 'hod', 'wes'])).join('')
  return Array.from({ length: PROMPTS }, () => {
    const own = name()
    const parts = { subject: `${how()} ${subject()}`, second: `${how()} ${subject()}`, setting: setting(), moment: moment(), medium: medium() }
    return { id: randomUUID(), text: `${own}, a ${parts.subject} and a ${parts.second} ${parts.setting} ${parts.moment}, ${parts.medium}`, parts }
  })
}

type Database = ReturnType<typeof connectDatabase>

export async function storePrompts(db: Database, project: string, prompts: readonly GeneratedPrompt[]): Promise<void> {
  const { how, subject } = wordsFrom(seededRandom(20_001))
  for (let i = 0; i < prompts.length; i += 1_000) {
    const some = prompts.slice(i, i + 1_000)
    await db('prompts').insert(some.map(({ id }) => ({ id, project_id: project, title: '', tags: [how(), subject()], created_by: 'bench' })))
    await db('drafts').insert(some.map(({ id, text }) => ({ prompt_id: id, body: JSON.stringify({ text, marks: [], leaveOut: [], settings: {}, engines: [], references: [] }), first_words: text.split(',')[0] })))
  }
}

/** The tsvector of what a draft says, which is known here and need not be read. */
function saidOf({ subject, second, setting, moment, medium }: GeneratedPrompt['parts']): string {
  const words = [['subject', subject], ['subject', second], ['setting', setting], ['moment', moment], ['medium', medium]].flatMap(([facet, said = ''], k) => said.split(' ').map((word, j) => ({ lexeme: `${facet}.${word}`, at: 1 + 10 * k + j })))
  return [...new Set(words.map(({ lexeme }) => lexeme))].map((lexeme) => `'${lexeme}':${words.filter((one) => one.lexeme === lexeme).map(({ at }) => at).join(',')}`).join(' ')
}

/** What the background would have worked out of them in an hour: what they say by facet, and their vectors. */
export async function storeReadings(db: Database, meaning: MeaningThread, prompts: readonly GeneratedPrompt[]): Promise<void> {
  const real: Int8Array[] = []
  for (let i = 0; i < REAL; i += 20) real.push(...(await meaning.vectors(prompts.slice(i, i + 20).map(({ text }) => text))))
  const random = seededRandom(20_002)
  const noise = Float32Array.from({ length: 1 << 16 }, () => normal(random))
  const vectorOf = (i: number): Buffer => {
    const base = real[i % REAL]!
    if (i < REAL) return Buffer.from(base)
    const length = Math.hypot(...base)
    const from = Math.floor(random() * (noise.length - base.length))
    return Buffer.from(inBytes(Array.from(base, (value, k) => value / length + NOISE * noise[from + k]!)))
  }
  for (let i = 0; i < prompts.length; i += 2_000) {
    const some = prompts.slice(i, i + 2_000)
    await db.raw(
      `with given as (select * from unnest(?::uuid[], ?::tsvector[], ?::bytea[]) as t(id, said, vector)),
        read as (update shelf set said = given.said, said_maker = 'said-1', said_stale = false, vector_stale = false, near_stale = false from given where shelf.prompt_id = given.id returning prompt_id, text_hash)
       insert into shelf_vectors (prompt_id, text_hash, maker, vector) select g.id, r.text_hash, 'sentences-1', g.vector from given g join read r on r.prompt_id = g.id`,
      [some.map(({ id }) => id), some.map(({ parts }) => saidOf(parts)), some.map((_, k) => vectorOf(i + k))],
    )
  }
  await db.raw('vacuum analyze')
}
