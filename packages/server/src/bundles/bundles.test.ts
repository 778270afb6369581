import { addJudgement, addPart, addReference, addScenes, addSeries, addTemplate, BUNDLED_KINDS, type Bundle, bundleSchema, changePrompt, changeProofs, changeScene, changeSeries, createPrompt, type Import, type ImportPreview, setApiKey, listEngines, makeDrafts, previewImport, type Project, readImport, readPrompt, saveEngine, searchShelf, setRules, startImport, startTrial } from '@idolon/contract'
import { blankPart, blankScene, blankSlot, NO_RULES, type PartBody, SHIPPED_ENGINES } from '@idolon/core'
import { Ajv2020 } from 'ajv/dist/2020.js'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { randomUUID } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let here: TestServer
let there: TestServer
let project: Project
const SECRET = 'tok-0815-very-secret'
beforeAll(async () => {
  here = await TestServer.start()
  there = await TestServer.start()
  project = await here.project('Lantern Bees')
  await fill()
})
afterAll(async () => {
  await here.stop()
  await there.stop()
})

/** Prompts with all that can hang on them. */
async function fill(): Promise<void> {
  await here.call(setRules, { params: { project: project.id }, body: { ...NO_RULES, leaveOut: ['people'] } })
  const own = { ...SHIPPED_ENGINES[0]!, id: 'own-press', name: 'Own press', simulated: false, honoursIdempotencyKey: false, connection: { url: 'https://press.invalid/make', headers: { authorization: `Bearer ${SECRET}` }, body: { prompt: '{prompt}' }, answer: { picture: { at: '/picture', as: 'base64' as const } } } }
  await here.call(saveEngine, { params: { engine: own.id, revision: own.revision }, body: own })
  await here.call(setApiKey, { params: { engine: own.id, revision: own.revision }, body: { apiKey: SECRET } })
  const first = await here.prompt('an owl on a post at dusk, gouache', project.id)
  const run = await here.ended(await here.run(first.id, 1))
  const [a, b] = run.proofs
  await here.call(changeProofs, { body: { proofs: [a!.id], verdict: 'keep' } })
  await here.call(addJudgement, { body: { id: randomUUID(), left: a!.id, right: b!.id, better: 'left' } })
  await here.call(changePrompt, { params: { prompt: first.id }, body: { status: 'proven', tags: ['night'], note: 'wörks', bestProofId: a!.id } })
  const reference = await here.call(addReference, { body: { id: randomUUID(), projectId: project.id, picture: { proofId: b!.id }, name: 'post', source: 'own', rights: 'own', note: '' } })
  const copy = await here.call(createPrompt, { body: { projectId: project.id, from: { promptId: first.id } } })
  await here.edit(copy.id, 0, { references: { at: 0, remove: 0, insert: [{ reference: reference.picture.sha256, role: 'layout', strength: 40 }] } })
  const template = await here.call(addTemplate, { body: { projectId: project.id, body: { name: 'Bird', does: '', text: 'a {{ bird }} at dusk', slots: [blankSlot('bird', 'subject')], leaveOut: [] }, why: '' } })
  await here.call(makeDrafts, { params: { template: template.id }, body: { projectId: project.id, version: template.version, rows: [{ id: randomUUID(), values: { bird: 'wren' } }], tags: [] } })
  await here.call(startTrial, { params: { prompt: copy.id }, body: { id: randomUUID(), revision: (await here.call(readPrompt, { params: { prompt: copy.id } })).revision, body: { name: 'Birds', frame: 'a {{ bird }} at dusk, gouache', slots: [blankSlot('bird', 'subject')], values: {}, factors: [{ kind: 'words', slot: 'bird', options: ['owl', 'wren'] }], way: { kind: 'all' }, skip: [], count: 1 } } })
  const part = (body: PartBody) => here.call(addPart, { body: { id: randomUUID(), projectId: project.id, body, why: '' } })
  const [who, look] = [await part({ ...blankPart('character', 'Hedda'), says: [{ key: 'p1', text: 'an old beekeeper' }] }), await part({ ...blankPart('style', 'Lamplight'), says: [{ key: 'p1', text: 'gouache' }] })]
  const series = randomUUID()
  await here.call(addSeries, { body: { id: series, projectId: project.id, name: 'The Lantern Bees', story: 'At dusk Hedda closed the hive.' } })
  await here.call(changeSeries, { params: { series }, body: { revision: 0, style: look.id } })
  const told = await here.call(addScenes, { params: { series }, body: { after: null, scenes: [{ id: randomUUID(), body: { ...blankScene(), beat: 'The hive', words: 'Hedda closes a hive', cast: [{ part: who.id, variants: [] }], moment: 'dusk' }, story: { start: 0, end: 30 } }] } })
  const tried = await here.ended(await here.run(told.scenes[0]!.promptId, 0))
  await here.call(changeScene, { params: { scene: told.scenes[0]!.id }, body: { chosen: tried.proofs[0]!.id } })
  for (let i = 0; i < 200; i++) {
    if ((await here.db('proofs').whereIn('state', ['asked', 'sent'])).length === 0) break
    await sleep(50)
  }
}

