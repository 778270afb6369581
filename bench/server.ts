import { join } from 'node:path'
import { createDatabase, MeaningThread, type RunningServer, startServer } from '@idolon/server'

export interface Measured {
  server: RunningServer
  address: string
  databaseUrl: string
  post: <T>(path: string, body: unknown) => Promise<T>
}

/** The real server, in this process, on a database of its own. */
export async function measuredServer(): Promise<Measured> {
  const base = process.env['BENCH_DATABASE_URL']
  if (!base) throw new Error('BENCH_DATABASE_URL is not set. Run ./idolon bench.')
  const databaseUrl = await createDatabase(base, 'bench')
  const server = await startServer({
    databaseUrl,
    port: 0,
    engineAddress: 'http://127.0.0.1:9',
    modelAddress: 'http://127.0.0.1:9',
    engineHosts: '',
    secretKey: undefined,
    pageFolder: process.env['IDOLON_PAGE'],
    roles: new Set(['web']),
    engineTimeoutMs: 1_000,
    logLevel: 'silent',
    checkAnswers: false,
  }, new MeaningThread(databaseUrl, join(process.env['IDOLON_ROOT'] ?? '.', 'packages/server/dist/meaning.mjs')))
  const address = server.address ?? ''
  const post = async <T>(path: string, body: unknown): Promise<T> => {
    const response = await fetch(address + path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
    if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`)
    return (await response.json()) as T
  }
  return { server, address, databaseUrl, post }
}
