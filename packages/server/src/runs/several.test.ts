import { importPictures, changeProof, compareProofs, createPrompt, listVersions, readSheet, type Run, setMoney, startRun, sumLedger } from '@idolon/contract'
import type { Edit } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { picture } from '../testing/fake-engine.ts'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const ENGINES: Edit = { engines: { at: 0, remove: 1, insert: [{ engine: 'burin', settings: { count: 2, aspectRatio: '1:1' } }, { engine: 'brayer', revision: '1' }, { engine: 'tympan', settings: { count: 1 } }] }, settings: { count: 3 } }
const start = (prompt: string, more: object) => server.call(startRun, { params: { prompt }, body: { id: randomUUID(), ...more } as { id: string; revision: number } })
const upload = (bytes: Buffer) => fetch(`${server.address}/api/pictures`, { method: 'POST', body: new Uint8Array(bytes), headers: { 'content-type': 'application/octet-stream' } })
const shaOf = async (bytes: Buffer) => ((await (await upload(bytes)).json()) as { sha256: string }).sha256

describe('a run of several engines', () => {
  it('asks each for as many as it was set to, at its own size, all with the same seeds', async () => {
    const { id } = await server.prompt('a red fox at dusk')
    await server.edit(id, 1, ENGINES)
    const run = await server.ended(await start(id, { revision: 2, seed: 40 }))
    const made = (engine: string) => run.proofs.filter((proof) => proof.engine.id === engine).map(({ seed, output, state }) => [state, seed, output.settings['aspectRatio']])
    expect(made('burin')).toEqual([['stored', 40, '1:1'], ['stored', 41, '1:1']])
    expect(made('brayer')).toEqual([['stored', 40, '3:2'], ['stored', 41, '3:2'], ['stored', 42, '3:2']])
    expect(made('tympan')).toEqual([['stored', 40, '3:2']])
    const sums = await server.call(sumLedger, { params: { by: 'engine' }, query: { project: run.projectId } })
    expect(sums.map(({ label, amount, proofs }) => [label, amount, proofs]).sort()).toEqual([['Brayer 1', expect.any(Number) as number, 3], ['Burin 2', expect.any(Number) as number, 2], ['Tympan 2', 6, 1]])
  })

  it('goes through a setting with everything else and the seeds alike, and says where it cannot', async () => {
    const { id } = await server.prompt('a red fox at dusk')
    await server.edit(id, 1, { settings: { count: 2, seed: 9 } })
    const run = await server.ended(await start(id, { revision: 2, sweep: { key: 'guidance', values: [3, 5, 9] } }))
    expect(run.proofs.map(({ index, seed, output }) => [index, seed, output.settings['guidance']])).toEqual([[0, 9, 3], [1, 10, 3], [2, 9, 5], [3, 10, 5], [4, 9, 9], [5, 10, 9]])
    const refused = (sweep: object) => server.ask(startRun, { params: { prompt: id }, body: { id: randomUUID(), revision: 2, sweep } as never })
    expect((await refused({ key: 'guidance', values: [3, 99] })).body).toMatchObject({ type: '/problems/nothing-to-try' })
    expect((await refused({ key: 'spread', values: ['wide', 'close'] })).body).toMatchObject({ detail: expect.stringMatching(/has no setting|cannot be/) as string })
    const [a, b] = [run.proofs[0]!, run.proofs[4]!]
    const { differences, near } = await server.call(compareProofs, { params: { proof: a.id, other: b.id } })
    expect(near).toBe(true)
    expect(differences).toEqual([{ kind: 'setting', change: 'changed', a: 'guidance 3', b: 'guidance 9' }])
  })

  it('is refused as a whole when it would pass the ceiling, and two at once cannot both take what is left', async () => {
    const prompt = await server.prompt('a red fox at dusk')
    const project = prompt.projectId
    await server.call(setMoney, { params: { project }, body: { currency: 'EUR', rates: [{ unit: 'credit', price: 0.05 }], ceiling: { unit: 'EUR', amount: 1 } } })
    await server.edit(prompt.id, 1, { settings: { count: 3 } })
    // Three pictures at 4 credits are 0.60; a second such run is too much.
    const answers = await Promise.all([1, 2].map(() => server.ask(startRun, { params: { prompt: prompt.id }, body: { id: randomUUID(), revision: 2 } })))
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 409])
    expect(answers.find(({ status }) => status === 409)?.body).toMatchObject({ type: '/problems/over-ceiling', detail: expect.stringMatching(/would cost 0.60 EUR, and 0.40 EUR is left/) as string })
    await server.ended(answers.find(({ status }) => status === 201)!.body as Run)
    await server.call(setMoney, { params: { project }, body: { currency: 'EUR', rates: [], ceiling: { unit: 'credit', amount: 24 } } })
    await server.ended(await start(prompt.id, { revision: 2 }))
    expect((await server.ask(startRun, { params: { prompt: prompt.id }, body: { id: randomUUID(), revision: 2 } })).status).toBe(409)
    const csv = await (await fetch(`${server.address}/api/ledger.csv?project=${project}`)).text()
    expect(csv.split('\r\n')[0]).toMatch(/^at,project,prompt,engine,revision,kind,amount/)
    expect(csv.split('\r\n')).toHaveLength(1 + 2 * 6)
  })
})

