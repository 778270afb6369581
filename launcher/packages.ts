import { access } from 'node:fs/promises'
import { Refusal } from './refusal.ts'
import { isRoot, run } from './shell.ts'

const exists = (path: string) =>
  access(path).then(
    () => true,
    () => false,
  )

/** Makes sure that a Debian package is installed, known by a file it brings; as another user than root it says what to type. */
export async function ensurePackage(name: string, file: string, say: (line: string) => void): Promise<void> {
  if (await exists(file)) return
  const command = `apt-get update && apt-get install -y ${name}`
  if (!isRoot()) throw new Refusal(`Idolon needs Debian's package ${name}. As root, run:\n\n  ${command}\n\nand start again.`)
  say(`Installing ${name} ...`)
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  const updated = await run('apt-get', ['update'], { env })
  const installed = await run('apt-get', ['install', '-y', '--no-install-recommends', name], { env })
  if (installed.code !== 0 || !(await exists(file))) {
    throw new Refusal(`${name} could not be installed:\n${(updated.code === 0 ? '' : updated.out.slice(-800)) + installed.out.slice(-1_500)}\nTry by hand: ${command}`)
  }
}

export const POSTGRES_BIN = '/usr/lib/postgresql/15/bin'
export const CHROMIUM = '/usr/bin/chromium'

export const ensurePostgres = (say: (line: string) => void) => ensurePackage('postgresql-15', `${POSTGRES_BIN}/initdb`, say)
export const ensureChromium = (say: (line: string) => void) => ensurePackage('chromium', CHROMIUM, say)
