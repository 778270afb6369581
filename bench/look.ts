import { createStandin } from '@idolon/standins'
import { type ChildProcess, spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { proxyOf } from '../packages/server/src/pictures/proxy.ts'
import { stopReading } from '../packages/server/src/pictures/sight/lettering.ts'
import { lookAt } from '../packages/server/src/pictures/sight/look-at.ts'
import { type Bench, percentile, timed } from './figure.ts'

const ROOT = process.env['IDOLON_ROOT'] ?? '.'
const ROUNDS = 5

/** A JPEG of 12 megapixels with a scene, lettering and the noise of a camera. */
async function picture(): Promise<Buffer> {
  const server = createStandin().listen(0, '127.0.0.1')
  await once(server, 'listening')
  try {
    const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/v1/pictures`
    const response = await fetch(address, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ engine: 'burin', revision: '2', prompt: 'an old woman beside hives in a meadow, noon, photograph, a sign that reads “TARROW LINE”', width: 1024, height: 768, seed: 5 }) })
    const { pictures } = (await response.json()) as { pictures: { png: string }[] }
    const noise = await sharp({ create: { width: 4000, height: 3000, channels: 3, background: '#808080', noise: { type: 'gaussian', mean: 128, sigma: 6 } } }).png().toBuffer()
    return await sharp(Buffer.from(pictures[0]!.png, 'base64')).resize(4000, 3000, { kernel: 'lanczos3' }).composite([{ input: noise, blend: 'soft-light' }]).jpeg({ quality: 90 }).toBuffer()
  } finally {
    server.close()
  }
}

/** The most memory that a process ever held, in kB, asked until it ends. */
async function peakOf(child: ChildProcess): Promise<number> {
  let peak = 0
  const asking = setInterval(() => {
    readFile(`/proc/${child.pid ?? 0}/status`, 'utf8').then((text) => { peak = Math.max(peak, Number(/VmHWM:\s+(\d+)/.exec(text)?.[1] ?? 0)) }, () => undefined)
  }, 25)
  const [code] = (await once(child, 'exit')) as [number]
  clearInterval(asking)
  if (code !== 0) throw new Error(`./idolon look ended with ${code}.`)
  return peak
}

/** A large photograph read: first facts, all measures, things and lettering; and the memory of a process that does nothing else. */
export const look: Bench = async () => {
  const bytes = await picture()
  const [bare, first, measures, rest]: number[][] = [[], [], [], []]
  // The networks load once.
  await lookAt(bytes)
  for (let round = 0; round < ROUNDS; round++) {
    bare!.push(await timed(() => proxyOf(bytes)))
    const began = performance.now()
    let measured = 0
    await lookAt(bytes, { first: () => first!.push(performance.now() - began), facts: () => { measured = performance.now(); measures!.push(measured - began) } })
    rest!.push(performance.now() - measured)
  }
  await stopReading()
  const folder = await mkdtemp(join(tmpdir(), 'idolon-look-'))
  try {
    const [large, small] = [join(folder, 'large.jpg'), join(folder, 'small.png')]
    await writeFile(large, bytes)
    await writeFile(small, await sharp({ create: { width: 1, height: 1, channels: 3, background: 'red' } }).png().toBuffer())
    const peak = (file: string) => peakOf(spawn('node', [join(ROOT, '.build/launcher/main.mjs'), 'look', file], { env: { ...process.env, IDOLON_ROOT: ROOT }, stdio: 'ignore' }))
    const [most, least] = [await peak(large), await peak(small)]
    const proxy = percentile(bare!, 50)
    return [
      { what: 'First facts of a JPEG of 12 megapixels, median', value: percentile(first!, 50), unit: 'ms', baseline: { what: 'decoding and resizing it alone', value: proxy }, limit: Math.min(700, 2 * proxy) },
      { what: 'All that is measured of its pixels, p95', value: percentile(measures!, 95), unit: 'ms', baseline: { what: 'decoding and resizing it alone', value: percentile(bare!, 95) }, limit: 2_500 },
      { what: 'Things, people and lettering after that, p95', value: percentile(rest!, 95), unit: 'ms', baseline: { what: 'decoding and resizing it alone', value: percentile(bare!, 95) }, limit: 5_000 },
      { what: 'Most memory of a process that reads it', value: most, unit: 'kB', baseline: { what: 'that reads a picture of one pixel', value: least }, limit: 600_000 },
    ]
  } finally {
    await rm(folder, { recursive: true })
  }
}
