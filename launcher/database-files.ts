import { parseArgs } from 'node:util'
import { startCluster } from './cluster.ts'
import { ensurePostgres, POSTGRES_BIN } from './packages.ts'
import { dataFolder } from './places.ts'
import { wrongUsage } from './refusal.ts'
import { run, type Ran } from './shell.ts'

export interface FileTask {
  file: string
  data: string
  replace: boolean
}

/** Reads `FILE [--data DIR] [--replace]`. */
export function fileTask(verb: string, args: string[]): FileTask {
  let parsed
  try {
    parsed = parseArgs({ args, allowPositionals: true, options: { data: { type: 'string' }, replace: { type: 'boolean' } } })
  } catch (error) {
    throw wrongUsage(`${verb}: ${(error as Error).message}`)
  }
  const [file, ...more] = parsed.positionals
  if (!file || more.length) throw wrongUsage(`${verb} takes one file.`)
  return { file, data: dataFolder(parsed.values.data), replace: parsed.values.replace ?? false }
}

/** Runs `task` on the database of a data folder, or of DATABASE_URL; a cluster that had to be started is stopped again. */
export async function withDatabase<T>(data: string, task: (url: string) => Promise<T>): Promise<T> {
  await ensurePostgres((line) => process.stderr.write(`${line}\n`))
  const given = process.env['DATABASE_URL']
  if (given) return task(given)
  const cluster = await startCluster(data)
  try {
    return await task(cluster.url)
  } finally {
    if (cluster.startedHere) await cluster.stop()
  }
}

/** Runs one of PostgreSQL's programs; the password goes by the environment, never by the argument list. */
export function postgresTool(name: string, url: string, args: string[]): Promise<Ran> {
  const { hostname, port, username, password, pathname } = new URL(url)
  const env = { ...process.env, PGHOST: hostname, PGPORT: port || '5432', PGUSER: username, PGPASSWORD: decodeURIComponent(password), PGDATABASE: pathname.slice(1) }
  return run(`${POSTGRES_BIN}/${name}`, args, { env })
}
