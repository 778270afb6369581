import { type ChildProcess, fork } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { createServer } from 'node:net'
import type { AddressInfo } from 'node:net'

const PROGRAM = fileURLToPath(new URL('../../../standins/dist/standins.mjs', import.meta.url))

/** The simulated language models in a process of their own, as they ship. */
export class LanguageStandin {
  private constructor(
    readonly address: string,
    private readonly process: ChildProcess,
  ) {}

  static async start(): Promise<LanguageStandin> {
    const probe = createServer().listen(0, '127.0.0.1')
    await new Promise((resolve) => probe.once('listening', resolve))
    const { port } = probe.address() as AddressInfo
    await new Promise((resolve) => probe.close(resolve))
    const child = fork(PROGRAM, { env: { ...process.env, STANDIN: 'language', PORT: String(port) }, stdio: 'ignore' })
    await new Promise<void>((resolve, reject) => {
      child.once('message', () => resolve())
      child.once('exit', (code) => reject(new Error(`The simulated models ended with ${code}. Build them with ./idolon test server.`)))
    })
    return new LanguageStandin(`http://127.0.0.1:${port}`, child)
  }

  async set(settings: { misbehaviour?: string; times?: number; gullible?: boolean; delayMs?: number }): Promise<void> {
    const response = await fetch(`${this.address}/v1/standin`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(settings) })
    if (!response.ok) throw new Error(await response.text())
  }

  stop(): Promise<void> {
    return new Promise((resolve) => {
      this.process.once('exit', () => resolve())
      this.process.kill()
    })
  }
}
