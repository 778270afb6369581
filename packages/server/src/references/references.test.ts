import { addReference, askHelper, changeReference, closeTries, createProject, deleteReference, listBin, listReferences, restoreFromBin, readAgreement, readReading, readReference, type ReferenceWhole } from '@idolon/contract'
import { emptyDraft } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { picture } from '../testing/fake-engine.ts'
import { LanguageStandin } from '../testing/language-standin.ts'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
let standin: LanguageStandin
let projectId = ''
beforeAll(async () => {
  standin = await LanguageStandin.start()
  server = await TestServer.start(undefined, standin.address)
  projectId = (await server.call(createProject, { body: { name: 'References' } })).id
})
afterAll(async () => {
  await server.stop()
  await standin.stop()
})

const sent = async (bytes: Buffer) => (await (await fetch(`${server.address}/api/pictures`, { method: 'POST', headers: { 'content-type': 'application/octet-stream' }, body: new Uint8Array(bytes) })).json()) as { sha256: string }
const texts = { name: 'The quay', source: '', rights: 'own', note: '' } as const
const add = async (sha256: string, id = randomUUID()) => server.call(addReference, { body: { id, projectId, picture: { sha256 }, ...texts } })
async function read(id: string): Promise<ReferenceWhole> {
  await expect.poll(async () => (await server.call(readReference, { params: { reference: id } })).reference.stage, { interval: 150 }).toMatch(/read|failed/)
  return server.call(readReference, { params: { reference: id } })
}
/** A JPEG with more segments of its own after its first two bytes; none may be longer than 65,533 bytes. */
const withSegments = (jpeg: Buffer, marker: number, payloads: Buffer[]) => Buffer.concat([jpeg.subarray(0, 2), ...payloads.map((payload) => {
  const head = Buffer.from([0xff, marker, 0, 0])
  head.writeUInt16BE(payload.length + 2, 2)
  return Buffer.concat([head, payload])
}), jpeg.subarray(2)])
const slices = (bytes: Buffer, size: number) => Array.from({ length: Math.ceil(bytes.length / size) }, (_, i) => bytes.subarray(i * size, (i + 1) * size))
const withComment = (jpeg: Buffer, text: string) => withSegments(jpeg, 0xfe, slices(Buffer.from(text), 65_000))
const withProfile = (jpeg: Buffer, size: number) => {
  const parts = slices(Buffer.alloc(size, 7), 65_000)
  return withSegments(jpeg, 0xe2, parts.map((part, i) => Buffer.concat([Buffer.from('ICC_PROFILE\0'), Buffer.from([i + 1, parts.length]), part])))
}
const blue = (kind: 'tiff' | 'gif' | 'avif' | 'jpeg') => sharp({ create: { width: 300, height: 200, channels: 3, background: '#2050c0' } })[kind]().toBuffer()

