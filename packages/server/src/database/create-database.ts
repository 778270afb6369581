import { randomUUID } from 'node:crypto'
import pg from 'pg'

/** Makes an empty database with a name of its own beside the one `url` names, and gives back its address. */
export async function createDatabase(url: string, prefix: string): Promise<string> {
  const name = `${prefix}_${randomUUID().replaceAll('-', '')}`
  const admin = new pg.Client({ connectionString: url })
  await admin.connect()
  try {
    await admin.query(`create database ${name}`)
  } finally {
    await admin.end()
  }
  const made = new URL(url)
  made.pathname = `/${name}`
  return made.href
}
