import { askAgain, changeProof, createPrompt, listVersions, readPrompt, readProof, readRun, startRun, stopRun } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
import type { ServerResponse } from 'node:http'
import { setTimeout as sleep } from 'node:timers/promises'
import sharp from 'sharp'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'
import { picture } from '../testing/fake-engine.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterEach(() => {
  server.engine.answer = undefined
})
afterAll(() => server.stop())

const spent = async (prompt: string) => (await server.ledgerOf(prompt)).totals[0]?.amount ?? 0
const count = (n: number) => ({ settings: { count: n } })

describe('a run', () => {
  it('freezes a version, stores each picture with all that made it, and settles its cost', async () => {
    const { id } = await server.prompt('a red fox at dusk')
    await server.edit(id, 1, { settings: { count: 3, seed: 100, aspectRatio: '2:3' }, leaveOut: { at: 0, remove: 0, insert: ['people'] } })
    const run = await server.ended(await server.run(id, 2))
    expect(run.version).toBe(1)
    expect(run.proofs.map(({ state, seed, index }) => [state, seed, index])).toEqual([['stored', 100, 0], ['stored', 101, 1], ['stored', 102, 2]])
    const proof = run.proofs[0]!
    expect(proof).toMatchObject({ version: 1, engine: { id: 'burin', revision: '2', simulated: true }, cost: { unit: 'credit', amount: 4 }, output: { text: 'A red fox at dusk. It shows a deserted scene.', settings: { width: 512, height: 768 } } })
    const bytes = Buffer.from(await (await fetch(`${server.address}/api/pictures/${proof.picture!.sha256}`)).arrayBuffer())
    expect(bytes).toEqual(await picture(100, 24, 36))
    const thumbnail = await fetch(`${server.address}/api/pictures/${proof.picture!.sha256}/thumbnail`)
    expect(thumbnail.headers.get('content-type')).toBe('image/webp')
    expect(await spent(id)).toBe(12)
    expect(server.engine.calls.at(-1)?.body).not.toHaveProperty('leaveOut')
  })

  it('makes a new version only when the text, marks or list have changed', async () => {
    const { id } = await server.prompt('a fox')
    await server.edit(id, 1, count(1))
    await server.ended(await server.run(id, 2))
    await server.edit(id, 2, { settings: { guidance: 9 } })
    expect((await server.ended(await server.run(id, 3))).changes).toEqual(['guidance any to 9'])
    await server.edit(id, 3, { text: [{ from: 5, to: 5, insert: ', low angle' }] })
    await server.ended(await server.run(id, 4))
    const versions = await server.call(listVersions, { params: { prompt: id } })
    expect(versions.map(({ number, parent, changes, proofs }) => [number, parent, changes, proofs])).toEqual([
      [2, 1, ['+ low angle'], 1],
      [1, null, [], 2],
    ])
  })

  it('is refused when the draft is not the one on the screen, says nothing, or is empty', async () => {
    const { id } = await server.prompt('a fox')
    await server.edit(id, 1, { text: [{ from: 0, to: 1, insert: 'one' }] })
    const ask = (revision: number) => server.ask(startRun, { params: { prompt: id }, body: { id: randomUUID(), revision } })
    expect((await ask(1)).body).toMatchObject({ type: '/problems/draft-moved' })
    await server.edit(id, 2, { marks: { remove: [], add: [{ from: 0, to: 7, kind: 'off' }] } })
    expect((await ask(3)).body).toMatchObject({ type: '/problems/nothing-to-try' })
    await server.edit(id, 3, { engines: { at: 0, remove: 1, insert: [{ engine: 'nobody' }] }, text: [{ from: 0, to: 7, insert: 'a hare' }] })
    expect((await ask(4)).body).toMatchObject({ type: '/problems/unknown-engine' })
    expect(await spent(id)).toBe(0)
  })

  it('is made once when it is asked for twice', async () => {
    const { id } = await server.prompt('a fox')
    const body = { id: randomUUID(), revision: 1 }
    const [a, b] = await Promise.all([server.call(startRun, { params: { prompt: id }, body }), server.call(startRun, { params: { prompt: id }, body })])
    expect(a.id).toBe(b.id)
    expect((await server.ended(a)).proofs).toHaveLength(4)
    expect(await spent(id)).toBe(16)
  })

  it('stops what has not been asked for, and keeps what the engine already has', async () => {
    const { id } = await server.prompt('a fox')
    await server.edit(id, 1, count(12))
    server.engine.answer = async (call, response) => {
      await sleep(500)
      await server.engine.giveAPicture(call, response)
    }
    const run = await server.run(id, 2)
    await sleep(250)
    await server.call(stopRun, { params: { run: run.id } })
    const ended = await server.ended(run)
    const stored = ended.proofs.filter(({ state }) => state === 'stored').length
    expect(stored).toBeGreaterThan(0)
    expect(ended.proofs.filter(({ state }) => state === 'stopped')).toHaveLength(12 - stored)
    expect(await spent(id)).toBe(4 * stored)
  })
})

const json = (response: ServerResponse, body: unknown) => response.setHeader('content-type', 'application/json').end(JSON.stringify(body))
const asPicture = (bytes: Buffer) => ({ pictures: [{ png: bytes.toString('base64'), seed: 1 }] })

