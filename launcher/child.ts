import { type ChildProcess, fork } from 'node:child_process'
import { createWriteStream } from 'node:fs'
import { mkdir, writeFile } from 'node:fs/promises'
import { dirname } from 'node:path'
import { Refusal } from './refusal.ts'

const READY_MS = 60_000
const STOP_MS = 5_000
/** A program that ends more often than this within a minute is not started again. */
const MAX_RESTARTS = 5

export interface Program {
  name: string
  file: string
  env: NodeJS.ProcessEnv
  log: string
  /** Where the process's id is written each time it starts. */
  pidFile?: string
}

/** A program of ours that is kept running until it is stopped: when it dies it is started again. */
export class Child {
  #process: ChildProcess | undefined
  #stopping = false
  #ends: number[] = []

  private constructor(
    private readonly program: Program,
    private readonly say: (line: string) => void,
  ) {}

  static async start(program: Program, say: (line: string) => void): Promise<Child> {
    await mkdir(dirname(program.log), { recursive: true })
    const child = new Child(program, say)
    await child.#launch()
    return child
  }

  get pid(): number | undefined {
    return this.#process?.pid
  }

  async #launch(): Promise<void> {
    const { name, file, env, log } = this.program
    const output = createWriteStream(log, { flags: 'a' })
    // Its own process group, so that Ctrl-C reaches the launcher alone, which then ends its programs in order.
    const child = fork(file, { env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe', 'ipc'], detached: true, execArgv: ['--enable-source-maps'] })
    this.#process = child
    if (this.program.pidFile && child.pid) await writeFile(this.program.pidFile, String(child.pid))
    child.stdout?.pipe(output, { end: false })
    child.stderr?.pipe(output, { end: false })
    await new Promise<void>((resolve, reject) => {
      const timer = setTimeout(() => {
        reject(new Refusal(`${name} was not ready within ${READY_MS / 1000} seconds; see ${log}.`))
      }, READY_MS)
      child.once('message', () => {
        clearTimeout(timer)
        resolve()
      })
      child.once('exit', (code) => {
        clearTimeout(timer)
        reject(new Refusal(`${name} ended at once (status ${code ?? 'killed'}); see ${log}.`))
      })
    })
    // Its last words come after its end.
    child.once('close', () => output.end())
    child.once('exit', (code, signal) => {
      if (!this.#stopping) void this.#again(`${name} ended (${signal ?? `status ${code ?? '?'}`})`)
    })
  }

  async #again(what: string): Promise<void> {
    const now = Date.now()
    this.#ends = [...this.#ends.filter((at) => at > now - 60_000), now]
    if (this.#ends.length > MAX_RESTARTS) {
      this.say(`${what} too often; it is not started again. See ${this.program.log}.`)
      return
    }
    this.say(`${what}; starting it again.`)
    try {
      await this.#launch()
      this.say(`${this.program.name} runs again.`)
    } catch (error) {
      if (!this.#stopping) await this.#again((error as Error).message)
    }
  }

  async stop(): Promise<void> {
    this.#stopping = true
    const child = this.#process
    if (!child || child.exitCode !== null || child.signalCode !== null) return
    await new Promise<void>((resolve) => {
      const timer = setTimeout(() => child.kill('SIGKILL'), STOP_MS)
      child.once('close', () => {
        clearTimeout(timer)
        resolve()
      })
      child.kill('SIGTERM')
    })
  }
}