describe('a reference', () => {
  it('is read by itself, and the same picture twice in a project is one', async () => {
    const { sha256 } = await sent(await blue('jpeg'))
    const reference = await add(sha256)
    expect(await add(sha256)).toMatchObject({ id: reference.id })
    const { facts, reading } = await read(reference.id)
    expect(facts).toMatchObject({ temperature: 'cool', palette: [{ name: 'blue', share: 1 }] })
    expect(reading).toMatchObject({ people: 0, lettering: { present: false }, phrases: expect.arrayContaining([expect.objectContaining({ facet: 'colour', evidence: 'palette' })]) as unknown })
    expect((await server.call(listReferences, { query: { project: projectId } })).map(({ id }) => id)).toEqual([reference.id])
  })

  it.each(['tiff', 'gif', 'avif'] as const)('may be a %s', async (kind) => {
    const { sha256 } = await sent(await blue(kind))
    const { reference, facts } = await read((await add(sha256)).id)
    expect([reference.stage, facts?.palette[0]?.name]).toEqual(['read', 'blue'])
  })

  it('may be a proof, and what is said of it can be changed', async () => {
    const { id } = await server.prompt('a fox')
    const { proofs } = await server.ended(await server.run(id, 1))
    const reference = await server.call(addReference, { body: { id: randomUUID(), projectId, picture: { proofId: proofs[0]!.id }, ...texts } })
    expect(reference).toMatchObject({ proofId: proofs[0]!.id, picture: { sha256: proofs[0]!.picture!.sha256 } })
    expect(await server.call(changeReference, { params: { reference: reference.id }, body: { rights: 'licensed', note: 'until spring' } })).toMatchObject({ rights: 'licensed', note: 'until spring', name: 'The quay' })
  })

  it('goes to the bin and comes back with its reading', async () => {
    const { id } = await add((await sent(await picture(5))).sha256)
    await read(id)
    await server.call(deleteReference, { params: { reference: id } })
    expect((await server.ask(readReference, { params: { reference: id } })).status).toBe(404)
    const entry = (await server.call(listBin)).find(({ kind }) => kind === 'reference')!
    expect(entry).toMatchObject({ name: 'The quay', picture: expect.stringMatching(/^[0-9a-f]{64}$/) as string })
    await server.call(restoreFromBin, { params: { kind: 'reference', id: entry.id } })
    expect((await server.call(readReference, { params: { reference: id } })).reference.stage).toBe('read')
  })

  it('says what its file says, hostile or not, as text', async () => {
    const bytes = await sharp(await picture(6)).withExif({ IFD0: { ImageDescription: '<script>alert(1)</script>', Model: 'A made-up camera' } }).jpeg().toBuffer()
    const { metadata } = await read((await add((await sent(bytes)).sha256)).id)
    expect(metadata).toEqual(expect.arrayContaining([{ name: 'ImageDescription', value: '<script>alert(1)</script>' }, { name: 'Model', value: 'A made-up camera' }]))
  })

  it('tells how close the tries came whose words were borrowed from it', async () => {
    const reference = await add((await sent(await picture(11, 320, 200))).sha256)
    await read(reference.id)
    expect(await server.call(closeTries, { params: { reference: reference.id } })).toEqual([])
    const { id } = await server.prompt('a fox, cool colours')
    await server.edit(id, 1, { marks: { remove: [], add: [{ from: 7, to: 19, kind: 'from', source: { type: 'reference', id: reference.id } }] } })
    await server.ended(await server.run(id, 2))
    const tries = () => server.call(closeTries, { params: { reference: reference.id } })
    expect((await tries()).map(({ promptId, version }) => [promptId, version])).toEqual(Array(4).fill([id, 1]))
    await expect.poll(async () => (await tries()).map(({ stage }) => stage), { interval: 200 }).toEqual(Array(4).fill('read'))
    const [first] = await tries()
    expect(first!.closeness!.whole).toBeGreaterThan(0)
    expect(first!.closeness!.by.map(({ respect }) => respect)).toContain('palette')
    expect(first!.advice.length).toBeGreaterThan(0)
    expect(first!.advice[0]!.past).toEqual({ tried: 0, closer: 0 })
  })

  it('has its reading by its picture, once it is read', async () => {
    const { sha256 } = await sent(await picture(21, 320, 200))
    expect((await server.ask(readReading, { params: { sha256 } })).status).toBe(404)
    await read((await add(sha256)).id)
    expect(await server.call(readReading, { params: { sha256 } })).toMatchObject({ aspect: 1.6, where: { tones: expect.any(Array) as unknown } })
  })

  it('is described by models when they are asked, and measures say what holds of it', async () => {
    const dark = await sharp({ create: { width: 320, height: 200, channels: 3, background: '#0a1230' } }).png().toBuffer()
    const { reference } = await read((await add((await sent(dark)).sha256)).id)
    const agreement = () => server.call(readAgreement, { params: { reference: reference.id } })
    expect((await agreement()).captions).toEqual([])
    const question = { projectId, promptId: null, helper: 'describe-picture', model: 'quoin', draft: emptyDraft(), seed: 3, parentId: null, further: null, takes: [] }
    expect((await server.ask(askHelper, { body: { ...question, id: randomUUID(), values: {} } })).status).toBe(400)
    expect((await server.ask(askHelper, { body: { ...question, id: randomUUID(), values: { picture: 'f'.repeat(64) } } })).status).toBe(404)
    await server.call(askHelper, { body: { ...question, id: randomUUID(), values: { picture: reference.picture.sha256 } } })
    await expect.poll(async () => (await agreement()).captions.map(({ state }) => state)).toEqual(['done'])
    const { captions, rows } = await agreement()
    expect(captions[0]).toMatchObject({ model: { id: 'quoin', simulated: true }, record: { held: 0, refuted: 0 } })
    expect(rows.some(({ saidBy }) => saidBy.includes('quoin'))).toBe(true)
    expect(rows.filter(({ stand }) => stand === 'measured').length).toBeGreaterThan(2)
  })

  it.each<[string, () => Promise<Buffer>]>([
    ['one pixel', () => sharp({ create: { width: 1, height: 1, channels: 3, background: 'red' } }).png().toBuffer()],
    ['16 bits a channel', () => sharp({ create: { width: 80, height: 60, channels: 3, background: '#4080c0' } }).toColourspace('rgb16').png().toBuffer()],
    ['CMYK', () => sharp({ create: { width: 80, height: 60, channels: 3, background: '#c04020' } }).toColourspace('cmyk').jpeg().toBuffer()],
    ['nothing but transparent', () => sharp({ create: { width: 80, height: 60, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } } }).png().toBuffer()],
    ['a megabyte of text with markup', async () => withComment(await sharp({ create: { width: 80, height: 60, channels: 3, background: '#208040' } }).jpeg().toBuffer(), '<img src=x onerror=alert(1)>'.repeat(36_000))],
    ['a profile of two megabytes that is none', async () => withProfile(await sharp({ create: { width: 80, height: 60, channels: 3, background: '#208040' } }).jpeg().toBuffer(), 2_000_000)],
  ])('may be of %s, and is read to the end', async (_, make) => {
    const response = await fetch(`${server.address}/api/pictures`, { method: 'POST', headers: { 'content-type': 'application/octet-stream' }, body: new Uint8Array(await make()) })
    expect(response.status).toBeLessThan(300)
    const { reference, facts, metadata } = await read((await add(((await response.json()) as { sha256: string }).sha256)).id)
    expect(reference.stage).toBe('read')
    expect(facts!.palette.length).toBeGreaterThan(0)
    for (const { value } of metadata) expect(value.length).toBeLessThanOrEqual(4_000)
  })

  it('of a hundred megapixels is refused by its size, and nothing of it is kept', async () => {
    const huge = await sharp({ create: { width: 10_000, height: 10_000, channels: 3, background: 'red' } }).png({ compressionLevel: 1 }).toBuffer()
    const response = await fetch(`${server.address}/api/pictures`, { method: 'POST', headers: { 'content-type': 'application/octet-stream' }, body: new Uint8Array(huge) })
    expect(response.status).toBe(422)
    expect(await response.text()).toMatch(/10,000 by 10,000 pixels/)
  })

  it('of a picture, a proof or a project that is not there is refused', async () => {
    expect((await server.ask(addReference, { body: { id: randomUUID(), projectId, picture: { sha256: '0'.repeat(64) }, ...texts } })).status).toBe(404)
    expect((await server.ask(addReference, { body: { id: randomUUID(), projectId: randomUUID(), picture: { sha256: (await sent(await picture(9))).sha256 }, ...texts } })).status).toBe(404)
  })
})