const bundleOf = async (server: TestServer, query = ''): Promise<Uint8Array> => new Uint8Array(await (await fetch(`${server.address}/api/shelf.bundle.zip?${query}`)).arrayBuffer())
const jsonOf = (zip: Uint8Array): Bundle => JSON.parse(strFromU8(unzipSync(zip)['bundle.json']!)) as Bundle
async function take(server: TestServer, zip: Uint8Array): Promise<{ status: number; body: Import & { detail: string } }> {
  const response = await fetch(`${server.address}/api/imports?name=prompts.bundle.zip`, { method: 'POST', body: Buffer.from(zip), headers: { 'content-type': 'application/zip' } })
  return { status: response.status, body: (await response.json()) as Import & { detail: string } }
}
const preview = (server: TestServer, file: Import): Promise<ImportPreview> => server.call(previewImport, { params: { import: file.id }, body: { mapping: {} } })
async function open(server: TestServer, file: Import, more: { project?: string; duplicates?: boolean } = {}): Promise<Import> {
  await server.call(startImport, { params: { import: file.id }, body: { mapping: {}, project: more.project ?? null, duplicates: more.duplicates ?? false, tag: '' } })
  for (let i = 0; i < 400; i++) {
    const now = await server.call(readImport, { params: { import: file.id } })
    if (now.state !== 'asked') return now
    await sleep(50)
  }
  throw new Error('The bundle is not opened.')
}
const repacked = (zip: Uint8Array, change: (bundle: Bundle) => unknown, files: Record<string, Uint8Array> = {}): Uint8Array => {
  const bundle = jsonOf(zip)
  const changed = change(bundle) ?? bundle
  return zipSync({ ...unzipSync(zip), 'bundle.json': strToU8(JSON.stringify(changed)), ...files }, { level: 0 })
}

