import { chromium } from '@playwright/test'
import { scan } from '@idolon/core'
import { createReader, englishTagger } from '@idolon/core/reader'
import { gzipSync } from 'node:zlib'
import { perCall, prompts, table, texts } from './corpus.ts'
import { type Bench, percentile } from './figure.ts'
import { CHROMIUM_FLAGS } from './first-load.ts'
import { measuredServer } from './server.ts'

/** Keys typed into a long draft: milliseconds from each to a settled outline, and the page's longest task meanwhile. */
async function typing(text: string): Promise<{ settled: number[]; longest: number }> {
  const { server, address, post } = await measuredServer()
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS })
  try {
    const project = await post<{ id: string }>('/api/projects', { name: 'Reading' })
    const prompt = await post<{ id: string }>('/api/prompts', { projectId: project.id })
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`${address}/desk/${prompt.id}`)
    const editor = page.getByRole('textbox', { name: 'Text of the prompt' })
    await editor.click()
    await page.keyboard.insertText(text)
    await page.locator('.outline[aria-busy=false] .phrase').first().waitFor({ timeout: 30_000 })
    await page.waitForTimeout(1_000)
    await page.evaluate(() => {
      const own = window as unknown as { settled: number[]; longest: number }
      own.settled = []
      own.longest = 0
      let began = 0
      document.querySelector('.cm-content')?.addEventListener('beforeinput', () => (began = performance.now()), { capture: true })
      new MutationObserver(() => {
        if (began && document.querySelector('.outline')?.getAttribute('aria-busy') === 'false') {
          own.settled.push(performance.now() - began)
          began = 0
        }
      }).observe(document.querySelector('.outline')!, { attributes: true, attributeFilter: ['aria-busy'] })
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) own.longest = Math.max(own.longest, entry.duration)
      }).observe({ type: 'longtask' })
    })
    for (const key of ' a small grey owl watches from the gate, soft evening light, ink drawing') {
      await page.keyboard.type(key)
      await page.waitForTimeout(120)
    }
    await page.waitForTimeout(500)
    return await page.evaluate(() => {
      const { settled, longest } = window as unknown as { settled: number[]; longest: number }
      return { settled, longest }
    })
  } finally {
    await browser.close()
    await server.close()
  }
}

/** Reading: from scratch beside tagging alone, a thousand prompts, keys typed into a long draft, the size of its tables. */
export const reading: Bench = async () => {
  const files = { words: await table('words.bin'), network: await table('reader.bin') }
  const tables = [files.words, files.network, await table('known.bin'), await table('kin.bin')]
  const all = await prompts()
  const short = texts(all, 60)
  const tag = englishTagger()
  const half = Math.floor(short.length / 2)
  // One reader, as an application has. A pass has more prompts than a reader remembers, so each is read from scratch
  // every time; the first three passes, on other texts, warm both up.
  const reader = createReader(files.words, files.network)
  const pass = (list: readonly string[]) => ({ tagging: perCall(list, (text) => tag(text, scan(text))), scratch: perCall(list, (text) => reader.read(text)) })
  for (let i = 0; i < 3; i++) pass(short.slice(0, half))
  const passes = Array.from({ length: 5 }, () => pass(short.slice(half)))
  const tagging = percentile(passes.map((one) => one.tagging), 50)
  const scratch = percentile(passes.map((one) => one.scratch), 50)
  const thousand = Array.from({ length: 1_000 }, (_, i) => all[i % all.length] ?? '')
  const fresh = createReader(files.words, files.network)
  const alone = perCall(thousand, (text) => tag(text, scan(text)))
  const each = perCall(thousand, (text) => fresh.read(text))
  const odd = ['x:', 'no ', '1:2 ', 'red fox, ', '{"a":', '蜂', 'a'].map((part) => part.repeat(20_000 / part.length))
  const slowest = Math.max(...odd.map((text) => perCall([text], (one) => fresh.read(one))))
  const prose = all.join(' ').slice(0, 20_000)
  const { settled, longest } = await typing(texts(all, 400)[1] ?? '')
  return [
    { what: 'Reading a prompt of 60 words from scratch', value: scratch, unit: 'ms', baseline: { what: 'tagging alone', value: tagging }, limit: 4 * tagging },
    { what: 'Reading 1,000 prompts', value: each, unit: 's', baseline: { what: 'tagging alone', value: alone }, limit: 5 },
    { what: 'Reading 20,000 odd characters, slowest', value: slowest, unit: 'ms', baseline: { what: '20,000 of prose', value: perCall([prose], (one) => fresh.read(one)) }, limit: 200 },
    { what: 'Outline of a draft of 400 words settled after a key, p95', value: percentile(settled, 95), unit: 'ms', baseline: { what: 'its median', value: percentile(settled, 50) }, limit: 50 },
    { what: 'Longest task of the page while typing', value: longest, unit: 'ms', baseline: { what: 'keys typed', value: settled.length }, limit: 50 },
    { what: 'Tables of the reading and the lexicon, gzip', value: tables.reduce((sum, table) => sum + gzipSync(table).length, 0) / 1000, unit: 'kB', baseline: { what: 'unpacked', value: tables.reduce((sum, table) => sum + table.length, 0) / 1000 }, limit: 3_000 },
  ]
}
