import { addReference, changeReference, closeTries, createProject, deleteReference, listBin, listReferences, putBack, readReference, type ReferenceWhole } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { picture } from '../testing/fake-engine.ts'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
let projectId = ''
beforeAll(async () => {
  server = await TestServer.start()
  projectId = (await server.call(createProject, { body: { name: 'References' } })).id
})
afterAll(() => server.stop())

const sent = async (bytes: Buffer) => (await (await fetch(`${server.address}/api/pictures`, { method: 'POST', headers: { 'content-type': 'application/octet-stream' }, body: new Uint8Array(bytes) })).json()) as { sha256: string }
const texts = { name: 'The quay', source: '', rights: 'own', note: '' } as const
const add = async (sha256: string, id = randomUUID()) => server.call(addReference, { body: { id, projectId, picture: { sha256 }, ...texts } })
async function read(id: string): Promise<ReferenceWhole> {
  await expect.poll(async () => (await server.call(readReference, { params: { reference: id } })).reference.stage, { timeout: 40_000, interval: 150 }).toMatch(/read|failed/)
  return server.call(readReference, { params: { reference: id } })
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
    await server.call(putBack, { params: { kind: 'reference', id: entry.id } })
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
    await expect.poll(async () => (await tries()).map(({ stage }) => stage), { timeout: 60_000, interval: 200 }).toEqual(Array(4).fill('read'))
    const [first] = await tries()
    expect(first!.closeness!.whole).toBeGreaterThan(0)
    expect(first!.closeness!.by.map(({ respect }) => respect)).toContain('palette')
  })

  it('of a picture, a proof or a project that is not there is refused', async () => {
    expect((await server.ask(addReference, { body: { id: randomUUID(), projectId, picture: { sha256: '0'.repeat(64) }, ...texts } })).status).toBe(404)
    expect((await server.ask(addReference, { body: { id: randomUUID(), projectId: randomUUID(), picture: { sha256: (await sent(await picture(9))).sha256 }, ...texts } })).status).toBe(404)
  })
})
