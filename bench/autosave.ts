import { connectDatabase } from '@idolon/server'
import { randomUUID } from 'node:crypto'
import { type Bench, percentile, timed } from './figure.ts'
import { measuredServer } from './server.ts'

const ROUNDS = 400

/** An edit from the page to the committed draft and back, beside a committed UPDATE of the same row through an equal pool. */
export const autosave: Bench = async () => {
  const { server, post, databaseUrl } = await measuredServer()
  const db = connectDatabase(databaseUrl)
  try {
    const project = await post<{ id: string }>('/api/projects', { name: 'Bench' })
    const prompt = await post<{ id: string }>('/api/prompts', { projectId: project.id })
    const client = randomUUID()
    let revision = 0
    const save = (text: string) => async () => {
      await post(`/api/prompts/${prompt.id}/edits`, { client, first: revision + 1, base: revision, edits: [{ text: [{ from: 0, to: 0, insert: text }] }] })
      revision++
    }
    const update = async () => {
      const row = await db('drafts').where({ prompt_id: prompt.id }).first<{ body: unknown }>('body')
      const body = JSON.stringify(row.body)
      return timed(async () => db('drafts').where({ prompt_id: prompt.id }).update({ body }))
    }
    await save('An old beekeeper in a waxed canvas coat lifts a frame from a straw hive, terraced apiary, dawn. '.repeat(5))()
    const saves: number[] = []
    const updates: number[] = []
    // Alternating, so that both meet the same weather; the first tenth warms up.
    for (let i = 0; i < ROUNDS * 1.1; i++) {
      const [a, b] = [await timed(save('a')), await update()]
      if (i >= ROUNDS * 0.1) {
        saves.push(a)
        updates.push(b)
      }
    }
    const baseline = percentile(updates, 95)
    return [{ what: 'Autosave round trip, p95', value: percentile(saves, 95), unit: 'ms', baseline: { what: 'a committed UPDATE of the same row, p95', value: baseline }, limit: 3 * baseline + 3 }]
  } finally {
    await server.close()
    await db.destroy()
  }
}
