import { chromium, type Page } from '@playwright/test'
import { seededRandom } from '@idolon/core'
import { connectDatabase, type Database } from '@idolon/server'
import { createHash, randomUUID } from 'node:crypto'
import { readdir, readFile } from 'node:fs/promises'
import sharp from 'sharp'
import { type Bench } from './figure.ts'
import { CHROMIUM_FLAGS } from './first-load.ts'
import { lateFrames } from './late-frames.ts'
import { measuredServer } from './server.ts'

const PROOFS = 2_000
const ENGINES = ['Burin', 'Brayer', 'Tympan']

/** Two thousand proofs with pictures of their own, as detailed as painted ones. */
async function fill(db: Database, promptId: string): Promise<void> {
  const random = seededRandom(2_000)
  const version = randomUUID()
  await db('versions').insert({ id: version, prompt_id: promptId, number: 1, body: JSON.stringify({ text: 'a fox', marks: [], leaveOut: [], references: [] }), phrases_maker: 'phrases-1' })
  const noise = await sharp({ create: { width: 160, height: 107, channels: 3, background: '#808080', noise: { type: 'gaussian', mean: 128, sigma: 60 } } }).png().toBuffer()
  const base = await sharp(noise).resize(480, 320, { kernel: 'cubic' }).toColourspace('srgb').png().toBuffer()
  for (let run = 0; run < PROOFS / 100; run++) {
    const runId = randomUUID()
    await db('runs').insert({ id: runId, prompt_id: promptId, version_id: version, draft_revision: 0, engines: '[]', settings: '{}', asked_by: 'bench' })
    const made = await Promise.all(
      Array.from({ length: 100 }, async () => {
        const thumbnail = await sharp(base).tint({ r: Math.floor(255 * random()), g: Math.floor(255 * random()), b: Math.floor(255 * random()) }).rotate(random() < 0.5 ? 180 : 0).webp({ quality: 82 }).toBuffer()
        return { thumbnail, small: await sharp(thumbnail).resize(240).webp({ quality: 80 }).toBuffer(), sha256: createHash('sha256').update(thumbnail).update(String(random())).digest('hex') }
      }),
    )
    await db('pictures').insert(made.map(({ thumbnail, small, sha256 }) => ({ sha256, small, bytes: thumbnail, width: 768, height: 512, size: thumbnail.length, thumbnail, thumbnail_maker: 'bench', type: 'image/webp' })))
    await db('proofs').insert(
      made.map(({ sha256 }, i) => {
        const name = ENGINES[i % 3]!
        return { id: randomUUID(), run_id: runId, prompt_id: promptId, version_id: version, engine: JSON.stringify({ id: name.toLowerCase(), name, revision: '2', simulated: true }), place: i, state: 'stored', output: JSON.stringify({ text: 'a fox', leaveOut: '', settings: { guidance: 1 + (i % 9) }, used: 5, limit: null, cut: [], notes: [] }), seed: i, cost_unit: 'credit', reserved: 4, cost: 4, stored_at: db.fn.now(), picture: sha256 }
      }),
    )
  }
}

/** So many pictures in sight are the first. */
const FIRST = 12

/** Milliseconds on the page's own clock when the first pictures in sight are there. */
async function firstPictures(page: Page, selector: string): Promise<number> {
  const handle = await page.waitForFunction(
    ([of, least]) => {
      const seen = [...document.querySelectorAll<HTMLImageElement>(of)].filter((image) => image.complete && image.naturalWidth > 0 && image.getBoundingClientRect().top < innerHeight)
      return seen.length >= least ? performance.now() : undefined
    },
    [selector, FIRST] as const,
    { polling: 'raf' },
  )
  return (await handle.jsonValue()) ?? NaN
}
/** Goes to a view as a link of the page does; when it was asked for, on the page's own clock. */
const followLink = (page: Page, address: string): Promise<number> =>
  page.evaluate((to) => {
    const now = performance.now()
    history.pushState({}, '', to)
    dispatchEvent(new PopStateEvent('popstate', { state: {} }))
    return now
  }, address)