describe('an engine that misbehaves', () => {
  const wrong: [string, (response: ServerResponse) => void | Promise<void>, RegExp, number, string][] = [
    ['fails', (r) => void r.writeHead(500).end(), /failed \(status 500\)/, 0, 'failed'],
    ['refuses', (r) => void r.writeHead(400, { 'content-type': 'application/problem+json' }).end(JSON.stringify({ detail: 'The width is out of range.' })), /out of range/, 0, 'failed'],
    ['answers in HTML', (r) => void r.end('<!doctype html>'), /not in JSON/, 4, 'failed'],
    ['answers in another shape', (r) => void json(r, { images: [] }), /there is no picture at/, 4, 'failed'],
    ['sends no PNG', (r) => void json(r, asPicture(Buffer.from('BM and more'))), /not a PNG/, 4, 'failed'],
    ['sends half a PNG', async (r) => void json(r, asPicture((await sharp({ create: { width: 400, height: 400, channels: 3, background: '#345', noise: { type: 'gaussian', mean: 120, sigma: 60 } } }).png().toBuffer()).subarray(0, 9_000))), /damaged or cut off/, 4, 'failed'],
    ['sends a huge answer', (r) => void (r.setHeader('content-type', 'application/json'), r.end(Buffer.alloc(97_000_000, 65))), /larger than 96 MB/, 4, 'failed'],
    ['is cut off', (r) => void (r.writeHead(200, { 'content-length': '5000' }), r.write('{"pictures"'), setTimeout(() => r.destroy(), 50)), /cut off.*may have been charged/s, 4, 'unknown'],
    ['never answers', () => undefined, /no answer within.*may have been charged/s, 4, 'unknown'],
  ]
  it.each(wrong)('%s: the proof says why, and nothing else is harmed', async (_name, answer, reason, cost, state) => {
    const { id } = await server.prompt('a fox')
    await server.edit(id, 1, count(1))
    server.engine.answer = (_call, response) => answer(response)
    const run = await server.ended(await server.run(id, 2))
    expect(run.proofs[0]).toMatchObject({ state, picture: null })
    expect(run.proofs[0]?.reason).toMatch(reason)
    expect(await spent(id)).toBe(cost)
    // Asked again when the engine is well, it comes; what was certainly free is paid once.
    server.engine.answer = undefined
    await server.call(askAgain, { params: { proof: run.proofs[0]!.id } })
    expect((await server.ended(run)).proofs[0]?.state).toBe('stored')
    expect(await spent(id)).toBe(cost + 4)
  })

  it('is asked again with the same key when that is safe, and charges once', async () => {
    const { id } = await server.prompt('a fox')
    await server.edit(id, 1, count(1))
    const before = server.engine.charged.size
    server.engine.answer = async (call, response, attempt) => {
      if (attempt === 1) {
        server.engine.charged.add(call.key)
        response.destroy()
      } else await server.engine.giveAPicture(call, response)
    }
    const run = await server.ended(await server.run(id, 2))
    expect(run.proofs[0]?.state).toBe('stored')
    expect(server.engine.charged.size - before).toBe(1)
    expect(await spent(id)).toBe(4)
  })
})

describe('a worker that died', () => {
  it('leaves a proof that another takes up within 15 seconds, charged once', async () => {
    const { id } = await server.prompt('a fox')
    await server.edit(id, 1, count(2))
    const waiting: (() => void)[] = []
    server.engine.answer = async (call, response, attempt) => {
      server.engine.charged.add(call.key)
      if (attempt === 1) await new Promise<void>((resolve) => waiting.push(resolve))
      else await server.engine.giveAPicture(call, response)
    }
    const before = server.engine.charged.size
    const run = await server.run(id, 2)
    while (waiting.length < 2) await sleep(20)
    // As a killed process leaves it: the lease is another worker's, and nobody renews it.
    await server.db('proofs').where({ run_id: run.id }).update({ worker: randomUUID(), lease_until: server.db.raw(`now() + interval '1 second'`) })
    const began = Date.now()
    const ended = await server.ended(run)
    expect(Date.now() - began).toBeLessThan(15_000)
    expect(ended.proofs.map(({ state }) => state)).toEqual(['stored', 'stored'])
    expect(server.engine.charged.size - before).toBe(2)
    expect(await spent(id)).toBe(8)
    for (const go of waiting) go()
  })
})

describe('a proof', () => {
  it('takes a verdict and a note, but only with a picture; the ledger is never altered', async () => {
    const { id } = await server.prompt('a fox')
    await server.edit(id, 1, count(1))
    const run = await server.ended(await server.run(id, 2))
    const params = { proof: run.proofs[0]!.id }
    expect(await server.call(changeProof, { params, body: { verdict: 'keep', note: 'the one' } })).toMatchObject({ verdict: 'keep', note: 'the one' })
    expect(await server.call(readPrompt, { params: { prompt: id } })).toMatchObject({ keepers: 1, bestProof: { id: params.proof } })
    expect((await server.ask(askAgain, { params })).body).toMatchObject({ type: '/problems/not-now' })
    await expect(server.db('ledger').update({ amount: 0 })).rejects.toThrow(/never altered/)
    expect(await server.call(readProof, { params })).toMatchObject({ promptTitle: 'a fox' })
    expect((await server.call(readRun, { params: { run: run.id } })).cost).toEqual([{ unit: 'credit', amount: 4 }])
  })

  it('carries its version, engine and settings into another project, which remembers where they came from', async () => {
    const { id } = await server.prompt('a fox at dusk')
    await server.edit(id, 1, { settings: { count: 1, seed: 9, guidance: 8 } })
    const run = await server.ended(await server.run(id, 2))
    await server.call(changeProof, { params: { proof: run.proofs[0]!.id }, body: { verdict: 'keep' } })
    await server.edit(id, 2, { text: [{ from: 0, to: 5, insert: 'half a thought' }], settings: { guidance: 2 } })
    const other = await server.project()
    const copy = await server.call(createPrompt, { body: { projectId: other.id, from: { promptId: id } } })
    expect(copy).toMatchObject({ projectId: other.id, draft: { text: 'a fox at dusk', settings: { seed: 9, guidance: 8 } }, copiedFrom: { promptId: id, version: 1 }, revision: 0 })
  })
})
