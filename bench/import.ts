import { seededRandom } from '@idolon/core'
import { connectDatabase, createDatabase } from '@idolon/server'
import { type Bench, timed } from './figure.ts'
import { generatedPrompts, PROMPTS, wordsFrom } from './generated-shelf.ts'
import { shippedServer } from './shipped-server.ts'

const EACH_MS = 250

/** A CSV of a hundred thousand lines, from its choosing until its last prompt is found by its words, with everything else of the server at work. */
export const importing: Bench = async () => {
  const base = process.env['BENCH_DATABASE_URL']
  if (!base) throw new Error('BENCH_DATABASE_URL is not set. Run ./idolon bench.')
  const databaseUrl = await createDatabase(base, 'import')
  const db = connectDatabase(databaseUrl, 2)
  const server = await shippedServer(databaseUrl)
  try {
    const prompts = generatedPrompts()
    const { how } = wordsFrom(seededRandom(20_004))
    const csv = ['title,text,tags', ...prompts.map(({ text }, i) => `number ${i + 1},"${text}",${how()}`)].join('\n')
    const json = async <T>(path: string, init: RequestInit = {}): Promise<T> => {
      const response = await fetch(server.address + path, init)
      if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`)
      return (await response.json()) as T
    }
    const post = <T>(path: string, body: unknown): Promise<T> => json(path, { method: 'POST', body: JSON.stringify(body), headers: { 'content-type': 'application/json' } })
    const project = await post<{ id: string }>('/api/projects', { name: 'Bench' })
    interface File {
      id: string
      state: string
      mapping: object
      problem: string | null
    }
    const taken = await timed(async () => {
      const file = await json<File>('/api/imports?name=all.csv', { method: 'POST', body: csv })
      await post(`/api/imports/${file.id}/preview`, { mapping: file.mapping })
      await post(`/api/imports/${file.id}/start`, { mapping: file.mapping, project: project.id, duplicates: true, tag: '' })
      for (let now = file; now.state !== 'done'; now = await json<File>(`/api/imports/${file.id}`)) {
        if (now.problem) throw new Error(now.problem)
        await new Promise((resolve) => setTimeout(resolve, EACH_MS))
      }
      const left = async () => (await db.raw<{ rows: { n: number }[] }>('select count(*)::int as n from drafts where search_stale')).rows[0]!.n
      while ((await left()) > 0) await new Promise((resolve) => setTimeout(resolve, EACH_MS))
      const { total } = await json<{ total: number }>(`/api/shelf?q=number ${PROMPTS}`)
      if (total !== 1) throw new Error('The last prompt is not found.')
    })
    const bare = await timed(async () => {
      await db.raw('create table bare (title text, body text, document tsvector)')
      await db.raw('create index on bare using gin (document)')
      for (let i = 0; i < prompts.length; i += 1_000) {
        const some = prompts.slice(i, i + 1_000)
        await db.raw(`insert into bare select t, b, to_tsvector('simple', t || ' ' || b) from unnest(?::text[], ?::text[]) as x(t, b)`, [some.map((_, k) => `number ${i + k + 1}`), some.map(({ text }) => text)])
      }
    })
    const peak = await server.peak()
    return [
      { what: `A CSV of ${PROMPTS.toLocaleString('en')} lines, until its last prompt is found by its words`, value: taken / 1000, unit: 's', baseline: { what: 'the same lines into a bare table with a full-text index', value: bare / 1000 }, limit: 180 },
      { what: 'Most memory of the server meanwhile', value: peak, unit: 'kB', baseline: { what: 'the file itself', value: csv.length / 1024 }, limit: 500_000 },
    ]
  } finally {
    server.stop()
    await db.destroy()
  }
}
