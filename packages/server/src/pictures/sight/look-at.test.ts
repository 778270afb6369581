import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterAll, expect, it } from 'vitest'
import { decompress } from 'wawoff2'
import { lettering, stopReading } from './lettering.ts'
import { lookAt } from './look-at.ts'

afterAll(stopReading)

const require = createRequire(import.meta.url)
const svg = (body: string) => sharp(Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="640" height="400">${body}</svg>`)).png().toBuffer()
/** Two words in a font that ships, light on a dark panel. */
async function sign(): Promise<Buffer> {
  const folder = await mkdtemp(join(tmpdir(), 'idolon-sign-'))
  const fontfile = join(folder, 'font.ttf')
  await writeFile(fontfile, await decompress(await readFile(require.resolve('@fontsource/archivo/files/archivo-latin-600-normal.woff2'))))
  const text = await sharp({ text: { text: '<span foreground="#f6efe0">TARROW LINE</span>', font: 'Archivo 60', fontfile, rgba: true, width: 420, dpi: 72 } }).png().toBuffer()
  await rm(folder, { recursive: true })
  return sharp(await svg('<rect width="640" height="400" fill="#f6efe0"/><rect x="40" y="110" width="560" height="170" fill="#1d3b34"/>')).composite([{ input: text }]).png().toBuffer()
}

it('reads the words of a sign, and says first what needs no network', async () => {
  const order: string[] = []
  const reading = await lookAt(await sign(), { first: ({ palette }) => order.push(`first ${palette[0]?.name}`), facts: () => order.push('then') })
  order.push('all')
  expect(order).toEqual(['first white', 'then', 'all'])
  expect(reading.lettering).toMatchObject({ present: true, text: 'TARROW LINE' })
  expect(reading.phrases.find(({ facet }) => facet === 'lettering')?.text).toBe('with the words “TARROW LINE”')
  expect(reading).toMatchObject({ people: 0, focus: null })
  expect(reading.medium).not.toBe('photo')
})

it('finds no words, things or people in a plain ground, and survives one pixel', async () => {
  expect(await lookAt(await svg('<rect width="640" height="400" fill="#445566"/>'))).toMatchObject({ people: 0, objects: [], lettering: { present: false, text: '' }, shot: null })
  const pixel = await sharp({ create: { width: 1, height: 1, channels: 3, background: '#ff0000' } }).png().toBuffer()
  expect((await lookAt(pixel)).palette).toMatchObject([{ name: 'red', share: 1 }])
  expect(await lettering({ width: 2, height: 2, rgb: new Uint8Array(12) })).toEqual([])
})
