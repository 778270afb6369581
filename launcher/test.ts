import { mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildAll, bundleForNode } from './build.ts'
import { type Cluster, startCluster } from './cluster.ts'
import { ensureChromium, ensurePostgres } from './packages.ts'
import { BUILD, PAGE, ROOT, STANDINS } from './places.ts'
import { wrongUsage } from './refusal.ts'
import { run } from './shell.ts'

interface Count {
  passed: number
  failed: number
  skipped: number
}

const bin = (name: string) => join(ROOT, 'node_modules/.bin', name)
const say = (line: string) => process.stdout.write(`${line}\n`)
const oneCheck = (ok: boolean): Count => ({ passed: ok ? 1 : 0, failed: ok ? 0 : 1, skipped: 0 })

async function check(name: string, program: string, args: string[]): Promise<Count> {
  const began = Date.now()
  const { code, out } = await run(program, args, { cwd: ROOT })
  say(`${code === 0 ? 'passed' : 'FAILED'}  ${name}  (${((Date.now() - began) / 1000).toFixed(1)} s)`)
  if (code !== 0) say(out)
  return oneCheck(code === 0)
}

interface VitestReport {
  numPassedTests: number
  numFailedTests: number
  numPendingTests: number
  numFailedTestSuites: number
}

async function vitest(projects: string[], env: NodeJS.ProcessEnv): Promise<Count> {
  const report = join(BUILD, `vitest-${projects.join('-')}.json`)
  await rm(report, { force: true })
  const args = ['run', ...projects.flatMap((project) => ['--project', project]), '--reporter=default', '--reporter=json', `--outputFile.json=${report}`]
  const { code } = await run(bin('vitest'), args, { cwd: ROOT, env: { ...process.env, ...env }, show: true })
  try {
    const found = JSON.parse(await readFile(report, 'utf8')) as VitestReport
    // A file that cannot even be loaded counts as a failure of its own.
    const unloaded = code !== 0 && found.numFailedTests === 0 ? Math.max(found.numFailedTestSuites, 1) : 0
    return { passed: found.numPassedTests, failed: found.numFailedTests + unloaded, skipped: found.numPendingTests }
  } catch {
    return oneCheck(false)
  }
}

async function endToEnd(databaseUrl: string): Promise<Count> {
  const report = join(BUILD, 'playwright.json')
  await rm(report, { force: true })
  const env = { ...process.env, TEST_DATABASE_URL: databaseUrl, IDOLON_BUILD: BUILD, IDOLON_PAGE: PAGE, PLAYWRIGHT_JSON_OUTPUT_NAME: report }
  await run(bin('playwright'), ['test', '--reporter=list,json'], { cwd: join(ROOT, 'e2e'), env, show: true })
  try {
    const { stats } = JSON.parse(await readFile(report, 'utf8')) as { stats: { expected: number; unexpected: number; flaky: number; skipped: number } }
    const none = stats.expected + stats.unexpected + stats.flaky === 0
    return { passed: stats.expected + stats.flaky, failed: stats.unexpected + (none ? 1 : 0), skipped: stats.skipped }
  } catch {
    return oneCheck(false)
  }
}

/** Checked by themselves, since they must do without Node; everything else is one program, so that what all of it uses is read once. The contract is read with the page. */
const BY_THEMSELVES = ['core', 'web']

const PARTS: Record<string, (databaseUrl: () => Promise<string>) => Promise<Count[]>> = {
  // In one thread: each further one reads the types of everything once more, and the other core checks types meanwhile.
  lint: async () => [await check('lint', bin('eslint'), ['.', '--max-warnings', '0'])],
  types: async () => {
    const counts: Count[] = []
    for (const name of BY_THEMSELVES) counts.push(await check(`types of ${name}`, bin('vue-tsc'), ['--noEmit', '-p', `packages/${name}`]))
    counts.push(await check('types of the rest', bin('vue-tsc'), ['--noEmit', '-p', 'tsconfig.json']))
    return counts
  },
  unit: async () => [await vitest(['unit'], {})],
  web: async () => [await vitest(['web'], {})],
  server: async (databaseUrl) => {
    // The server's tests speak to the real stand-in.
    await bundleForNode('packages/standins/src/main.ts', STANDINS)
    return [await vitest(['server', 'server-apart'], { TEST_DATABASE_URL: await databaseUrl() })]
  },
  e2e: async (databaseUrl) => {
    await ensureChromium(say)
    await buildAll(say)
    return [await endToEnd(await databaseUrl())]
  },
}

/** Parts that only look at the sources. */
const STILL = new Set(['lint', 'types'])

/** `./idolon test`: every check, or the parts named; ends with how many passed and failed. */
export async function test(args: string[]): Promise<number> {
  const unknown = args.find((name) => !(name in PARTS))
  if (unknown) throw wrongUsage(`test: there is no part “${unknown}”; choose from ${Object.keys(PARTS).join(', ')}.`)
  const parts = args.length ? args : Object.keys(PARTS)
  const began = Date.now()
  let cluster: Promise<Cluster> | undefined
  const folder = await mkdtemp(join(tmpdir(), 'idolon-test-'))
  const databaseUrl = async () => {
    await ensurePostgres(say)
    cluster ??= startCluster(folder, { temporary: true })
    return (await cluster).url
  }
  const total: Count = { passed: 0, failed: 0, skipped: 0 }
  const end = async () => {
    await (await cluster)?.stop()
    await rm(folder, { recursive: true, force: true })
  }
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => void end().then(() => process.exit(130)))
  try {
    // Lint and types only look at the sources, and need nothing that is built; everything after them wants the machine for itself.
    const still = parts.filter((part) => STILL.has(part))
    const rounds = [...(still.length ? [still] : []), ...parts.filter((part) => !STILL.has(part)).map((part) => [part])]
    for (const round of rounds) {
      say(`\n== ${round.join(', ')}`)
      const counts = await Promise.all(round.map(async (part) => (await PARTS[part]?.(databaseUrl)) ?? []))
      for (const count of counts.flat()) {
        total.passed += count.passed
        total.failed += count.failed
        total.skipped += count.skipped
      }
    }
  } finally {
    await end()
  }
  say(`\nAll of it took ${Math.round((Date.now() - began) / 1000)} s.`)
  say(`${total.passed} passed, ${total.failed} failed${total.skipped ? `, ${total.skipped} skipped` : ''}`)
  return total.failed === 0 && total.passed > 0 ? 0 : 1
}
