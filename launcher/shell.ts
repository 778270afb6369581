import { spawn } from 'node:child_process'

export interface Ran {
  code: number
  out: string
}

/** Runs a program to its end and gives back what it printed, both streams in order of arrival. Arguments are never read by a shell. */
export function run(program: string, args: readonly string[], options: { cwd?: string; env?: NodeJS.ProcessEnv; show?: boolean; input?: string } = {}): Promise<Ran> {
  return new Promise((resolve) => {
    const child = spawn(program, args, { cwd: options.cwd, env: options.env ?? process.env, stdio: [options.input === undefined ? 'ignore' : 'pipe', 'pipe', 'pipe'] })
    let out = ''
    const take = (chunk: Buffer) => {
      out += chunk.toString()
      if (options.show) process.stdout.write(chunk)
    }
    child.stdout?.on('data', take)
    child.stderr?.on('data', take)
    child.on('error', (error) => {
      resolve({ code: 127, out: error.message })
    })
    child.on('close', (code) => {
      resolve({ code: code ?? 1, out })
    })
    if (options.input !== undefined) child.stdin?.end(options.input)
  })
}

export const isRoot = (): boolean => process.getuid?.() === 0
