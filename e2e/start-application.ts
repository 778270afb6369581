import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort } from '../launcher/ports.ts'
import { createDatabase } from '../packages/server/src/database/create-database.ts'
import { Launched } from './launched.ts'

/** Starts an application for one worker's tests, with a copy of the demo world; what is answered stops it. */
export async function startApplication(): Promise<() => Promise<void>> {
  const data = await mkdtemp(join(tmpdir(), 'idolon-e2e-'))
  const databaseUrl = await createDatabase(process.env['TEST_DATABASE_URL'] ?? '', 'e2e', process.env['E2E_SEEDED'])
  const launched = await Launched.start(['--data', data, '--no-delay', '--port', String(await freePort())], { DATABASE_URL: databaseUrl, IDOLON_KEY_FILE: process.env['E2E_KEY'] })
  process.env['E2E_ADDRESS'] = launched.address
  process.env['E2E_ENGINE'] = launched.engineAddress
  process.env['E2E_MODELS'] = launched.modelAddress
  process.env['E2E_DATA'] = data
  return async () => {
    await launched.end()
    await rm(data, { recursive: true, force: true })
  }
}
