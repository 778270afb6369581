import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { Child } from './child.ts'

let folder = ''
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'idolon-child-'))
})
afterAll(() => rm(folder, { recursive: true }))

async function program(name: string, code: string) {
  const file = join(folder, `${name}.mjs`)
  await writeFile(file, code)
  return { name, file, env: {}, log: join(folder, `${name}.log`), pidFile: join(folder, `${name}.pid`) }
}
const alive = (pid: number) => {
  try {
    process.kill(pid, 0)
    return true
  } catch {
    return false
  }
}

it('starts a program again when it is killed, and ends it for good when it is stopped', async () => {
  const said: string[] = []
  const child = await Child.start(await program('steady', `console.log('hello'); process.send('ready'); setInterval(() => {}, 1000)`), (line) => said.push(line))
  const first = child.pid!
  process.kill(first, 'SIGKILL')
  await expect.poll(() => said.at(-1)).toBe('steady runs again.')
  const second = child.pid!
  expect(second).not.toBe(first)
  expect(Number(await readFile(join(folder, 'steady.pid'), 'utf8'))).toBe(second)
  await child.stop()
  expect(alive(second)).toBe(false)
  await expect.poll(() => readFile(join(folder, 'steady.log'), 'utf8')).toBe('hello\nhello\n')
})

it('says where to look when a program ends before it is ready', async () => {
  await expect(Child.start(await program('broken', `console.error('no'); process.exit(3)`), () => undefined)).rejects.toThrow(/broken ended at once \(status 3\); see .*broken\.log/)
})
