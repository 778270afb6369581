import { expect, test } from '@playwright/test'
import { execFile } from 'node:child_process'
import { mkdtemp, rm, stat, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { Launched, ROOT } from './launched.ts'

const run = promisify(execFile)
const answers = (address: string) => fetch(`${address}/api/health`).then((response) => response.ok, () => false)
const alive = (pid: number) => {
  try {
    process.kill(pid, 0)
    return true
  } catch {
    return false
  }
}

test('start, Ctrl-C, a killed launcher, backup and restore, on a cluster of its own', async () => {
  test.setTimeout(600_000)
  const data = await mkdtemp(join(tmpdir(), 'idolon-launch-'))
  const file = join(data, 'all.backup')
  const idolon = (...args: string[]) => run(join(ROOT, 'idolon'), [...args, '--data', data], { env: { ...process.env, DATABASE_URL: '' } })
  try {
    const first = await Launched.start(['--data', data, '--empty'])
    const { address, serverPid } = first
    expect(await answers(address)).toBe(true)
    await fetch(`${address}/api/projects`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ name: 'Kept' }) })
    await expect(idolon('start', '--empty')).rejects.toMatchObject({ stderr: expect.stringContaining('already runs') as unknown })
    // A backup is taken while everything runs.
    await idolon('backup', file)
    expect((await stat(file)).mode & 0o077).toBe(0)

    // Killed without a chance to tidy up: nothing it leaves blocks the next start.
    await first.end('SIGKILL')
    await expect.poll(() => alive(serverPid), { timeout: 10_000 }).toBe(false)
    const second = await Launched.start(['--data', data, '--empty'])
    const projects = (await (await fetch(`${second.address}/api/projects`)).json()) as { name: string }[]
    expect(projects.map(({ name }) => name)).toEqual(['Kept'])
    await fetch(`${second.address}/api/projects`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ name: 'Made after the backup' }) })
    const pid = second.serverPid
    expect(await second.end('SIGINT')).toBe(0)
    expect(alive(pid)).toBe(false)
    expect(await answers(second.address)).toBe(false)

    await expect(idolon('restore', file)).rejects.toMatchObject({ stderr: expect.stringContaining('--replace') as unknown })
    await writeFile(`${file}.broken`, 'no backup')
    await expect(idolon('restore', `${file}.broken`, '--replace')).rejects.toMatchObject({ stderr: expect.stringContaining('not a backup') as unknown })
    await idolon('restore', file, '--replace')
    const third = await Launched.start(['--data', data, '--empty'])
    const restored = (await (await fetch(`${third.address}/api/projects`)).json()) as { name: string }[]
    expect(restored.map(({ name }) => name)).toEqual(['Kept'])
    await third.end()
  } finally {
    await rm(data, { recursive: true, force: true })
  }
})

test('wrong usage is said plainly, with status 2', async () => {
  const fails = (...args: string[]) => run(join(ROOT, 'idolon'), args).then(() => ({ code: 0, stderr: '' }), (error: unknown) => error as { code: number; stderr: string })
  expect(await fails('start', '--prot', '1')).toMatchObject({ code: 2 })
  expect(await fails('dance')).toMatchObject({ code: 2, stderr: expect.stringContaining('no verb “dance”') as unknown })
  expect(await fails('read', '/nowhere/at/all')).toMatchObject({ code: 1 })
})

test('check and output answer a line for each line, and say what is wrong with a line', async () => {
  const file = join(await mkdtemp(join(tmpdir(), 'idolon-check-')), 'in.jsonl')
  await writeFile(file, '{"text":"a miller at midday beneath a crescent moon, oil painting","engine":"burin"}\n{"text":"a fox","engine":"nobody"}\n')
  const answers = async (verb: string) => {
    const { stdout, code } = await run(join(ROOT, 'idolon'), [verb, file, '--jsonl']).then(
      ({ stdout }) => ({ stdout, code: 0 }),
      (error: unknown) => error as { stdout: string; code: number },
    )
    expect(code).toBe(1)
    return stdout.trim().split('\n').map((line) => JSON.parse(line) as Record<string, unknown>)
  }
  const [checked, unknown] = await answers('check')
  expect(checked).toMatchObject({ findings: [{ kind: 'contradiction', severity: 'stop', where: { in: 'text', start: 12, end: 18 } }] })
  expect(unknown).toMatchObject({ error: { type: 'no-such-engine' } })
  const [said] = await answers('output')
  expect(said).toMatchObject({ text: expect.stringMatching(/^A miller .*\.$/) as unknown, leaveOut: '', limit: 1_800 })
})

test('read answers a line for each line, bad ones included', async () => {
  const file = join(await mkdtemp(join(tmpdir(), 'idolon-read-')), 'in.jsonl')
  await writeFile(file, '{"text":"a red fox at dusk"}\nnot json\n{"txt":1}\n{"text":""}\n')
  const { stdout, code } = await run(join(ROOT, 'idolon'), ['read', file, '--jsonl']).then(
    ({ stdout }) => ({ stdout, code: 0 }),
    (error: unknown) => error as { stdout: string; code: number },
  )
  const lines = stdout.trim().split('\n').map((line) => JSON.parse(line) as Record<string, unknown>)
  expect(code).toBe(1)
  expect(lines).toHaveLength(4)
  expect(lines[0]).toMatchObject({ phrases: [{ text: 'red fox', facet: 'subject' }, { text: 'dusk', facet: 'moment' }], leaveOut: [], settings: {}, noise: [] })
  expect(lines[1]).toMatchObject({ error: { type: 'not-json' } })
  expect(lines[2]).toMatchObject({ error: { type: 'no-text' } })
  expect(lines[3]).toMatchObject({ phrases: [] })
})
