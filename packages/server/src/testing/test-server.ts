import { type AnswerOf, type BodyOf, createProject, createPrompt, type ParamsOf, type Project, type Prompt, type QueryOf, readLedger, readPrompt, readRun, type Route, type Run, saveEdits, startRun } from '@idolon/contract'
import type { Edit } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
import { connectDatabase, type Database } from '../database/connect.ts'
import { createDatabase } from '../database/create-database.ts'
import { type RunningServer, startServer } from '../start-server.ts'
import { MeaningByWords } from './meaning-by-words.ts'
import { FakeEngine } from './fake-engine.ts'

interface Given<R extends Route> {
  params?: ParamsOf<R>
  query?: QueryOf<R>
  body?: BodyOf<R>
}

/** The real server on a database of its own, with an engine that a test directs. Every answer is held against its schema. */
export class TestServer {
  private constructor(
    readonly server: RunningServer,
    readonly engine: FakeEngine,
    readonly db: Database,
  ) {}

  /** `way` may put something between the server and its database; without an address the language models do not answer. */
  static async start(way: (databaseUrl: string) => Promise<string> = (url) => Promise.resolve(url), modelAddress?: string): Promise<TestServer> {
    const base = process.env['TEST_DATABASE_URL']
    if (!base) throw new Error('TEST_DATABASE_URL is not set. Run these tests with ./idolon test server.')
    const databaseUrl = await createDatabase(base, 'test')
    const engine = await new FakeEngine().start()
    const server = await startServer({
      databaseUrl: await way(databaseUrl),
      port: 0,
      engineAddress: engine.address,
      modelAddress: modelAddress ?? engine.address,
      engineHosts: 'private',
      secretKey: 'a key for tests alone',
      pageFolder: undefined,
      roles: new Set(['web', 'jobs']),
      engineTimeoutMs: 2_500,
      logLevel: process.env['IDOLON_LOG'] ?? 'silent',
      checkAnswers: true,
    }, new MeaningByWords(databaseUrl))
    return new TestServer(server, engine, connectDatabase(databaseUrl, 2))
  }

  async stop(): Promise<void> {
    await this.server.close()
    await this.engine.stop()
    await this.db.destroy()
  }

  get address(): string {
    return this.server.address ?? ''
  }

  async ask<R extends Route>(route: R, given: Given<R> = {}): Promise<{ status: number; body: unknown }> {
    const path = route.path.replace(/:(\w+)/g, (_, name: string) => (given.params as Record<string, string>)[name] ?? '')
    const search = new URLSearchParams((given.query ?? {}) as Record<string, string>)
    const response = await fetch(`${this.address}${path}?${search.toString()}`, {
      method: route.method.toUpperCase(),
      ...(given.body === undefined ? {} : { body: JSON.stringify(given.body), headers: { 'content-type': 'application/json' } }),
    })
    return { status: response.status, body: response.status === 204 ? undefined : await response.json() }
  }

  /** The answer of an operation that should succeed. */
  async call<R extends Route>(route: R, given: Given<R> = {}): Promise<AnswerOf<R>> {
    const { status, body } = await this.ask(route, given)
    if (status >= 300) throw new Error(`${route.id} answered ${status}: ${JSON.stringify(body)}`)
    return body as AnswerOf<R>
  }

  project = (name = `Project ${randomUUID()}`): Promise<Project> => this.call(createProject, { body: { name } })

  /** A prompt whose draft is `text`, in a project of its own, at revision 1. */
  async prompt(text: string, projectId?: string): Promise<Prompt> {
    const prompt = await this.call(createPrompt, { body: { projectId: projectId ?? (await this.project()).id } })
    await this.edit(prompt.id, 0, { text: [{ from: 0, to: 0, insert: text }] })
    return prompt
  }

  edit = (prompt: string, base: number, ...edits: Edit[]) => this.call(saveEdits, { params: { prompt }, body: { client: randomUUID(), first: 1, base, edits } })

  run = (prompt: string, revision: number): Promise<Run> => this.call(startRun, { params: { prompt }, body: { id: randomUUID(), revision } })

  /** The ledger of a prompt's project. */
  async ledgerOf(prompt: string): Promise<AnswerOf<typeof readLedger>> {
    const { projectId } = await this.call(readPrompt, { params: { prompt } })
    return this.call(readLedger, { params: { project: projectId } })
  }

  /** The run when nothing of it is under way any more. */
  async ended(run: Run, withinMs = 20_000): Promise<Run> {
    const end = Date.now() + withinMs
    for (;;) {
      const now = await this.call(readRun, { params: { run: run.id } })
      if (now.proofs.every(({ state }) => state !== 'asked' && state !== 'sent')) return now
      if (Date.now() > end) throw new Error(`The run is still under way: ${now.proofs.map(({ state }) => state).join(', ')}`)
      await sleep(50)
    }
  }
}
