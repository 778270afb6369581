import { execFile } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { mkdir, readdir, readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { promisify } from 'node:util'

const run = promisify(execFile)
const PICTURE = /\.(?:jpe?g|png|webp|gif|tiff?)$/i
const BUNDLE = /\.rcc$/

/** The files of a Debian package, fetched and unpacked once into a folder. */
async function unpacked(name: string, folder: string): Promise<string[]> {
  const into = join(folder, name)
  if (!existsSync(join(into, 'files'))) {
    await mkdir(into, { recursive: true })
    await run('apt-get', ['download', name], { cwd: into, maxBuffer: 1e8 })
    const file = (await readdir(into)).find((one) => one.endsWith('.deb'))
    if (!file) throw new Error(`The package ${name} could not be fetched.`)
    await run('dpkg-deb', ['-x', join(into, file), join(into, 'files')])
  }
  return (await readdir(join(into, 'files'), { recursive: true, withFileTypes: true })).filter((entry) => entry.isFile()).map((entry) => join(entry.parentPath, entry.name))
}

/** Pictures that lie in a bundle of resources one after another, found by how each kind begins and how long it says it is. */
function* within(bytes: Buffer): Generator<Buffer> {
  const starts = [Buffer.from('RIFF'), Buffer.from('\x89PNG\r\n\x1a\n', 'latin1'), Buffer.from([0xff, 0xd8, 0xff])]
  const next = starts.map((start) => bytes.indexOf(start))
  for (;;) {
    const known = next.filter((at) => at >= 0)
    if (known.length === 0) return
    const at = Math.min(...known)
    let end = at + 3
    if (at === next[0]) end = bytes.toString('latin1', at + 8, at + 12) === 'WEBP' ? at + 8 + bytes.readUInt32LE(at + 4) : at + 4
    else if (at === next[1]) end = bytes.indexOf('IEND', at) + 8
    else if (at >= 4) {
      // Before each resource stands its length.
      const length = bytes.readUInt32BE(at - 4)
      if (length > 1_000 && length < 5_000_000) end = at + length
    }
    yield bytes.subarray(at, end)
    starts.forEach((start, i) => {
      if (next[i]! >= 0 && next[i]! < end) next[i] = bytes.indexOf(start, end)
    })
  }
}

/** The pictures of packages whose SHA-256 is wanted, by it. */
export async function picturesOf(packages: readonly string[], wanted: ReadonlySet<string>, folder: string): Promise<Map<string, Buffer>> {
  const found = new Map<string, Buffer>()
  const keep = (bytes: Buffer) => {
    const hash = createHash('sha256').update(bytes).digest('hex')
    if (wanted.has(hash)) found.set(hash, Buffer.from(bytes))
  }
  for (const name of packages)
    for (const file of await unpacked(name, folder)) {
      if (PICTURE.test(file)) keep(await readFile(file))
      else if (BUNDLE.test(file)) for (const bytes of within(await readFile(file))) keep(bytes)
    }
  return found
}
