import { mkdtemp, rm, stat } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { keyFrom, Sealer } from './sealed.ts'

it('opens what it sealed, and nothing that was changed, moved to another owner or sealed with another key', () => {
  const sealer = new Sealer('a key of some length')
  const sealed = sealer.seal('tok-123 ü', 'press 1')
  expect(sealer.open(sealed, 'press 1')).toBe('tok-123 ü')
  expect(sealed).not.toContain('tok')
  expect(sealer.open(sealed, 'press 2')).toBeUndefined()
  expect(new Sealer('another key, as long').open(sealed, 'press 1')).toBeUndefined()
  const bytes = Buffer.from(sealed, 'base64')
  bytes[bytes.length - 1]! ^= 1
  expect(sealer.open(bytes.toString('base64'), 'press 1')).toBeUndefined()
  expect(sealer.seal('tok-123 ü', 'press 1')).not.toBe(sealed)
})

it('makes the key file once, for its owner alone', async () => {
  const folder = await mkdtemp(join(tmpdir(), 'idolon-key-'))
  try {
    const file = join(folder, 'key')
    const key = await keyFrom(file)
    expect(await keyFrom(file)).toBe(key)
    expect((await stat(file)).mode & 0o777).toBe(0o600)
  } finally {
    await rm(folder, { recursive: true })
  }
})
