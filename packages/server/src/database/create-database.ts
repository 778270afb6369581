import { randomUUID } from 'node:crypto'
import pg from 'pg'

/** Makes a database with a name of its own beside the one `url` names, empty or as a copy of the one `like` names, which nobody may be using; gives back its address. */
export async function createDatabase(url: string, prefix: string, like?: string): Promise<string> {
  const name = `${prefix}_${randomUUID().replaceAll('-', '')}`
  const admin = new pg.Client({ connectionString: url })
  await admin.connect()
  try {
    await admin.query(`create database ${name}${like === undefined ? '' : ` template ${admin.escapeIdentifier(new URL(like).pathname.slice(1))}`}`)
  } finally {
    await admin.end()
  }
  const made = new URL(url)
  made.pathname = `/${name}`
  return made.href
}
