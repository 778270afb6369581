import { EXPECTATIONS, judge, type PictureRequest, plainSvg } from '@idolon/standins'
import { Resvg } from '@resvg/resvg-js'
import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { type Bench, percentile, timed } from './figure.ts'

const ROOT = process.env['IDOLON_ROOT'] ?? '.'
const PORT = 47_411
const MEDIA = ['gouache', 'oil painting', 'watercolour', 'ink wash', 'engraving', 'charcoal', 'screen print', 'linocut', 'photograph', 'paper cut']
const SEEDS = Array.from({ length: 10 }, (_, i) => 11 + 7 * i)

/** The simulated engines in a process of their own: one picture after another, eight at once, and whether words and settings show. */
export const pictures: Bench = async () => {
  const child = spawn('node', [join(ROOT, 'packages/standins/dist/standins.mjs')], { env: { ...process.env, PORT: String(PORT), DELAY_MS: '0', UV_THREADPOOL_SIZE: '2' }, stdio: ['ignore', 'pipe', 'inherit'] })
  try {
    await once(child.stdout, 'data')
    const ask = async (request: PictureRequest): Promise<never> => {
      const response = await fetch(`http://127.0.0.1:${PORT}/v1/pictures`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(request) })
      if (!response.ok) throw new Error(await response.text())
      return (await response.json()) as never
    }
    const request = (i: number): PictureRequest => ({ engine: 'burin', revision: '2', prompt: `an old woman and a fox in a village street at dusk, ${MEDIA[i % MEDIA.length] ?? ''}`, width: 768, height: 512, seed: i })
    for (let i = 0; i < MEDIA.length; i++) await ask(request(i))
    const times: number[] = []
    const bare: number[] = []
    for (let i = 0; i < 3 * MEDIA.length; i++) {
      times.push(await timed(() => ask(request(i))))
      const svg = plainSvg(request(i).prompt, i, 768, 512)
      bare.push(await timed(() => Promise.resolve(new Resvg(svg, { font: { loadSystemFonts: false } }).render().asPng())))
    }
    const peak = async () => Number(/VmHWM:\s+(\d+)/.exec(await readFile(`/proc/${child.pid ?? 0}/status`, 'utf8'))?.[1] ?? 0)
    const alone = await peak()
    await Promise.all(Array.from({ length: 8 }, (_, i) => ask(request(100 + i))))
    const together = await peak()
    let failing = 0
    for (const expectation of EXPECTATIONS) {
      const { shown, kept } = await judge(ask, expectation, SEEDS)
      if (shown < 9 || kept < 9) {
        failing++
        console.log(`  ${expectation.name}: shown on ${shown} of 10 seeds, the rest kept on ${kept}`)
      }
    }
    return [
      { what: 'A simulated picture of 768 by 512 pixels, median over ten media', value: percentile(times, 50), unit: 'ms', baseline: { what: 'its SVG through resvg alone', value: percentile(bare, 50) }, limit: 400 },
      { what: 'A simulated picture of 768 by 512 pixels, p95', value: percentile(times, 95), unit: 'ms', baseline: { what: 'its SVG through resvg alone, p95', value: percentile(bare, 95) }, limit: 400 },
      { what: 'Most memory of the simulated engines, eight pictures at once', value: together, unit: 'kB', baseline: { what: 'one at a time', value: alone }, limit: 400_000 },
      { what: `Of ${EXPECTATIONS.length} words and settings, those that do not show as they should on 9 of 10 seeds`, value: failing, unit: 'rows', baseline: { what: 'all of them', value: EXPECTATIONS.length }, limit: 0 },
    ]
  } finally {
    child.kill()
  }
}