/** Memory of a browser and all its processes, in kB: what they share is counted once (PSS). */
async function memoryOf(pid: number): Promise<number> {
  const parents = new Map<number, number>()
  for (const name of await readdir('/proc')) {
    if (!/^\d+$/.test(name)) continue
    const stat = await readFile(`/proc/${name}/stat`, 'utf8').catch(() => '')
    const parent = /\) \w (\d+)/.exec(stat)?.[1]
    if (parent) parents.set(Number(name), Number(parent))
  }
  const below = (id: number): boolean => id === pid || (parents.has(id) && parents.get(id) !== 1 && below(parents.get(id)!))
  let sum = 0
  for (const id of parents.keys()) if (below(id)) sum += Number(/^Pss:\s+(\d+)/m.exec(await readFile(`/proc/${id}/smaps_rollup`, 'utf8').catch(() => ''))?.[1] ?? 0)
  return sum
}

/** A sheet of 2,000 proofs in a browser, beside a bare page with the same pictures. */
export const sheet: Bench = async () => {
  const { server, address, databaseUrl, post } = await measuredServer()
  const db = connectDatabase(databaseUrl)
  try {
    const project = await post<{ id: string }>('/api/projects', { name: 'Bench' })
    const prompt = await post<{ id: string }>('/api/prompts', { projectId: project.id })
    await fill(db, prompt.id)
    const hashes = (await db('pictures').select<{ sha256: string }[]>('sha256')).map(({ sha256 }) => sha256)
    const bare = `<!doctype html><style>body{margin:0}div{height:100vh;overflow:auto}img{width:174px;height:114px;margin:4px;object-fit:contain}</style><div id="all">${hashes.map((hash) => `<img src="/api/pictures/${hash}/thumbnail">`).join('')}</div>`
    const look = async (open: string, image: string, scroller: string, within?: string) => {
      // Each in a browser of its own: nothing is cached, and memory is its own.
      const own = await chromium.launchServer({ executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS })
      try {
        const browser = await chromium.connect(own.wsEndpoint())
        const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
        await page.route('**/bare.html', (route) => route.fulfill({ contentType: 'text/html', body: bare }))
        const empty = await memoryOf(own.process().pid ?? 0)
        let asked = 0
        if (within) {
          await page.goto(address + within)
          await page.getByRole('heading').first().waitFor()
          await page.waitForTimeout(3_000)
          asked = await followLink(page, open)
        } else await page.goto(address + open, { waitUntil: 'commit' })
        const first = (await firstPictures(page, image)) - asked
        await page.waitForTimeout(2_000)
        const late = await lateFrames(page, scroller)
        return { first, late, memory: (await memoryOf(own.process().pid ?? 0)) - empty }
      } finally {
        await own.close()
      }
    }
    const cold = await look(`/proofs/sheet?prompt=${prompt.id}&by=free`, '.tile img', '.scroller')
    const ours = await look(`/proofs/sheet?prompt=${prompt.id}&by=free`, '.tile img', '.scroller', '/shelf')
    const plain = await look('/bare.html', '#all img', '#all')
    return [
      { what: 'First pictures of a sheet of 2,000 proofs, from another view', value: ours.first, unit: 'ms', baseline: { what: 'a bare page of the same pictures', value: plain.first }, limit: 500 },
      { what: 'First pictures of a sheet of 2,000 proofs, in a browser that was never here', value: cold.first, unit: 'ms', baseline: { what: 'a bare page of the same pictures', value: plain.first }, limit: 2_000 },
      { what: 'Late frames while a sheet of 2,000 proofs is scrolled', value: ours.late, unit: '%', baseline: { what: 'a bare page of the same pictures', value: plain.late }, limit: 5 },
      { what: 'Memory that a sheet of 2,000 proofs takes, scrolled, over that of an empty browser', value: ours.memory, unit: 'kB', baseline: { what: 'a bare page of the same pictures', value: plain.memory }, limit: 400_000 },
    ]
  } finally {
    await server.close()
    await db.destroy()
  }
}
