import { chromium, type Page } from '@playwright/test'
import { seededRandom } from '@idolon/core'
import { connectDatabase, type Database } from '@idolon/server'
import { createHash, randomUUID } from 'node:crypto'
import sharp from 'sharp'
import { type Bench } from './figure.ts'
import { CHROMIUM_FLAGS } from './first-load.ts'
import { lateFrames } from './late-frames.ts'
import { measuredServer } from './server.ts'

const SCENES = 60
const TIMES = 12

interface SeriesAnswer {
  scenes: { id: string; promptId: string; text: string; leaveOut: string[] }[]
}

/** A chosen picture for every scene, as large and as detailed as a simulated engine makes them. */
async function choosePictures(db: Database, scenes: SeriesAnswer['scenes']): Promise<void> {
  const random = seededRandom(60)
  for (const scene of scenes) {
    const grain = await sharp({ create: { width: 384, height: 256, channels: 3, background: '#808080', noise: { type: 'gaussian', mean: 128, sigma: 40 } } }).png().toBuffer()
    const bytes = await sharp(grain).resize(768, 512).tint({ r: Math.floor(255 * random()), g: Math.floor(255 * random()), b: 120 }).png().toBuffer()
    const sha256 = createHash('sha256').update(bytes).digest('hex')
    const [version, run, proof] = [randomUUID(), randomUUID(), randomUUID()]
    await db('versions').insert({ id: version, prompt_id: scene.promptId, number: 1, body: JSON.stringify({ text: scene.text, marks: [], leaveOut: scene.leaveOut, references: [] }), phrases_maker: 'phrases-1' })
    await db('runs').insert({ id: run, prompt_id: scene.promptId, version_id: version, draft_revision: 0, engines: '[]', settings: '{}', asked_by: 'bench' })
    await db('pictures').insert({ sha256, bytes, small: bytes, thumbnail: bytes, width: 768, height: 512, size: bytes.length, thumbnail_maker: 'bench', type: 'image/png' }).onConflict('sha256').ignore()
    await db('proofs').insert({ id: proof, run_id: run, prompt_id: scene.promptId, version_id: version, engine: JSON.stringify({ id: 'burin', name: 'Burin', revision: '2', simulated: true }), place: 0, state: 'stored', output: JSON.stringify({ text: scene.text, leaveOut: '', settings: {}, used: 5, limit: null, cut: [], notes: [] }), seed: 1, cost_unit: 'credit', reserved: 4, cost: 4, stored_at: db.fn.now(), picture: sha256 })
    await db('scenes').where({ id: scene.id }).update({ chosen: proof })
  }
}

/** Types a word into what is always said; milliseconds until the scenes in sight say it, and until all do. */
async function typed(page: Page, word: string): Promise<{ seen: number; all: number }> {
  return page.evaluate(
    ([said, wanted]) =>
      new Promise<{ seen: number; all: number }>((resolve) => {
        const field = document.querySelector<HTMLInputElement>('.part-editor li .serif input')!
        const began = performance.now()
        let seen: number | undefined
        const look = () => {
          const rows = [...document.querySelectorAll<HTMLElement>('.effects > ul > li')]
          const has = (row: HTMLElement) => (row.textContent ?? '').includes(said)
          const inSight = rows.filter((row) => row.getBoundingClientRect().top < innerHeight)
          if (seen === undefined && inSight.length > 0 && inSight.every(has)) seen = performance.now() - began
          if (seen !== undefined && rows.length === wanted && rows.every(has)) resolve({ seen, all: performance.now() - began })
          else requestAnimationFrame(look)
        }
        field.value = `an old beekeeper in a ${said} mood`
        field.dispatchEvent(new Event('input', { bubbles: true }))
        requestAnimationFrame(look)
      }),
    [word, SCENES] as const,
  )
}
const middle = (list: number[], share = 0.5) => list.toSorted((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))] ?? NaN
async function took(work: () => Promise<unknown>): Promise<number> {
  const began = performance.now()
  await work()
  return performance.now() - began
}