describe('reference pictures', () => {
  it('go along by role and strength, and a proof that is the base is remembered as the parent', async () => {
    const { id } = await server.prompt('a red fox at dusk')
    await server.edit(id, 1, { settings: { count: 1 } })
    const first = (await server.ended(await start(id, { revision: 2 }))).proofs[0]!
    const sha256 = await shaOf(await picture(77, 60, 40))
    await server.edit(id, 2, { references: { at: 0, remove: 0, insert: [{ reference: sha256, role: 'palette', strength: 40 }, { reference: first.id, role: 'base', strength: 60 }] } })
    const [proof] = (await server.ended(await start(id, { revision: 3 }))).proofs
    expect(proof?.parentId).toBe(first.id)
    const sent = (server.engine.calls.at(-1)?.body as unknown as { references: { role: string; strength: number; image: string }[] }).references
    expect(sent.map(({ role, strength }) => [role, strength])).toEqual([['palette', 40], ['base', 60]])
    expect(await sharp(Buffer.from(sent[0]!.image, 'base64')).metadata()).toMatchObject({ width: 60, height: 40, format: 'png' })
    await server.edit(id, 3, { references: { at: 0, remove: 1, insert: [{ reference: 'f'.repeat(64), role: 'palette', strength: 40 }] } })
    expect((await server.ask(startRun, { params: { prompt: id }, body: { id: randomUUID(), revision: 4 } })).body).toMatchObject({ type: '/problems/nothing-to-try' })
  })

  it('a change instruction starts from a proof and is sent as it is written', async () => {
    const prompt = await server.prompt('a red fox at dusk')
    await server.edit(prompt.id, 1, { settings: { count: 1 } })
    const first = (await server.ended(await start(prompt.id, { revision: 2 }))).proofs[0]!
    const change = await server.call(createPrompt, { body: { projectId: prompt.projectId, change: { proof: first.id, strength: 70, text: 'Make the sky green and remove the fence' } } })
    expect(change.draft).toMatchObject({ kind: 'change', references: [{ reference: first.id, role: 'base', strength: 70 }], engines: [{ engine: 'burin' }] })
    const [proof] = (await server.ended(await start(change.id, { revision: 0 }))).proofs
    expect(proof).toMatchObject({ parentId: first.id, output: { text: 'Make the sky green and remove the fence' } })
    const [version] = await server.call(listVersions, { params: { prompt: change.id } })
    expect(version?.body.kind).toBe('change')
  })
})

describe('pictures made elsewhere', () => {
  it('join a run that waits for them, once each, at the cost of the profile', async () => {
    const { id } = await server.prompt('a red fox at dusk')
    const run = await start(id, { revision: 1, byHand: { engine: { engine: 'brayer' } } })
    expect(run).toMatchObject({ byHand: true, proofs: [] })
    const [one, two] = [await shaOf(await picture(1)), await shaOf(await picture(2))]
    await server.call(importPictures, { params: { run: run.id }, body: { pictures: [{ sha256: one, seed: 12 }, { sha256: two, settings: { guidance: 4 } }, { sha256: one }] } })
    const after = await server.call(importPictures, { params: { run: run.id }, body: { pictures: [{ sha256: two }] } })
    expect(after.proofs.map(({ seed, imported, state, engine }) => [seed, imported, state, engine.name])).toEqual([[12, true, 'stored', 'Brayer'], [null, true, 'stored', 'Brayer']])
    expect(after.cost).toEqual([{ unit: 'credit', amount: 2 * after.proofs[0]!.cost!.amount }])
    expect((await server.call(readSheet, { query: { run: run.id } })).total).toBe(2)
    expect(await server.call(changeProof, { params: { proof: after.proofs[0]!.id }, body: { verdict: 'keep' } })).toMatchObject({ verdict: 'keep' })
  })

  it('may come from nowhere, with no words and at no cost', async () => {
    const prompt = await server.call(createPrompt, { body: { projectId: (await server.project()).id } })
    const run = await start(prompt.id, { revision: 0, byHand: { engine: { engine: 'elsewhere' } } })
    const after = await server.call(importPictures, { params: { run: run.id }, body: { pictures: [{ sha256: await shaOf(await picture(31)) }] } })
    expect(after).toMatchObject({ cost: [{ amount: 0 }], proofs: [{ engine: { name: 'Elsewhere' }, state: 'stored', imported: true }] })
  })

  it('are refused with a reason when they are none, and read for what made them', async () => {
    const refused = await upload(Buffer.from('BM and more'))
    expect([refused.status, await refused.json()]).toMatchObject([422, { type: '/problems/not-a-picture', detail: expect.stringMatching(/not a PNG, JPEG, WebP, GIF, AVIF or TIFF/) as string }])
    const png = await sharp(await picture(3)).withMetadata({ exif: { IFD0: { ImageDescription: 'a heron over a mill pond at dusk', Software: 'Seed: 4411, Steps: 12' } } }).jpeg().toBuffer()
    expect(await (await upload(png)).json()).toMatchObject({ made: { text: 'a heron over a mill pond at dusk', seed: 4411 } })
    const text = Buffer.from('parameters\0a brass lantern on a windowsill\nSeed: 77')
    const plain = await picture(4)
    const chunk = Buffer.concat([Buffer.from([0, 0, 0, text.length]), Buffer.from('tEXt'), text, Buffer.alloc(4)])
    expect(await (await upload(Buffer.concat([plain.subarray(0, 33), chunk, plain.subarray(33)]))).json()).toMatchObject({ made: { text: 'a brass lantern on a windowsill', seed: 77 } })
  })
})
