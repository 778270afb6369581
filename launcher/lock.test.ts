import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { lockFolder } from './lock.ts'

let data = ''
beforeEach(async () => {
  data = await mkdtemp(join(tmpdir(), 'idolon-lock-'))
})
afterEach(() => rm(data, { recursive: true }))

const holder = async () => JSON.parse(await readFile(join(data, 'launcher.json'), 'utf8')) as { pid: number; began: string }

it('is taken over from a holder that is dead, or whose number another process has now', async () => {
  await writeFile(join(data, 'launcher.json'), JSON.stringify({ pid: 2 ** 22 - 3, began: '1' }))
  await (await lockFolder(data)).release()
  // This test's parent is alive, but did not begin when the lock says.
  await writeFile(join(data, 'launcher.json'), JSON.stringify({ pid: process.ppid, began: '1' }))
  await lockFolder(data)
  expect((await holder()).pid).toBe(process.pid)
})

it('is refused while its holder lives, naming the address', async () => {
  const stat = await readFile(`/proc/${process.ppid}/stat`, 'utf8')
  const began = stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19]
  await writeFile(join(data, 'launcher.json'), JSON.stringify({ pid: process.ppid, began, address: 'http://127.0.0.1:4310' }))
  await expect(lockFolder(data)).rejects.toThrow(/already runs on this data at http:\/\/127\.0\.0\.1:4310/)
})
