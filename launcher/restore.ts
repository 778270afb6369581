import { access, mkdir } from 'node:fs/promises'
import { resolve } from 'node:path'
import pg from 'pg'
import { fileTask, postgresTool, withDatabase } from './database-files.ts'
import { lockFolder } from './lock.ts'
import { Refusal } from './refusal.ts'

async function query<T extends pg.QueryResultRow>(url: string, sql: string): Promise<T[]> {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    return (await client.query<T>(sql)).rows
  } finally {
    await client.end()
  }
}

/** `./idolon restore FILE`: into an empty database, or with --replace over what is there. All of it or nothing. */
export async function restore(args: string[]): Promise<number> {
  const { file, data, replace } = fileTask('restore', args)
  const source = resolve(file)
  await access(source).catch(() => {
    throw new Refusal(`There is no file ${source}.`)
  })
  await mkdir(data, { recursive: true })
  const lock = await lockFolder(data)
  try {
    await withDatabase(data, async (url) => {
      const checked = await postgresTool('pg_restore', url, ['--list', source])
      if (checked.code !== 0) throw new Refusal(`${source} is not a backup of Idolon. Nothing was changed.`)
      const [there] = await query<{ tables: number }>(url, `select count(*)::int as tables from pg_tables where schemaname = 'public'`)
      if (there && there.tables > 0 && !replace) {
        throw new Refusal('The database is not empty. To put the backup in its place, say --replace; what is there now is then gone. Nothing was changed.')
      }
      // Written beside what is there and changed over at the end, so that a broken file costs nothing.
      await query(url, 'drop database if exists idolon_restored')
      await query(url, 'create database idolon_restored')
      const fresh = new URL(url)
      fresh.pathname = '/idolon_restored'
      const restored = await postgresTool('pg_restore', fresh.href, ['--no-owner', '--exit-on-error', '--single-transaction', `--dbname=idolon_restored`, source])
      const admin = new URL(url)
      admin.pathname = '/postgres'
      if (restored.code !== 0) {
        await query(url, 'drop database if exists idolon_restored')
        throw new Refusal(`The backup could not be read; what was there is unchanged:\n${restored.out.slice(-1_000)}`)
      }
      const name = new URL(url).pathname.slice(1)
      await query(admin.href, `drop database "${name}"`)
      await query(admin.href, `alter database idolon_restored rename to "${name}"`)
    })
  } finally {
    await lock.release()
  }
  process.stdout.write(`Restored from ${source}. Start with ./idolon start.\n`)
  return 0
}
