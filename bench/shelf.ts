import { seededRandom } from '@idolon/core'
import { connectDatabase, MeaningThread } from '@idolon/server'
import { chromium } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { join } from 'node:path'
import { type Bench, percentile, timed } from './figure.ts'
import { generatedPrompts, PROMPTS, storePrompts, storeReadings, wordsFrom } from './generated-shelf.ts'
import { CHROMIUM_FLAGS } from './first-load.ts'
import { HALF_REMEMBERED } from './half-remembered.ts'
import { lateFrames } from './late-frames.ts'
import { measuredServer } from './server.ts'
import { DIST, shippedServer } from './shipped-server.ts'

/** Rows that a person looks through; and so few that the page looks by meaning too. */
const SHOWN = 10
const FEW = 6
const BARE = 'the bare full-text query, newest first, p95'

/** Searching as one types, by meaning, and for what is the same, over generated prompts, beside the bare full-text query for the same words. */
export const shelf: Bench = async () => {
  const { server, post, address, databaseUrl } = await measuredServer()
  const db = connectDatabase(databaseUrl)
  try {
    const project = await post<{ id: string }>('/api/projects', { name: 'Bench' })
    const prompts = generatedPrompts()
    await storePrompts(db, project.id, prompts)
    const get = async <T>(path: string, from = address): Promise<T> => {
      const response = await fetch(from + path)
      if (!response.ok) throw new Error(await response.text())
      return (await response.json()) as T
    }
    const search = (q: string, more = '', from = address) => get<{ total: number; rows: unknown[] }>(`/api/shelf?limit=40&q=${encodeURIComponent(q)}${more}`, from)
    const unindexed = async () => (await db.raw<{ rows: { n: number }[] }>('select count(*)::int as n from drafts where search_stale')).rows[0]!.n
    while ((await unindexed()) > 0) await search('warm')
    const meaning = new MeaningThread(databaseUrl, join(DIST, 'meaning.mjs'))
    await storeReadings(db, meaning, prompts)
    await meaning.close()

    const { how, subject, setting, moment, medium } = wordsFrom(seededRandom(20_003))
    const queries = Array.from({ length: 60 }, () => `${how()} ${subject()} ${medium().split(' ')[0] ?? ''}`)
    // As typed: every third beginning, one slip among five.
    const typed = queries.flatMap((query, i) => {
      const beginnings = Array.from({ length: Math.floor(query.length / 3) }, (_, k) => query.slice(0, 3 * (k + 1)))
      return i % 5 ? beginnings : [...beginnings, query.replace(/(\w)(\w)(?=\w*$)/, '$2$1')]
    })
    const bareQuery = (q: string) => db.raw('select prompt_id from shelf where document @@ ?::tsquery and not deleted order by changed desc limit 40', [q.split(' ').filter(Boolean).map((word) => `'${word}':*`).join(' & ')])
    const measure = async (list: readonly string[], more = '') => {
      const searches: number[] = []
      const bare: number[] = []
      for (const q of list) {
        searches.push(await timed(() => search(q, more)))
        bare.push(await timed(async () => bareQuery(q)))
      }
      return { searches: percentile(searches, 95), bare: percentile(bare, 95) }
    }
    const asTyped = await measure(typed)
    const exact = await measure(queries)
    const said = Array.from({ length: 60 }, () => `${subject()}, medium: ${medium()}`)
    const facets = await measure(said)
    // The first look brings the vectors into memory.
    await search('a fox in snow', '&by=meaning')
    const meanings = Array.from({ length: 60 }, () => `${subject()} ${setting()} ${moment()}`)
    const byMeaning = await measure(meanings, '&by=meaning')
    const within = await measure(meanings, '&by=meaning&status=rough&tag=red')
    // What compares prompts is loaded, and compiled as it is used, by the first looks.
    for (const { id } of prompts.slice(400, 420)) await get(`/api/prompts/${id}/near`)
    const near: number[] = []
    for (const { id } of prompts.slice(500, 560)) near.push(await timed(() => get(`/api/prompts/${id}/near`)))

    const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS })
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const bare = `<!doctype html><div>${prompts.slice(0, 400).map(({ text }) => `<p style="height:112px">${text}</p>`).join('')}</div>`
    await page.route('**/bare.html', (route) => route.fulfill({ contentType: 'text/html', body: bare }))
    const scrolled = async (path: string, there: string) => {
      await page.goto(address + path)
      await page.locator(there).nth(5).waitFor()
      await page.waitForTimeout(3_000)
      return lateFrames(page, 'html')
    }
    const late = await scrolled('/shelf', '.shelf-row')
    const lateBare = await scrolled('/bare.html', 'p')
    await browser.close()

    const remembered: { id: string; tries: readonly string[] }[] = []
    for (const { text, tries } of HALF_REMEMBERED) {
      const { id } = await post<{ id: string }>('/api/prompts', { projectId: project.id })
      await post(`/api/prompts/${id}/edits`, { client: randomUUID(), first: 1, base: 0, edits: [{ text: [{ from: 0, to: 0, insert: text }] }] })
      remembered.push({ id, tries })
    }
    const shipped = await shippedServer(databaseUrl)
    try {
      const unread = async () => (await db.raw<{ rows: { n: number }[] }>('select count(*)::int as n from shelf where said_stale or vector_stale')).rows[0]!.n
      await search('warm', '', shipped.address)
      while ((await unread()) > 0) await new Promise((resolve) => setTimeout(resolve, 200))
      // What the page shows of a try: the words, and where they find little what is close in meaning.
      const shows = async (q: string): Promise<string[]> => {
        const rowsOf = async (more: string) => ((await search(q, `&each=true${more}`, shipped.address)).rows as { id: string }[]).map(({ id }) => id).slice(0, SHOWN)
        const byWords = await rowsOf('')
        return byWords.length < FEW ? [...byWords, ...(await rowsOf('&by=meaning'))] : byWords
      }
      let [notFound, notBare] = [0, 0]
      for (const { id, tries } of remembered) {
        let [found, bareFound] = [false, false]
        for (const q of tries) {
          found ||= (await shows(q)).includes(id)
          const { rows } = (await db.raw(`select prompt_id from shelf where document @@ plainto_tsquery('simple', ?) and not deleted order by changed desc limit ${SHOWN}`, [q])) as { rows: { prompt_id: string }[] }
          bareFound ||= rows.some((row) => row.prompt_id === id)
        }
        notFound += Number(!found)
        notBare += Number(!bareFound)
      }
      for (const q of [...typed.slice(0, 80), ...said.slice(0, 20)]) await search(q, '', shipped.address)
      for (const q of meanings) await search(q, '&by=meaning', shipped.address)
      for (const { id } of prompts.slice(600, 620)) await get(`/api/prompts/${id}/near`, shipped.address)
      const peak = await shipped.peak()
      const vectors = (PROMPTS * 512) / 1024
      return [
        { what: `Shelf search over ${PROMPTS.toLocaleString('en')} prompts, p95 of ${typed.length} keystrokes`, value: asTyped.searches, unit: 'ms', baseline: { what: BARE, value: asTyped.bare }, limit: 100 },
        { what: `The same of ${queries.length} searches whose every word is whole`, value: exact.searches, unit: 'ms', baseline: { what: BARE, value: exact.bare }, limit: Math.min(100, 2 * exact.bare) },
        { what: `The same by a word and what a facet says, p95 of ${said.length}`, value: facets.searches, unit: 'ms', baseline: { what: BARE, value: facets.bare }, limit: 100 },
        { what: `The same by meaning, p95 of ${meanings.length}`, value: byMeaning.searches, unit: 'ms', baseline: { what: BARE, value: byMeaning.bare }, limit: 150 },
        { what: `The same by meaning within two filters, p95 of ${meanings.length}`, value: within.searches, unit: 'ms', baseline: { what: BARE, value: within.bare }, limit: 150 },
        { what: `Prompts the same as a draft among ${PROMPTS.toLocaleString('en')}, p95 of ${near.length}`, value: percentile(near, 95), unit: 'ms', baseline: { what: BARE, value: asTyped.bare }, limit: 150 },
        { what: `Late frames while the Shelf of ${PROMPTS.toLocaleString('en')} prompts is scrolled`, value: late, unit: '%', baseline: { what: 'a bare page of 400 of the same texts', value: lateBare }, limit: 5 },
        { what: `Of ${HALF_REMEMBERED.length} prompts half remembered among ${PROMPTS.toLocaleString('en')}, those not among the first ten in three tries`, value: notFound, unit: 'rows', baseline: { what: 'the bare full-text query', value: notBare }, limit: 1 },
        { what: `Most memory of the server with ${PROMPTS.toLocaleString('en')} prompts, searched in all these ways`, value: peak, unit: 'kB', baseline: { what: 'the vectors alone', value: vectors }, limit: 500_000 },
      ]
    } finally {
      shipped.stop()
    }
  } finally {
    await server.close()
    await db.destroy()
  }
}