describe('a bundle', () => {
  it('gives the same back elsewhere, with everything its prompts need', async () => {
    const zip = await bundleOf(here, `project=${project.id}`)
    const sent = jsonOf(zip)
    for (const kind of ['projects', 'templates', 'templateVersions', 'prompts', 'drafts', 'versions', 'runs', 'proofs', 'judgements', 'references', 'trials'] as const) expect([kind, sent[kind].length > 0]).toEqual([kind, true])
    const { body: file } = await take(there, zip)
    expect(file).toMatchObject({ format: 'bundle', rows: sent.prompts.length })
    expect((await preview(there, file)).coming).toMatchObject({ count: sent.prompts.length, first: [{ says: expect.stringContaining('version') as string }, {}, {}, {}] })
    expect(await open(there, file)).toMatchObject({ state: 'done', made: sent.prompts.length })
    const back = await bundleOf(there, `project=${project.id}`)
    expect({ ...jsonOf(back), madeAt: '' }).toEqual({ ...sent, madeAt: '' })
    const pictures = (bytes: Uint8Array) => Object.entries(unzipSync(bytes)).filter(([name]) => name.startsWith('pictures/'))
    expect(pictures(back)).toEqual(pictures(zip))
    const [proven] = (await there.call(searchShelf, { query: { status: 'proven' } })).rows
    expect(proven).toMatchObject({ note: 'wörks', keepers: 1, bestProof: { verdict: 'keep' } })
  })

  it('has no secret in it, nor how an engine is asked', async () => {
    const prompt = await here.prompt('a heron for the own press', project.id)
    await here.edit(prompt.id, 1, { engines: { at: 0, remove: 0, insert: [{ engine: 'own-press' }] } })
    const zip = await bundleOf(here, `project=${project.id}`)
    const text = strFromU8(unzipSync(zip)['bundle.json']!)
    expect(jsonOf(zip).engines.map(({ id }) => id)).toContain('own-press')
    expect(text).not.toContain(SECRET)
    expect(text).not.toContain('press.invalid')
    const { body: file } = await take(there, zip)
    const looked = await preview(there, file)
    expect([looked.coming.count, looked.duplicates.count]).toEqual([1, jsonOf(zip).prompts.length - 1])
    await open(there, file)
    expect((await there.call(listEngines)).find(({ profile }) => profile.id === 'own-press')).toMatchObject({ connected: false, hasApiKey: false })
  })

  it('comes in a second time beside what is here, if that is wanted, in a project that was chosen', async () => {
    const zip = await bundleOf(here, `project=${project.id}`)
    const other = await there.project()
    const { body: file } = await take(there, zip)
    const done = await open(there, file, { project: other.id, duplicates: true })
    expect(done.made).toBe(jsonOf(zip).prompts.length)
    const again = jsonOf(await bundleOf(there, `project=${other.id}`))
    for (const kind of BUNDLED_KINDS) if (['prompts', 'versions', 'runs', 'proofs', 'judgements', 'trials', 'parts', 'partVersions', 'series', 'scenes'].includes(kind)) expect([kind, again[kind].length]).toEqual([kind, jsonOf(zip)[kind].length])
    expect(again.prompts.map(({ title, bestProofId }) => [title, bestProofId !== null])).toEqual(jsonOf(zip).prompts.map(({ title, bestProofId }) => [title, bestProofId !== null]))
  })

  it('follows the schema that is published', async () => {
    const published = JSON.parse(await readFile(new URL('../../../../docs/bundle.schema.json', import.meta.url), 'utf8')) as object
    expect(JSON.parse(JSON.stringify(bundleSchema))).toEqual(published)
    // By itself, without anything of ours.
    const validate = new Ajv2020({ strict: false, unicode: false }).compile(published)
    expect([validate(jsonOf(await bundleOf(here))), validate.errors]).toEqual([true, null])
  })

  it('holds only the prompts that were chosen', async () => {
    const { rows } = await here.call(searchShelf, { query: { status: 'proven' } })
    expect(jsonOf(await bundleOf(here, `ids=${rows[0]!.id}`)).prompts.map(({ id }) => id)).toEqual([rows[0]!.id])
  })

  it.each<[string, (zip: Uint8Array) => Uint8Array, RegExp]>([
    ['a newer schema', (zip) => repacked(zip, (bundle) => ({ ...bundle, format: 'idolon-bundle-2' })), /newer Idolon/],
    ['a field that is not in the schema', (zip) => repacked(zip, (bundle) => ({ ...bundle, prompts: [{ ...bundle.prompts[0], admin: true }] })), /not as its schema says/],
    ['a run of a version of another prompt', (zip) => repacked(zip, (bundle) => { bundle.runs[0]!.promptId = bundle.prompts.find(({ id }) => id !== bundle.runs[0]!.promptId)!.id }), /runs 1: its versionId/],
    ['a proof that is not in it', (zip) => repacked(zip, (bundle) => { bundle.judgements[0]!.leftProof = '00000000-0000-4000-8000-000000000000' }), /judgements 1: its leftProof/],
    ['a path that climbs', (zip) => repacked(zip, () => undefined, { '../../outside.png': strToU8('x') }), /leads out of it/],
    ['half an archive', (zip) => zip.slice(0, zip.length / 3), /damaged or cut off|cut off/],
  ])('is refused before anything of it is kept: %s', async (_, change, says) => {
    const { status, body } = await take(there, change(await bundleOf(here, `project=${project.id}`)))
    expect([status, body.detail]).toEqual([422, expect.stringMatching(says)])
  })

  it('is not opened at all where a picture is not what it says', async () => {
    const fresh = await here.prompt('only once, linocut', project.id)
    const run = await here.ended(await here.run(fresh.id, 1))
    const zip = await bundleOf(here, `ids=${fresh.id}`)
    const { sha256, file: name } = jsonOf(zip).pictures[0]!
    expect(run.proofs.some(({ picture }) => picture?.sha256 === sha256)).toBe(true)
    const { body: file } = await take(there, zipSync({ ...unzipSync(zip), [name]: strToU8('no picture') }, { level: 0 }))
    expect(await open(there, file)).toMatchObject({ state: 'failed', problem: expect.stringContaining(name) as string })
    expect((await there.call(searchShelf, { query: { q: 'only once' } })).rows).toEqual([])
  })
})
