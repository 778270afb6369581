import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildAll, bundleForNode } from './build.ts'
import { startCluster } from './cluster.ts'
import { ensureChromium, ensurePostgres } from './packages.ts'
import { BUILD, PAGE, ROOT } from './places.ts'
import { run } from './shell.ts'

/** `./idolon bench [NAME ...]`: full measurements on a cluster of their own with fsync on; figures go to docs/figures.md. */
export async function bench(args: string[]): Promise<number> {
  const say = (line: string) => process.stdout.write(`${line}\n`)
  await ensurePostgres(say)
  await ensureChromium(say)
  await buildAll(say)
  const folder = await mkdtemp(join(tmpdir(), 'idolon-bench-'))
  const cluster = await startCluster(folder)
  try {
    const file = join(BUILD, 'bench.mjs')
    await bundleForNode('bench/main.ts', file)
    const { code } = await run('node', ['--enable-source-maps', file, ...args], {
      cwd: ROOT,
      env: { ...process.env, BENCH_DATABASE_URL: cluster.url, IDOLON_PAGE: PAGE, IDOLON_ROOT: ROOT },
      show: true,
    })
    return code
  } finally {
    await cluster.stop()
    await rm(folder, { recursive: true, force: true })
  }
}
