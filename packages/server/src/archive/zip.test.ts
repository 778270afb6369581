import { strToU8, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { readZip } from './zip.ts'

async function* inPieces(bytes: Uint8Array, size = 1_000): AsyncGenerator<Uint8Array> {
  for (let at = 0; at < bytes.length; at += size) yield await Promise.resolve(bytes.subarray(at, at + size))
}
const filesOf = async (bytes: Uint8Array, most = 1_000_000) => {
  const found: Record<string, string> = {}
  await readZip(inPieces(bytes), (name) => (name.endsWith('.txt') ? most : undefined), (name, content) => { found[name] = new TextDecoder().decode(content) })
  return found
}

describe('reading an archive', () => {
  it('gives the files that are wanted, packed or not, and passes the others over', async () => {
    const long = 'an owl at dusk, '.repeat(5_000)
    const bytes = zipSync({ 'a.txt': strToU8('an owl'), 'more/b.txt': [strToU8(long), { level: 9 }], 'more/c.png': [strToU8(long), { level: 0 }], 'd.txt': [strToU8('last'), { level: 0 }] })
    expect(await filesOf(bytes)).toEqual({ 'a.txt': 'an owl', 'more/b.txt': long, 'd.txt': 'last' })
  })

  it.each(['../evil.txt', '/etc/evil.txt', 'a/../../evil.txt', 'C:evil.txt', 'a\\..\\evil.txt'])('refuses a path that leads out of it: %s', async (name) => {
    await expect(filesOf(zipSync({ 'good.txt': strToU8('x'), [name]: strToU8('x') }))).rejects.toThrow('leads out of it')
  })

  it('stops at a file that unfolds to more than it may, whatever its header says', async () => {
    await expect(filesOf(zipSync({ 'bomb.txt': [new Uint8Array(20_000_000), { level: 9 }] }))).rejects.toThrow('unfolds to more than 1 MB')
  })

  it('refuses what is damaged, cut off or no archive in words', async () => {
    const bytes = zipSync({ 'a.txt': [strToU8('an owl at dusk, '.repeat(500)), { level: 6 }] })
    await expect(filesOf(bytes.subarray(0, 60))).rejects.toThrow('cut off')
    const damaged = bytes.slice()
    damaged.fill(0xff, 40, 70)
    await expect(filesOf(damaged)).rejects.toThrow('damaged')
    await expect(filesOf(strToU8('this is not an archive at all'))).resolves.toEqual({})
  })
})
