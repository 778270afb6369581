import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort } from '../launcher/ports.ts'
import { createDatabase } from '../packages/server/src/database/create-database.ts'
import { Launched } from './launched.ts'

/**
 * Before all tests: the demo world is made once, as `./idolon start` makes it for a person. The applications of the
 * workers begin with copies of its database, and are up in seconds. What is answered takes away what was left in files.
 */
export default async function makeSeeded(): Promise<() => Promise<void>> {
  const base = process.env['TEST_DATABASE_URL']
  if (!base) throw new Error('TEST_DATABASE_URL is not set. Run these tests with ./idolon test e2e.')
  const data = await mkdtemp(join(tmpdir(), 'idolon-seeded-'))
  const database = await createDatabase(base, 'seeded')
  const launched = await Launched.start(['--data', data, '--no-delay', '--port', String(await freePort())], { DATABASE_URL: database })
  await launched.end()
  process.env['E2E_SEEDED'] = database
  process.env['E2E_KEY'] = join(data, 'key')
  return () => rm(data, { recursive: true, force: true })
}
