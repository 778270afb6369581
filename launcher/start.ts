import { mkdir, readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { seedDemo } from '../demo/seed.ts'
import { buildAll } from './build.ts'
import { Child } from './child.ts'
import { type Cluster, startCluster } from './cluster.ts'
import { lockFolder } from './lock.ts'
import { ensurePostgres } from './packages.ts'
import { dataFolder, PAGE, SERVER, STANDINS } from './places.ts'
import { freePort, isFree } from './ports.ts'
import { Refusal, wrongUsage } from './refusal.ts'

const FIRST_PORT = 4310
/** How long the simulated engine makes one wait, so that it feels like a real one. */
const DEMO_DELAY_MS = 700
/** How long the simulated models take over each few words. */
const DEMO_PIECE_MS = 40

const OPTIONS = {
  port: { type: 'string' },
  data: { type: 'string' },
  empty: { type: 'boolean' },
  'no-delay': { type: 'boolean' },
} as const

function optionsFrom(args: string[]) {
  try {
    return parseArgs({ args, options: OPTIONS }).values
  } catch (error) {
    throw wrongUsage(`start: ${(error as Error).message}`)
  }
}

async function choosePort(asked: string | undefined): Promise<number> {
  if (asked === undefined) {
    for (let port = FIRST_PORT; port < FIRST_PORT + 20; port++) if (await isFree(port)) return port
    return freePort()
  }
  const port = Number(asked)
  if (!Number.isInteger(port) || port < 1 || port > 65_535) throw wrongUsage(`start: ${asked} is no port; choose one from 1 to 65535.`)
  if (!(await isFree(port))) throw new Refusal(`Port ${port} is in use by another program. Choose another with --port.`)
  return port
}

/** A stand-in keeps its port between starts, so that kept addresses stay true. */
async function standinPort(data: string, name: string): Promise<number> {
  const file = join(data, name)
  const before = Number(await readFile(file, 'utf8').catch(() => ''))
  const port = await freePort(Number.isInteger(before) && before > 0 ? before : 0)
  await writeFile(file, String(port))
  return port
}

/** How long the stand-in at an address takes; both kinds have the same door for it. */
const setDelay = (address: string, delayMs: number) =>
  fetch(`${address}/v1/standin`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ delayMs }) })

/** `./idolon start`: everything up, in order; Ctrl-C takes it down in the other order. */
export async function start(args: string[]): Promise<number> {
  const options = optionsFrom(args)
  const data = dataFolder(options.data)
  const began = Date.now()
  const say = (line: string) => process.stdout.write(`${line}\n`)
  await mkdir(data, { recursive: true })
  const lock = await lockFolder(data)
  const stops: (() => Promise<unknown>)[] = [lock.release]

  let stopping: Promise<void> | undefined
  const stopAll = () =>
    (stopping ??= (async () => {
      for (const stop of stops.reverse()) await stop().catch((error: unknown) => say(String(error)))
    })())
  const ended = new Promise<void>((resolve) => {
    const end = () => {
      if (!stopping) say('\nStopping ...')
      void stopAll().then(resolve)
    }
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, end)
  })

  try {
    const port = await choosePort(options.port)
    const given = process.env['DATABASE_URL']
    let cluster: Cluster | undefined
    if (!given) {
      await ensurePostgres(say)
      say('PostgreSQL ...')
      cluster = await startCluster(data)
      stops.push(cluster.stop)
    }
    const databaseUrl = cluster ? cluster.url : (given ?? '')
    await buildAll(say)
    if (stopping) return 0

    say('Simulated engine ...')
    const delayMs = options['no-delay'] ? 0 : DEMO_DELAY_MS
    const enginePort = await standinPort(data, 'standin-port')
    const engineAddress = `http://127.0.0.1:${enginePort}`
    const standin = await Child.start(
      { name: 'The simulated engine', file: STANDINS, env: { PORT: String(enginePort), DELAY_MS: String(delayMs) }, log: join(data, 'log/standins.log') },
      say,
    )
    stops.push(() => standin.stop())
    say('Simulated language models ...')
    const modelPort = await standinPort(data, 'language-standin-port')
    const modelAddress = `http://127.0.0.1:${modelPort}`
    const models = await Child.start(
      { name: 'The simulated language models', file: STANDINS, env: { STANDIN: 'language', PORT: String(modelPort), DELAY_MS: String(options['no-delay'] ? 0 : DEMO_PIECE_MS) }, log: join(data, 'log/language-standins.log') },
      say,
    )
    stops.push(() => models.stop())

    say('Server ...')
    const server = await Child.start(
      {
        name: 'The server',
        file: SERVER,
        env: { PORT: String(port), DATABASE_URL: databaseUrl, IDOLON_ENGINE_ADDRESS: engineAddress, IDOLON_MODEL_ADDRESS: modelAddress, IDOLON_PAGE: PAGE, IDOLON_KEY_FILE: process.env['IDOLON_KEY_FILE'] ?? join(data, 'key') },
        log: join(data, 'log/server.log'),
        pidFile: join(data, 'server-pid'),
      },
      say,
    )
    stops.push(() => server.stop())
    const address = `http://127.0.0.1:${port}`
    await lock.tell(address)

    if (!options.empty) {
      await Promise.all([setDelay(engineAddress, 0), setDelay(modelAddress, 0)])
      await seedDemo(address, databaseUrl, say)
      await Promise.all([setDelay(engineAddress, delayMs), setDelay(modelAddress, options['no-delay'] ? 0 : DEMO_PIECE_MS)])
    }

    say(`
Idolon is ready at  ${address}     (${((Date.now() - began) / 1000).toFixed(1)} s)

  server            process ${server.pid ?? '?'}
  simulated engine  process ${standin.pid ?? '?'}, ${engineAddress}
  language models   process ${models.pid ?? '?'}, ${modelAddress}
  database          ${cluster ? `PostgreSQL on 127.0.0.1:${cluster.port}` : 'as DATABASE_URL says'}
  data              ${data}

Ctrl-C stops it.`)
  } catch (error) {
    await stopAll()
    throw error
  }
  await ended
  return 0
}
