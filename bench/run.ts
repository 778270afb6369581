import { chromium } from '@playwright/test'
import { createDatabase, startServer } from '@idolon/server'
import { spawn } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { once } from 'node:events'
import { join } from 'node:path'
import { type Bench, percentile, timed } from './figure.ts'
import { CHROMIUM_FLAGS } from './first-load.ts'

const ROOT = process.env['IDOLON_ROOT'] ?? '.'
const PORT = 47_412
const EACH = 6
const ENGINES = ['burin', 'brayer', 'tympan']
const TEXT = 'an old woman and a fox in a village street at dusk, gouache'
const ROUNDS = 3
/** What the engines wait as in the demo, so that they feel like ones that are elsewhere. */
const DELAY_MS = 700
/** Four of each engine, as its profile says. */
const AT_ONCE = 12

/** A run of three engines, six pictures each: until all are stored and shown, beside the engines asked for the same by themselves, as many at once. */
export const run: Bench = async () => {
  const base = process.env['BENCH_DATABASE_URL'] ?? ''
  const engine = spawn('node', [join(ROOT, 'packages/standins/dist/standins.mjs')], { env: { ...process.env, PORT: String(PORT), DELAY_MS: String(DELAY_MS), UV_THREADPOOL_SIZE: '2' }, stdio: ['ignore', 'pipe', 'inherit'] })
  await once(engine.stdout, 'data')
  const engineAddress = `http://127.0.0.1:${PORT}`
  const server = await startServer({ databaseUrl: await createDatabase(base, 'bench'), port: 0, engineAddress, modelAddress: engineAddress, engineHosts: '', secretKey: undefined, pageFolder: process.env['IDOLON_PAGE'], roles: new Set(['web', 'jobs']), engineTimeoutMs: 60_000, logLevel: 'silent', checkAnswers: false })
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS })
  try {
    const ask = async <T>(method: string, path: string, body?: unknown): Promise<T> => {
      const response = await fetch((server.address ?? '') + path, { method, headers: { 'content-type': 'application/json' }, ...(body === undefined ? {} : { body: JSON.stringify(body) }) })
      if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`)
      return (await response.json()) as T
    }
    const project = await ask<{ id: string }>('POST', '/api/projects', { name: 'Bench' })
    const prompt = await ask<{ id: string }>('POST', '/api/prompts', { projectId: project.id })
    const edit = { text: [{ from: 0, to: 0, insert: TEXT }], settings: { count: EACH, seed: 1 }, engines: { at: 0, remove: 1, insert: ENGINES.map((name) => ({ engine: name })) } }
    const { revision } = await ask<{ revision: number }>('POST', `/api/prompts/${prompt.id}/edits`, { client: randomUUID(), first: 1, base: 0, edits: [edit] })
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`${server.address ?? ''}/desk/${prompt.id}`)
    await page.getByRole('textbox', { name: 'Text of the prompt' }).waitFor()
    const whole: number[] = []
    const alone: number[] = []
    const answers: number[] = []
    // The first round warms the engines and the server up and is not counted.
    for (let round = 1; round <= ROUNDS + 1; round++) {
      const seed = 1_000 * round
      let under = true
      const began = performance.now()
      const typing = (async () => {
        const text = page.getByRole('textbox', { name: 'Text of the prompt' })
        await text.click()
        while (under) {
          // How long a key waits for its letter to be drawn, while pictures come in.
          answers.push(await timed(() => page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve))))))
          await page.waitForTimeout(120)
        }
      })()
      await ask('POST', `/api/prompts/${prompt.id}/runs`, { id: randomUUID(), revision, seed })
      await page.waitForFunction((wanted) => document.querySelectorAll('.tile img').length >= wanted, round * EACH * ENGINES.length, { polling: 50, timeout: 120_000 })
      whole.push(performance.now() - began)
      under = false
      await typing
      // The same requests by themselves, as many at once as the server asks them; other seeds, so that nothing is remembered.
      alone.push(
        await timed(async () => {
          const requests = ENGINES.flatMap((name) => Array.from({ length: EACH }, (_, i) => ({ engine: name, revision: '2', prompt: TEXT, width: 768, height: 512, seed: seed + 500 + i })))
          const next = async (): Promise<void> => {
            const request = requests.shift()
            if (!request) return
            const response = await fetch(`${engineAddress}/v1/pictures`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(request) })
            await response.arrayBuffer()
            return next()
          }
          await Promise.all(Array.from({ length: AT_ONCE }, next))
        }),
      )
    }
    console.log(`  whole ${whole.map(Math.round).join(', ')} ms; alone ${alone.map(Math.round).join(', ')} ms`)
    return [
      { what: 'A run of 3 engines and 6 pictures each, all stored and shown, of what the engines alone take', value: (100 * percentile(whole.slice(1), 50)) / percentile(alone.slice(1), 50), unit: '%', baseline: { what: 'the engines alone', value: 100 }, limit: 130 },
      { what: 'A frame of the Desk while a run comes in, p95', value: percentile(answers, 95), unit: 'ms', baseline: { what: 'a frame of the screen', value: 16.7 }, limit: 100 },
    ]
  } finally {
    await browser.close()
    await server.close()
    engine.kill()
  }
}