/** A series of sixty scenes: how soon a change of a character shows in them, and how long the book of it takes. */
export const series: Bench = async () => {
  const { server, address, databaseUrl, post } = await measuredServer()
  const db = connectDatabase(databaseUrl)
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS })
  try {
    const project = await post<{ id: string }>('/api/projects', { name: 'Bench' })
    const part = async (kind: string, name: string, ...texts: string[]) => {
      const id = randomUUID()
      await post('/api/parts', { id, projectId: project.id, body: { kind, name, also: [], again: '', says: texts.map((text, i) => ({ key: `p${i + 1}`, text })), variants: [], never: [], references: [], seed: null, settings: {}, engines: [], note: '' }, why: '' })
      return id
    }
    const hedda = await part('character', 'Hedda', 'an old beekeeper', 'with a white plait', 'in a waxed canvas coat')
    const heron = await part('character', 'Heron', 'a tall clockwork heron of riveted brass', 'with glass eyes')
    const places = [await part('place', 'Apiary', 'a terraced apiary', 'straw hives on shelves'), await part('place', 'Bridge', 'an old stone bridge', 'with an iron railing')]
    const id = randomUUID()
    await post('/api/series', { id, projectId: project.id, name: 'Sixty', story: '' })
    const scenes = Array.from({ length: SCENES }, (_, i) => ({ id: randomUUID(), story: null, body: { beat: `Beat ${i + 1}`, words: i % 2 ? `Hedda lifts lantern ${i + 1} towards the Heron` : `Hedda walks past hive ${i + 1}`, cast: [{ part: hedda, variants: [] }, ...(i % 2 ? [{ part: heron, variants: [] }] : [])], place: { part: places[i % 2], variants: [] }, where: '', moment: i % 3 ? 'dusk' : 'early morning', framing: i % 4 ? 'medium shot' : 'wide shot', motion: { camera: 'still', subject: '', seconds: 4 }, sound: '', caption: '', note: '' } }))
    const made = await post<SeriesAnswer>(`/api/series/${id}/scenes`, { after: null, scenes })
    await choosePictures(db, made.scenes)

    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
    await page.goto(`${address}/series/${id}/parts/${hedda}`)
    await page.locator('.part-editor li .serif input').first().waitFor()
    await page.waitForTimeout(1_500)
    await typed(page, 'first')
    const shown: { seen: number; all: number }[] = []
    for (let i = 0; i < TIMES; i++) shown.push(await typed(page, `word${i}`))
    const bare: number[] = []
    for (let i = 0; i < TIMES; i++) bare.push(await took(async () => (await fetch(`${address}/api/series/${id}`)).json()))

    await page.goto(`${address}/series/${id}`)
    await page.getByRole('button', { name: `Scene ${SCENES}:` }).waitFor()
    await page.waitForTimeout(1_500)
    const late = await lateFrames(page, 'html')
    await page.route('**/bare.html', (route) => route.fulfill({ contentType: 'text/html', body: `<!doctype html>${made.scenes.map(({ text }) => `<p style="height:90px">${text}`).join('')}` }))
    await page.goto(`${address}/bare.html`)
    const bareLate = await lateFrames(page, 'html')

    const pdf = await took(async () => (await fetch(`${address}/api/series/${id}/delivery/book.pdf`)).arrayBuffer())
    const pictures = await db('pictures').select<{ bytes: Buffer }[]>('bytes')
    const resized = await took(async () => {
      for (const { bytes } of pictures) await sharp(bytes).jpeg({ quality: 82 }).toBuffer()
    })
    return [
      { what: `A changed character in the scenes in sight, of a series of ${SCENES}`, value: middle(shown.map(({ seen }) => seen)), unit: 'ms', baseline: { what: 'reading the series alone', value: middle(bare) }, limit: 100 },
      { what: `A changed character in all ${SCENES} scenes, p95`, value: middle(shown.map(({ all }) => all), 0.95), unit: 'ms', baseline: { what: 'reading the series alone, p95', value: middle(bare, 0.95) }, limit: 1_000 },
      { what: `Late frames while a series of ${SCENES} scenes is scrolled`, value: late, unit: '%', baseline: { what: 'a bare page of the same texts', value: bareLate }, limit: 5 },
      { what: `The book of prompts of ${SCENES} scenes as PDF`, value: pdf / 1000, unit: 's', baseline: { what: 'its pictures as JPEG alone', value: resized / 1000 }, limit: 15 },
    ]
  } finally {
    await browser.close()
    await server.close()
    await db.destroy()
  }
}
