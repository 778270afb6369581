import { type ChildProcess, spawn } from 'node:child_process'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'

export const DIST = join(process.env['IDOLON_ROOT'] ?? '.', 'packages/server/dist')

/** The server as it ships, in a process of its own; its address, and the most memory it ever held, in kB. */
export async function shippedServer(databaseUrl: string): Promise<{ address: string; peak: () => Promise<number>; stop: () => void }> {
  const port = 20_000 + (process.pid % 20_000)
  const child: ChildProcess = spawn('node', [join(DIST, 'server.mjs')], { env: { ...process.env, DATABASE_URL: databaseUrl, PORT: String(port), IDOLON_LOG: 'silent' }, stdio: 'ignore' })
  const address = `http://127.0.0.1:${port}`
  for (let i = 0; i < 150; i++) {
    if (await fetch(`${address}/api/health`).then((response) => response.ok, () => false)) break
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  return {
    address,
    peak: async () => Number(/VmHWM:\s+(\d+)/.exec(await readFile(`/proc/${child.pid ?? 0}/status`, 'utf8'))?.[1] ?? 0),
    stop: () => void child.kill('SIGTERM'),
  }
}
