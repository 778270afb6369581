import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort } from '../launcher/ports.ts'
import { createDatabase } from '../packages/server/src/database/create-database.ts'
import { Launched } from './launched.ts'

/** Starts an application for one worker's tests, with the demo world; what is answered stops it. */
export async function startApplication(): Promise<() => Promise<void>> {
  const data = await mkdtemp(join(tmpdir(), 'idolon-e2e-'))
  const base = process.env['TEST_DATABASE_URL']
  if (!base) throw new Error('TEST_DATABASE_URL is not set. Run these tests with ./idolon test e2e.')
  const launched = await Launched.start(['--data', data, '--no-delay', '--port', String(await freePort())], { DATABASE_URL: await createDatabase(base, 'e2e') })
  process.env['E2E_ADDRESS'] = launched.address
  process.env['E2E_ENGINE'] = launched.engineAddress
  process.env['E2E_MODELS'] = launched.modelAddress
  process.env['E2E_DATA'] = data
  return async () => {
    await launched.end()
    await rm(data, { recursive: true, force: true })
  }
}
