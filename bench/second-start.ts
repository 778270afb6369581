import { spawn } from 'node:child_process'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type Bench, timed } from './figure.ts'

const ROOT = process.env['IDOLON_ROOT'] ?? '.'

async function start(data: string): Promise<{ address: string; stop: () => Promise<void> }> {
  const child = spawn(join(ROOT, 'idolon'), ['start', '--data', data, '--empty'], { env: { ...process.env, DATABASE_URL: '' }, stdio: ['ignore', 'pipe', 'inherit'] })
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()))
  const address = await new Promise<string>((resolve, reject) => {
    let out = ''
    child.stdout.on('data', (chunk: Buffer) => {
      out += chunk.toString()
      const found = /ready at\s+(http:\S+)/.exec(out)?.[1]
      if (found) resolve(found)
    })
    void ended.then(() => reject(new Error(`./idolon start ended:\n${out}`)))
  })
  return {
    address,
    stop: async () => {
      child.kill('SIGINT')
      await ended
    },
  }
}

/** A second ./idolon start, from the command to a page that was served, beside a bare Node process that serves a file. */
export const secondStart: Bench = async () => {
  const data = await mkdtemp(join(tmpdir(), 'idolon-start-'))
  try {
    await (await start(data)).stop()
    let stop: () => Promise<void> = () => Promise.resolve()
    const value = await timed(async () => {
      const started = await start(data)
      stop = started.stop
      const page = await fetch(`${started.address}/desk`)
      if (!page.ok) throw new Error(`The page answered ${page.status}`)
      await page.text()
    })
    await stop()
    const bare = await timed(
      () =>
        new Promise<void>((resolve, reject) => {
          const child = spawn('node', ['-e', `require('http').createServer((q,r)=>r.end('x')).listen(0,'127.0.0.1',function(){require('http').get(this.address(),r=>{r.resume();r.on('end',()=>process.exit(0))})})`])
          child.once('exit', (code) => (code === 0 ? resolve() : reject(new Error('the bare server failed'))))
        }),
    )
    return [{ what: 'Second ./idolon start to a served page', value: value / 1000, unit: 's', baseline: { what: 'a bare Node server to its first answer', value: bare / 1000 }, limit: 10 }]
  } finally {
    await rm(data, { recursive: true, force: true })
  }
}
