import { chromium } from '@playwright/test'
import { draftOfCase, type HelperCase, judge, judgedOf, SHIPPED_HELPERS } from '@idolon/core/helper'
import { createDatabase, judgingTools, startServer } from '@idolon/server'
import { randomSubjects } from '@idolon/standins'
import { spawn } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { once } from 'node:events'
import { createServer, request as ask } from 'node:http'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { type Bench, type Figure, percentile, timed } from './figure.ts'
import { CHROMIUM_FLAGS } from './first-load.ts'

const ROOT = process.env['IDOLON_ROOT'] ?? '.'
const STANDIN = 47_413
const PROXY = 47_414
const SUBJECTS = 200
const SEED = 20_261
const AT_ONCE = 4
const CASES = 30
const STREAMS = 12
/** What the simulated models take over each few words while answers are watched. */
const PIECE_MS = 30
/** What a writer types who gives no instruction to speak of. */
const BARE = 'Fill this out:\n\n{{ prompt }}'

interface Answered {
  id: string
  state: string
  value: unknown
  mended: string[]
  tries: number
}

/** Helpers on subjects nobody wrote rules for; how soon an answer's first words are seen; a run of cases beside its requests alone. */
export const helpers: Bench = async () => {
  const base = process.env['BENCH_DATABASE_URL'] ?? ''
  const standin = spawn('node', [join(ROOT, 'packages/standins/dist/standins.mjs')], { env: { ...process.env, STANDIN: 'language', PORT: String(STANDIN) }, stdio: ['ignore', 'pipe', 'inherit'] })
  await once(standin.stdout, 'data')
  // Between server and stand-in, to know when the first byte of an answer came.
  let firstByte = 0
  const proxy = createServer((request, response) => {
    const onward = ask({ port: STANDIN, host: '127.0.0.1', path: request.url, method: request.method, headers: request.headers }, (answer) => {
      response.writeHead(answer.statusCode ?? 502, answer.headers)
      answer.once('data', () => (firstByte = performance.timeOrigin + performance.now()))
      answer.pipe(response)
    })
    request.pipe(onward)
  }).listen(PROXY, '127.0.0.1')
  const server = await startServer({ databaseUrl: await createDatabase(base, 'bench'), port: 0, engineAddress: 'http://127.0.0.1:9', modelAddress: `http://127.0.0.1:${PROXY}`, engineHosts: '', secretKey: undefined, pageFolder: process.env['IDOLON_PAGE'], roles: new Set(['web', 'jobs']), engineTimeoutMs: 60_000, logLevel: 'silent', checkAnswers: false })
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS })
  const call = async <T>(method: string, path: string, body?: unknown): Promise<T> => {
    const response = await fetch((server.address ?? '') + path, { method, headers: { 'content-type': 'application/json' }, ...(body === undefined ? {} : { body: JSON.stringify(body) }) })
    if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`)
    return (await response.json()) as T
  }
  try {
    const project = await call<{ id: string }>('POST', '/api/projects', { name: 'Bench' })
    const [bare] = await call<{ id: string }[]>('POST', '/api/helpers', { format: 'idolon-helpers-1', helpers: [{ body: { ...SHIPPED_HELPERS[0]!.body, name: 'Bare', instruction: BARE }, why: '', cases: [] }] })
    const turn = async (helper: string, model: string, values: object, draft: object, seed: number): Promise<Answered> => {
      const { id } = await call<{ id: string }>('POST', '/api/turns', { id: randomUUID(), projectId: project.id, promptId: null, helper, model, values, draft, seed, parentId: null, further: null, takes: [] })
      for (;;) {
        const now = await call<Answered>('GET', `/api/turns/${id}`)
        if (now.state !== 'asked' && now.state !== 'answering') return now
        await sleep(15)
      }
    }
    const tools = await judgingTools(undefined, undefined)
    const subjects = randomSubjects(SUBJECTS, SEED)
    /** Asks for every subject, a few at once, and counts what goes wrong. */
    const fill = async (helper: string, model: string) => {
      const missed = { valid: 0, facets: 0, locked: 0, stops: 0 }
      const left = [...subjects.entries()]
      const next = async (): Promise<void> => {
        const one = left.shift()
        if (!one) return
        const [i, { text, locked }] = one
        const draft = draftOfCase({ text, locked, leaveOut: [], engine: null })
        const { state, value, mended, tries } = await turn(helper, model, { length: [40, 70, 110][i % 3], style: ['as the engine reads', 'sentences', 'a list'][i % 3] }, draft, i)
        const { judged } = judgedOf('prompt', draft, { value: state === 'done' ? value : undefined, mended, tries }, tools)
        if (state !== 'done') missed.valid++
        if (!judge({ kind: 'facets-present', least: 9 }, judged).pass) missed.facets++
        if (!judge({ kind: 'locked-kept' }, judged).pass) missed.locked++
        if (!judge({ kind: 'no-stops' }, judged).pass) missed.stops++
        return next()
      }
      await Promise.all(Array.from({ length: AT_ONCE }, next))
      return missed
    }
    const figures: Figure[] = []
    const plain = await fill(bare!.id, 'flourish')
    for (const model of ['quoin', 'flourish']) {
      const missed = await fill('fill-out', model)
      const figure = (what: string, key: keyof typeof missed, limit: number) => figures.push({ what: `Of ${SUBJECTS} subjects filled out by ${model}, ${what}`, value: (100 * missed[key]) / SUBJECTS, unit: '%', baseline: { what: 'flourish with a bare instruction', value: (100 * plain[key]) / SUBJECTS }, limit })
      figure('those with no valid proposal', 'valid', 0)
      figure('those with fewer than nine facets', 'facets', 2)
      figure('those with locked words lost', 'locked', 0)
      figure('those with a stop from the checks', 'stops', 5)
    }
    let [near, pairs] = [0, 0]
    for (const [i, { text }] of subjects.entries()) {
      const { value } = await turn('ideas', i % 2 ? 'quoin' : 'flourish', { theme: text, count: 10 }, draftOfCase({ text: '', locked: [], leaveOut: [], engine: null }), i)
      const { ideas } = value as { ideas: string[] }
      if (ideas.length < 10 || !judge({ kind: 'distinct', count: 10 }, judgedOf('ideas', draftOfCase({ text: '', locked: [], leaveOut: [], engine: null }), { value, mended: [], tries: 1 }, tools).judged).pass) near++
      pairs++
    }
    figures.push({ what: `Of ${SUBJECTS} themes, those of whose ten ideas two are nearly the same or some are missing`, value: (100 * near) / pairs, unit: '%', baseline: { what: 'one idea said twice', value: 100 }, limit: 2 })

    await fetch(`http://127.0.0.1:${STANDIN}/v1/standin`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ delayMs: PIECE_MS }) })
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const prompt = await call<{ id: string }>('POST', '/api/prompts', { projectId: project.id })
    await call('POST', `/api/prompts/${prompt.id}/edits`, { client: randomUUID(), first: 1, base: 0, edits: [{ text: [{ from: 0, to: 0, insert: 'a ferry' }] }] })
    await page.goto(`${server.address ?? ''}/desk/${prompt.id}`)
    await page.getByRole('tab', { name: 'Helpers' }).click()
    const shown: number[] = []
    const heard: number[] = []
    for (let i = 0; i < STREAMS; i++) {
      const helper = page.getByRole('button', { name: /^Fill out / })
      if ((await helper.getAttribute('aria-expanded')) !== 'true') await helper.click()
      await page.evaluate(() => {
        const seen = new MutationObserver(() => {
          if (!document.querySelector('.growing .words')?.textContent) return
          ;(window as unknown as { seenAt: number }).seenAt = performance.timeOrigin + performance.now()
          seen.disconnect()
        })
        seen.observe(document.body, { childList: true, subtree: true, characterData: true })
      })
      await page.getByRole('button', { name: 'Ask', exact: true }).click()
      await page.locator('.growing .words').waitFor()
      shown.push((await page.evaluate(() => (window as unknown as { seenAt: number }).seenAt)) - firstByte)
      await page.getByRole('button', { name: 'Leave all' }).click({ timeout: 30_000 })
      await page.getByRole('button', { name: 'Put away' }).click()
      // The same heard by a bare client of the server's stream.
      const { id } = await call<{ id: string }>('POST', '/api/turns', { id: randomUUID(), projectId: project.id, promptId: null, helper: 'fill-out', model: 'quoin', values: {}, draft: draftOfCase({ text: 'a ferry', locked: [], leaveOut: [], engine: null }), seed: i, parentId: null, further: null, takes: [] })
      const stream = await fetch(`${server.address ?? ''}/api/turns/${id}/stream`)
      for await (const chunk of stream.body as unknown as AsyncIterable<Uint8Array>) {
        if (!Buffer.from(chunk).toString().includes('data: "')) continue
        heard.push(performance.timeOrigin + performance.now() - firstByte)
        break
      }
      await call('POST', `/api/turns/${id}/stop`)
    }
    figures.push({ what: 'First words of an answer seen after the model’s first byte, p95', value: percentile(shown, 95), unit: 'ms', baseline: { what: 'heard by a bare client of the stream, p95', value: percentile(heard, 95) }, limit: 150 })

    // Thirty cases on two versions, beside the same number of requests to the model alone.
    await fetch(`http://127.0.0.1:${STANDIN}/v1/standin`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ delayMs: 10 }) })
    const cases = randomSubjects(CASES, 7).map(({ text, locked }): HelperCase => ({ name: text, text, locked, leaveOut: [], engine: null, values: {}, existing: [], criteria: [{ kind: 'facets-present', least: 9 }, { kind: 'locked-kept' }, { kind: 'no-stops' }] }))
    const [own] = await call<{ id: string }[]>('POST', '/api/helpers', { format: 'idolon-helpers-1', helpers: [{ body: { ...SHIPPED_HELPERS[0]!.body, name: 'Thirty' }, why: '', cases }] })
    await call('POST', `/api/helpers/${own!.id}/versions`, { body: { ...SHIPPED_HELPERS[0]!.body, name: 'Thirty', instruction: BARE }, why: '', use: false })
    const whole = await timed(async () => {
      const { id } = await call<{ id: string }>('POST', `/api/helpers/${own!.id}/case-runs`, { id: randomUUID(), projectId: project.id, sides: [{ version: 1, model: 'flourish' }, { version: 2, model: 'flourish' }], seed: 1 })
      for (;;) {
        const { results } = await call<{ results: { state: string }[] }>('GET', `/api/case-runs/${id}`)
        if (results.every(({ state }) => state !== 'asked' && state !== 'answering')) return
        await sleep(100)
      }
    })
    const alone = await timed(async () => {
      const left = Array.from({ length: CASES * 2 }, (_, i) => i)
      const next = async (): Promise<void> => {
        const i = left.shift()
        if (i === undefined) return
        await (await fetch(`http://127.0.0.1:${STANDIN}/v1/chat/completions`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ model: 'flourish-1', stream: true, seed: i, messages: [{ role: 'user', content: `Fill this out: <material name="prompt">\n${cases[i % CASES]!.text}\n</material>` }] }) })).text()
        return next()
      }
      await Promise.all(Array.from({ length: AT_ONCE }, next))
    })
    figures.push({ what: `${CASES} cases on two versions, asked and judged, of what the model alone takes`, value: (100 * whole) / alone, unit: '%', baseline: { what: 'the model alone', value: 100 }, limit: 250 })
    return figures
  } finally {
    await browser.close()
    await server.close()
    proxy.closeAllConnections()
    proxy.close()
    standin.kill()
  }
}
