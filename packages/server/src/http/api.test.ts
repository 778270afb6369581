import { changeProject, changePrompt, createProject, createPrompt, listProjects, type Problem, readPrompt, ROUTES, searchShelf } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
import { request } from 'node:http'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

/** A GET with headers that fetch would not let us set. */
const get = (path: string, headers: Record<string, string>): Promise<{ status: number; body: string; headers: Record<string, unknown> }> =>
  new Promise((resolve, reject) => {
    request(`${server.address}${path}`, { headers }, (response) => {
      let body = ''
      response.on('data', (chunk: Buffer) => (body += chunk.toString()))
      response.on('end', () => resolve({ status: response.statusCode ?? 0, body, headers: response.headers }))
    })
      .on('error', reject)
      .end()
  })

describe('what comes in', () => {
  it('is refused with a problem document that names the place', async () => {
    const { status, body } = await server.ask(createProject, { body: { name: '', colour: 'red' } as never })
    expect(status).toBe(400)
    expect(body).toMatchObject({ type: '/problems/invalid', status: 400, errors: expect.arrayContaining([expect.objectContaining({ where: 'body/name' })]) as unknown })
    // A person reads a sentence, without a pointer into a schema, and where more of it stands.
    const { detail, id } = body as Problem
    expect(detail).toBe(`What was sent is not what Idolon takes here. Nothing was changed. Reload the page and try again. If it happens again, look in the log for ${id}.`)
  })

  it('answers 404 for what is not there, and 400 for an id that is none', async () => {
    expect((await server.ask(readPrompt, { params: { prompt: randomUUID() } })).status).toBe(404)
    expect((await server.ask(readPrompt, { params: { prompt: 'x' } })).status).toBe(400)
    expect((await get('/api/nowhere', {})).status).toBe(404)
  })

  it('is refused when it is not JSON, or too large', async () => {
    const post = (body: string) => fetch(`${server.address}/api/projects`, { method: 'POST', headers: { 'content-type': 'application/json' }, body })
    expect(await (await post('{')).json()).toMatchObject({ type: '/problems/invalid' })
    expect(await (await post(JSON.stringify({ name: 'x'.repeat(5_000_000) }))).json()).toMatchObject({ type: '/problems/too-large' })
  })

  it('refuses another host, another origin and cross-site requests', async () => {
    const own = new URL(server.address).host
    expect((await get('/api/projects', { host: 'evil.test' })).status).toBe(403)
    expect((await get('/api/projects', { host: own, origin: 'http://evil.test' })).status).toBe(403)
    expect((await get('/api/projects', { host: own, 'sec-fetch-site': 'cross-site' })).status).toBe(403)
    expect((await get('/api/projects', { host: own, origin: `http://${own}` })).status).toBe(200)
  })
})

describe('what goes out', () => {
  it('carries a policy that forbids code from text', async () => {
    const { headers } = await get('/api/health', {})
    const policy = String(headers['content-security-policy'])
    expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval'")
    expect(policy).toContain("worker-src 'self'")
    expect(policy).not.toContain("'unsafe-eval'")
  })

  it('is described whole as OpenAPI 3.1', async () => {
    const document = (await (await fetch(`${server.address}/api/openapi.json`)).json()) as { openapi: string; paths: Record<string, Record<string, { operationId: string }>>; components: { schemas: Record<string, unknown> } }
    expect(document.openapi).toBe('3.1.0')
    const ids = Object.values(document.paths).flatMap((path) => Object.values(path).map(({ operationId }) => operationId))
    expect(ids.sort()).toEqual(ROUTES.map(({ id }) => id).sort())
    const refs = new Set([...JSON.stringify(document).matchAll(/#\/components\/schemas\/(\w+)/g)].map((match) => match[1]))
    expect([...refs].filter((name) => !(name! in document.components.schemas))).toEqual([])
  })

  it('gives markup back as the text it is', async () => {
    const text = '<img src=x onerror=alert(1)> & "quotes"'
    const prompt = await server.prompt(text)
    const changed = await server.call(changePrompt, { params: { prompt: prompt.id }, body: { title: text, note: text } })
    expect([changed.title, changed.note, changed.draft.text]).toEqual([text, text, text])
  })
})

describe('projects', () => {
  it('are renamed and archived; an archived one takes no new prompt, and a name is had once', async () => {
    const project = await server.project('Tarrow Line')
    expect((await server.ask(createProject, { body: { name: 'tarrow line' } })).body).toMatchObject({ type: '/problems/name-taken' })
    await server.call(changeProject, { params: { project: project.id }, body: { name: 'Tarrow Railway', archived: true } })
    const listed = await server.call(listProjects)
    expect(listed.find(({ id }) => id === project.id)).toMatchObject({ name: 'Tarrow Railway', archivedAt: expect.any(String) as unknown })
    expect((await server.ask(createPrompt, { body: { projectId: project.id } })).body).toMatchObject({ type: '/problems/project-archived' })
    expect((await server.call(searchShelf, {})).rows.every(({ projectId }) => projectId !== project.id)).toBe(true)
  })
})
