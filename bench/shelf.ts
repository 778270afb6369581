import { seededRandom } from '@idolon/core'
import { connectDatabase } from '@idolon/server'
import { randomUUID } from 'node:crypto'
import { type Bench, percentile, timed } from './figure.ts'
import { measuredServer } from './server.ts'

const PROMPTS = 100_000
const SUBJECTS = 'beekeeper,train,fox,heron,teapot,jar,goat,chapel,boat,lantern,miller,orchard,viaduct,glacier,baker,signal box,ferry,owl,cat,clock'.split(',')
const HOWS = 'old,red,brass,tiny,weathered,sleeping,snowy,tall,painted,quiet,broken,shining,crooked,striped,velvet'.split(',')
const PLACES = 'in a village,by the lake,under the pass,on a terrace,in a kitchen,above the clouds,at the station,in a meadow,behind the mill,on the ridge'.split(',')
const WHENS = 'at dawn,at dusk,at noon,in late autumn,in first snow,on a foggy morning,at midnight,in spring rain'.split(',')
const MEDIA = 'gouache illustration,linocut print,product photograph,watercolour,paper cut,line drawing,travel poster'.split(',')

/** Searching as one types, over generated prompts, beside the bare full-text query for the same words. */
export const shelf: Bench = async () => {
  const { server, post, address, databaseUrl } = await measuredServer()
  const db = connectDatabase(databaseUrl)
  try {
    const project = await post<{ id: string }>('/api/projects', { name: 'Bench' })
    const random = seededRandom(20_000)
    const pick = (list: string[]) => list[Math.floor(random() * list.length)] ?? ''
    // Invented names give the vocabulary the long tail that real collections have.
    const name = () => Array.from({ length: 3 }, () => pick(['ta', 'ro', 'len', 'bri', 'ko', 'sa', 'mun', 'del', 'vi', 'ner', 'hod', 'wes'])).join('')
    const all: { id: string; parts: Record<string, string> }[] = []
    for (let i = 0; i < PROMPTS; i += 1_000) {
      const made = Array.from({ length: 1_000 }, () => {
        const parts = { name: name(), subject: `${pick(HOWS)} ${pick(SUBJECTS)}`, second: `${pick(HOWS)} ${pick(SUBJECTS)}`, setting: pick(PLACES), moment: pick(WHENS), medium: pick(MEDIA) }
        return { id: randomUUID(), parts, text: `${parts.name}, a ${parts.subject} and a ${parts.second} ${parts.setting} ${parts.moment}, ${parts.medium}` }
      })
      all.push(...made)
      await db('prompts').insert(made.map(({ id }) => ({ id, project_id: project.id, title: '', tags: [pick(HOWS), pick(SUBJECTS)], created_by: 'bench' })))
      await db('drafts').insert(made.map(({ id, text }) => ({ prompt_id: id, body: JSON.stringify({ text, marks: [], leaveOut: [], settings: {}, engines: [], references: [] }), first_words: text.split(',')[0] })))
    }
    const search = async (q: string) => {
      const response = await fetch(`${address}/api/shelf?limit=40&q=${encodeURIComponent(q)}`)
      if (!response.ok) throw new Error(await response.text())
      return ((await response.json()) as { total: number }).total
    }
    await search('warm')
    // What the drafts say is known here, so that it need not be read: words by facet, as the reading in the background keeps them.
    const lexemes = ({ subject, second, setting, moment, medium }: Record<string, string>) => {
      const words = [['subject', subject], ['subject', second], ['setting', setting], ['moment', moment], ['medium', medium]].flatMap(([facet, said = ''], k) => said.split(' ').map((word, j) => ({ lexeme: `${facet}.${word}`, at: 1 + 10 * k + j })))
      return [...new Set(words.map(({ lexeme }) => lexeme))].map((lexeme) => `'${lexeme}':${words.filter((one) => one.lexeme === lexeme).map(({ at }) => at).join(',')}`).join(' ')
    }
    for (let i = 0; i < all.length; i += 5_000) {
      const some = all.slice(i, i + 5_000)
      await db.raw(`insert into shelf_said select t.id, s.text_hash, 'said-1', t.said from unnest(?::uuid[], ?::tsvector[]) as t(id, said) join shelf s on s.prompt_id = t.id`, [some.map(({ id }) => id), some.map(({ parts }) => lexemes(parts))])
    }
    await db.raw('update shelf set said_stale = false')
    await db.raw('vacuum analyze')
    const queries = Array.from({ length: 60 }, () => `${pick(HOWS)} ${pick(SUBJECTS)} ${pick(MEDIA).split(' ')[0] ?? ''}`)
    // As typed: every third beginning, one slip among five.
    const typed = queries.flatMap((query, i) => {
      const beginnings = Array.from({ length: Math.floor(query.length / 3) }, (_, k) => query.slice(0, 3 * (k + 1)))
      return i % 5 ? beginnings : [...beginnings, query.replace(/(\w)(\w)(?=\w*$)/, '$2$1')]
    })
    const bareQuery = (q: string) => db.raw('select prompt_id from shelf where document @@ ?::tsquery and not deleted order by changed desc limit 40', [q.split(' ').filter(Boolean).map((word) => `'${word}':*`).join(' & ')])
    const measure = async (list: readonly string[]) => {
      const searches: number[] = []
      const bare: number[] = []
      for (const q of list) {
        searches.push(await timed(() => search(q)))
        bare.push(await timed(async () => bareQuery(q)))
      }
      return { searches, bare }
    }
    const { searches, bare } = await measure(typed)
    const exact = await measure(queries)
    const bareExact = percentile(exact.bare, 95)
    const said = Array.from({ length: 60 }, () => `${pick(SUBJECTS)}, medium: ${pick(MEDIA)}`)
    const facets: number[] = []
    for (const q of said) facets.push(await timed(() => search(q)))
    return [
      { what: `Shelf search over ${PROMPTS.toLocaleString('en')} prompts, p95 of ${typed.length} keystrokes`, value: percentile(searches, 95), unit: 'ms', baseline: { what: 'the bare full-text query, newest first, p95', value: percentile(bare, 95) }, limit: 100 },
      { what: `The same of ${queries.length} searches whose every word is whole`, value: percentile(exact.searches, 95), unit: 'ms', baseline: { what: 'the bare full-text query, newest first, p95', value: bareExact }, limit: Math.max(100, 2 * bareExact) },
      { what: `The same by a word and what a facet says, p95 of ${said.length}`, value: percentile(facets, 95), unit: 'ms', baseline: { what: 'the bare full-text query, newest first, p95', value: percentile(bare, 95) }, limit: 100 },
    ]
  } finally {
    await server.close()
    await db.destroy()
  }
}
