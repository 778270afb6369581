import { type ChildProcess, spawn } from 'node:child_process'
import { join } from 'node:path'

export const ROOT = join(import.meta.dirname, '..')

/** With the demo world to be made, on a machine half as fast that has other work. */
const START_MS = 480_000

/** `./idolon start`, as a person starts it, and what it printed. */
export class Launched {
  output = ''
  #ended: Promise<number | null>

  private constructor(readonly process: ChildProcess) {
    const take = (chunk: Buffer) => (this.output += chunk.toString())
    process.stdout?.on('data', take)
    process.stderr?.on('data', take)
    this.#ended = new Promise((resolve) => process.once('exit', resolve))
  }

  static async start(args: string[], env: NodeJS.ProcessEnv = {}): Promise<Launched> {
    const launched = new Launched(spawn(join(ROOT, 'idolon'), ['start', ...args], { env: { ...process.env, DATABASE_URL: '', ...env }, stdio: ['ignore', 'pipe', 'pipe'] }))
    const end = Date.now() + START_MS
    while (!launched.output.includes('Ctrl-C stops it.')) {
      if (launched.process.exitCode !== null || Date.now() > end) throw new Error(`./idolon start did not come up:\n${launched.output}`)
      await new Promise((resolve) => setTimeout(resolve, 100))
    }
    return launched
  }

  #find(pattern: RegExp): string {
    const found = pattern.exec(this.output)?.[1]
    if (!found) throw new Error(`${pattern.source} is not in:\n${this.output}`)
    return found
  }
  get address(): string {
    return this.#find(/ready at\s+(http:\S+)/)
  }
  get engineAddress(): string {
    return this.#find(/simulated engine\s+process \d+, (http:\S+)/)
  }
  get modelAddress(): string {
    return this.#find(/language models\s+process \d+, (http:\S+)/)
  }
  get serverPid(): number {
    return Number(this.#find(/server\s+process (\d+)/))
  }

  async end(signal: NodeJS.Signals = 'SIGINT'): Promise<number | null> {
    this.process.kill(signal)
    return this.#ended
  }
}
