import { build as bundle } from 'esbuild'
import { createHash } from 'node:crypto'
import { mkdir, readdir, readFile, stat, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { BUILD, MEANING, PAGE, ROOT, SERVER, SIGHT, STANDINS } from './places.ts'
import { Refusal } from './refusal.ts'
import { run } from './shell.ts'

const ALIAS = {
  '@idolon/core/reader': join(ROOT, 'packages/core/src/reader.ts'),
  '@idolon/core/check': join(ROOT, 'packages/core/src/check.ts'),
  '@idolon/core/helper': join(ROOT, 'packages/core/src/helper.ts'),
  '@idolon/core/look': join(ROOT, 'packages/core/src/look.ts'),
  ...Object.fromEntries(['core', 'contract', 'server', 'standins'].map((name) => [`@idolon/${name}`, join(ROOT, `packages/${name}/src/index.ts`)])),
}

/** Bundles a TypeScript program for Node; npm packages stay outside. */
export async function bundleForNode(entry: string, outfile: string): Promise<void> {
  await bundle({
    entryPoints: [join(ROOT, entry)],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    alias: ALIAS,
    sourcemap: true,
    logLevel: 'warning',
    absWorkingDir: ROOT,
  })
}

/** A name for the state of some folders: it changes whenever a file in them does. */
async function stateOf(folders: readonly string[]): Promise<string> {
  const hash = createHash('sha256')
  for (const folder of folders) {
    const entries = await readdir(folder, { recursive: true, withFileTypes: true })
    const files = entries.filter((entry) => entry.isFile() && !entry.parentPath.includes('node_modules')).map((entry) => join(entry.parentPath, entry.name))
    for (const file of files.sort()) {
      const { size, mtimeMs } = await stat(file)
      hash.update(`${file} ${size} ${mtimeMs}\n`)
    }
  }
  hash.update(await readFile(join(ROOT, 'package-lock.json')))
  return hash.digest('hex')
}

async function unlessBuilt(name: string, folders: readonly string[], make: () => Promise<void>): Promise<boolean> {
  const stamp = join(BUILD, `${name}.built`)
  const state = await stateOf(folders.map((folder) => join(ROOT, folder)))
  const before = await readFile(stamp, 'utf8').catch(() => '')
  if (before === state) return false
  await make()
  await writeFile(stamp, state)
  return true
}

const SHARED = ['packages/core/src', 'packages/contract/src']

/** Builds the server, the stand-ins and the page, each only when its sources have changed. */
export async function buildAll(say: (line: string) => void): Promise<void> {
  await mkdir(BUILD, { recursive: true })
  await unlessBuilt('server', [...SHARED, 'packages/server/src'], async () => {
    await bundleForNode('packages/server/src/main.ts', SERVER)
    await bundleForNode('packages/server/src/pictures/sight/thread.ts', SIGHT)
    await bundleForNode('packages/server/src/meaning/thread.ts', MEANING)
  })
  await unlessBuilt('standins', ['packages/core/src', 'packages/standins/src'], async () => {
    await bundleForNode('packages/standins/src/main.ts', STANDINS)
  })
  await unlessBuilt('page', [...SHARED, 'packages/core/tables', 'packages/web'], async () => {
    say('Building the page ...')
    const { code, out } = await run('node', [join(ROOT, 'node_modules/vite/bin/vite.js'), 'build', '--outDir', PAGE, '--emptyOutDir'], { cwd: join(ROOT, 'packages/web') })
    if (code !== 0) throw new Refusal(`The page could not be built:\n${out.slice(-3_000)}`)
  })
}
