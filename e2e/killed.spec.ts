import { type ChildProcess, spawn } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { once } from 'node:events'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { createDatabase } from '../packages/server/src/database/create-database.ts'
import { ROOT } from './launched.ts'
import { engineUsage, expect, type PromptAnswer, test } from './application.ts'

interface RunAnswer {
  id: string
  proofs: { id: string; state: string; cost: { amount: number } | null; picture: { sha256: string } | null }[]
}
/** More with `IDOLON_ROUNDS`. */
const ROUNDS = Number(process.env['IDOLON_ROUNDS'] ?? 8)
/** A run of three pictures takes about this long here. */
const WITHIN_MS = 1_400

/** Multiplicative congruential numbers from 0 to 1 (Park and Miller 1988): the same moments in every test. */
function moments(seed: number): () => number {
  let state = seed
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647
}
/** What a page does with a request that got no answer: the same once more. */
async function until<T>(ask: () => Promise<T>): Promise<T> {
  const end = Date.now() + 180_000
  for (;;) {
    try {
      return await ask()
    } catch (error) {
      if (Date.now() > end) throw error
      await sleep(150)
    }
  }
}

/** A server of its own beside the application: the launcher would tire of starting it again. */
class Killed {
  #process: ChildProcess | undefined
  address = ''
  constructor(private readonly databaseUrl: string) {}

  /** Returns when it serves. */
  async start(): Promise<void> {
    const env = { ...process.env, DATABASE_URL: this.databaseUrl, PORT: '0', IDOLON_ENGINE_ADDRESS: process.env['E2E_ENGINE'], IDOLON_LOG: 'silent', IDOLON_PAGE: '' }
    const started = spawn(process.execPath, [join(ROOT, 'packages/server/dist/server.mjs')], { env, stdio: ['ignore', 'pipe', 'inherit'] })
    this.#process = started
    for await (const chunk of started.stdout as AsyncIterable<Buffer>) {
      const address = /serves (http:\S+)/.exec(chunk.toString())?.[1]
      if (!address) continue
      this.address = address
      return
    }
    throw new Error('The server ended before it served.')
  }
  async kill(signal: NodeJS.Signals = 'SIGKILL'): Promise<void> {
    const ended = once(this.#process!, 'exit')
    this.#process!.kill(signal)
    await ended
  }
  async api<T>(method: string, path: string, body?: unknown): Promise<T> {
    const response = await fetch(this.address + path, { method, ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }) })
    if (!response.ok) throw new Error(`${path} answered ${response.status}: ${await response.text()}`)
    return (await response.json()) as T
  }
}

test('the server killed at random moments of runs: no proof lost, none doubled, the ledger equals the engines’ own count', async () => {
  test.setTimeout(900_000)
  const server = new Killed(await createDatabase(process.env['TEST_DATABASE_URL'] ?? '', 'killed'))
  await server.start()
  const api = server.api.bind(server)
  const project = await api<{ id: string }>('POST', '/api/projects', { name: 'Killed' })
  const prompt = await api<PromptAnswer>('POST', '/api/prompts', { projectId: project.id, title: 'Killed again and again' })
  const edits = [{ text: [{ from: 0, to: 0, insert: 'a stone bridge over a stream, morning mist, gouache' }], settings: { count: 1 }, engines: { at: 0, remove: 1, insert: [{ engine: 'burin' }, { engine: 'brayer' }, { engine: 'tympan' }] } }]
  const { revision } = await api<{ revision: number }>('POST', `/api/prompts/${prompt.id}/edits`, { client: randomUUID(), first: 1, base: 0, edits })
  const random = moments(4_711)
  const before = await engineUsage()
  const runs: string[] = []
  for (let round = 0; round < ROUNDS; round++) {
    const id = randomUUID()
    runs.push(id)
    const started = until(() => api<RunAnswer>('POST', `/api/prompts/${prompt.id}/runs`, { id, revision }))
    await sleep(random() * WITHIN_MS)
    await server.kill()
    await server.start()
    await started
  }
  const ended = () => Promise.all(runs.map((id) => until(() => api<RunAnswer>('GET', `/api/runs/${id}`))))
  await expect.poll(async () => (await ended()).flatMap(({ proofs }) => proofs).filter(({ state }) => state === 'asked' || state === 'sent').length, { timeout: 120_000, intervals: [1_000] }).toBe(0)
  const proofs = (await ended()).flatMap((run) => run.proofs)
  expect(proofs).toHaveLength(3 * ROUNDS)
  expect(proofs.filter(({ state, picture }) => state === 'stored' && picture)).toHaveLength(3 * ROUNDS)
  expect((await engineUsage()).charged - before.charged).toBe(3 * ROUNDS)
  const spent = await api<{ key: string; amount: number; proofs: number }[]>('GET', `/api/ledger/by/prompt?project=${project.id}`)
  const own = spent.find(({ key }) => key === prompt.id)
  expect(own).toMatchObject({ proofs: 3 * ROUNDS, amount: proofs.reduce((sum, { cost }) => sum + (cost?.amount ?? 0), 0) })
  await server.kill('SIGTERM')
})
