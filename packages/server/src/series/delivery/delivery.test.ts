import { addScenes, addSeries, changeScene } from '@idolon/contract'
import { blankScene } from '@idolon/core'
import ExifReader from 'exifreader'
import { strFromU8, unzipSync } from 'fflate'
import { randomUUID } from 'node:crypto'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../../testing/test-server.ts'

let server: TestServer
const series = randomUUID()
beforeAll(async () => {
  server = await TestServer.start()
  const { id: projectId } = await server.project()
  await server.call(addSeries, { body: { id: series, projectId, name: 'Foxes <b>', story: '' } })
  const scene = (beat: string, caption: string) => ({ id: randomUUID(), body: { ...blankScene(), beat, words: `${beat} at dusk, gouache`, caption, motion: { camera: 'push in' as const, subject: '', seconds: 3 } }, story: null })
  const { scenes } = await server.call(addScenes, { params: { series }, body: { after: null, scenes: [scene('A red fox', '</script><b>One</b>'), scene('=SUM(1)', '')] } })
  const run = await server.ended(await server.run(scenes[0]!.promptId, 0))
  await server.call(changeScene, { params: { scene: scenes[0]!.id }, body: { chosen: run.proofs[0]!.id } })
})
afterAll(() => server.stop())

const get = (what: string, query = '') => fetch(`${server.address}/api/series/${series}/delivery/${what}?${query}`)
const bytes = async (what: string, query = '') => Buffer.from(await (await get(what, query)).arrayBuffer())

describe('a series goes out', () => {
  it.each(['shots.pdf', 'book.pdf', 'contact.pdf'])('as %s', async (what) => {
    const pdf = await bytes(what)
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
    expect(pdf.length).toBeGreaterThan(5_000)
  })

  it('as lists that nothing in them runs', async () => {
    const csv = await (await get('shots.csv')).text()
    expect(csv.split('\r\n')[2]).toMatch(/^2,"'=SUM\(1\)",/)
    expect(await (await get('captions.vtt')).text()).toBe('WEBVTT\n\n1\n00:00:00.000 --> 00:00:03.000\n&lt;/script&gt;&lt;b&gt;One&lt;/b&gt;\n')
  })

  it('as an animatic that asks for nothing and whose captions are no markup', async () => {
    const page = (await bytes('animatic.html')).toString()
    expect(page.match(/<\/script>/g)).toHaveLength(1)
    expect(page).not.toMatch(/(?:src|href)="?http/)
    expect(page).toContain('data:image/jpeg;base64,')
    expect(page).toContain('<title>Foxes &lt;b&gt;</title>')
  })

  it('as pictures named by scene, in other ratios too, with where they come from', async () => {
    const files = unzipSync(new Uint8Array(await bytes('pictures.zip', 'ratios=1:1,16:9')))
    expect(Object.keys(files).sort()).toEqual(['01-a-red-fox-16x9.png', '01-a-red-fox-1x1.png', '01-a-red-fox.png', 'where-they-come-from.txt'])
    const square = await sharp(files['01-a-red-fox-1x1.png']).metadata()
    expect(square.width).toBe(square.height)
    const tags = ExifReader.load(Buffer.from(files['01-a-red-fox.png']!)) as unknown as Record<string, { value: unknown; description: string }>
    expect(tags['DigitalSourceType']?.description).toContain('digitalsourcetype/algorithmicMedia')
    expect(tags['AIPromptInformation']?.description).toMatch(/red fox at dusk/i)
    expect(strFromU8(files['where-they-come-from.txt']!)).toMatch(/01-a-red-fox\.png: .* made by a program that draws by rule/)
    expect((await get('pictures.zip', 'ratios=wide')).status).toBe(400)
  })

  it('as a contact sheet, and tells how far it is', async () => {
    const delivery = randomUUID()
    const stop = new AbortController()
    const { body } = await fetch(`${server.address}/api/events`, { signal: stop.signal })
    const told = (async () => {
      let said = ''
      for await (const chunk of body!.pipeThrough(new TextDecoderStream())) {
        said += chunk
        if (said.includes(`"deliveryId":"${delivery}","done":2,"of":2`)) return true
      }
      return false
    })()
    expect((await sharp(await bytes('contact.png', `delivery=${delivery}`)).metadata()).width).toBeGreaterThan(1_000)
    expect(await told).toBe(true)
    stop.abort()
    expect((await get('everything.doc')).status).toBe(400)
  })
})
