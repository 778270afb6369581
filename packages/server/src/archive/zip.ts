import { Unzip, UnzipInflate, type UnzipFile } from 'fflate'

/** More in one file than any collection of prompts has; what unfolds further is a bomb. */
const MOST_BYTES = 1_500_000_000
const MOST_ENTRIES = 250_000

/** An archive that is not taken in; the message says why, for a person. */
export class UnsafeArchive extends Error {}

/** An archive by its first bytes. */
export const isZip = (first: Uint8Array): boolean => first[0] === 0x50 && first[1] === 0x4b && (first[2] === 3 || first[2] === 5)

function demandSafeName(name: string): void {
  if (name.includes('\0') || name.includes('\\') || name.startsWith('/') || /^[a-z]:/iu.test(name) || name.split('/').includes('..')) {
    throw new UnsafeArchive(`The archive has a path that leads out of it, “${name.slice(0, 120).replaceAll('\0', '')}”. Nothing was imported; pack the files anew.`)
  }
}

/**
 * Reads files of a ZIP archive as it streams by. `wants` says how large a file may be, or undefined to pass it over; `take` gets each that was wanted,
 * one after the other. Memory is that of one file.
 * @throws UnsafeArchive for paths that climb, for what unfolds to more than it may, and for what is damaged.
 */
export async function readZip(chunks: AsyncIterable<Uint8Array>, wants: (name: string) => number | undefined, take: (name: string, bytes: Uint8Array) => Promise<void> | void): Promise<void> {
  const ready: { name: string; bytes: Uint8Array }[] = []
  let [entries, total, open] = [0, 0, 0]
  let wrong: Error | undefined
  const fail = (error: Error) => (wrong ??= error)
  const unzip = new Unzip((file: UnzipFile) => {
    entries++
    try {
      demandSafeName(file.name)
    } catch (error) {
      fail(error as Error)
    }
    if (entries > MOST_ENTRIES) fail(new UnsafeArchive('The archive has more files than are taken in at once. Nothing was imported; divide it.'))
    const most = file.name.endsWith('/') ? undefined : wants(file.name)
    if (wrong || most === undefined) return
    const pieces: Uint8Array[] = []
    let size = 0
    open++
    file.ondata = (error, data, final) => {
      if (wrong) return
      if (error) {
        fail(new UnsafeArchive(`“${file.name.slice(0, 120)}” in the archive is damaged. Nothing was imported; pack the files anew.`))
        return
      }
      size += data.length
      total += data.length
      if (size > most || total > MOST_BYTES) {
        file.terminate()
        fail(new UnsafeArchive(`“${file.name.slice(0, 120)}” in the archive unfolds to more than ${Math.round(Math.min(most, MOST_BYTES) / 1e6).toLocaleString('en')} MB. Nothing was imported.`))
        return
      }
      pieces.push(data)
      if (!final) return
      open--
      const bytes = new Uint8Array(size)
      let at = 0
      for (const piece of pieces) {
        bytes.set(piece, at)
        at += piece.length
      }
      ready.push({ name: file.name, bytes })
    }
    file.start()
  })
  unzip.register(UnzipInflate)
  const deliver = async () => {
    if (wrong) throw wrong
    for (let one = ready.shift(); one; one = ready.shift()) await take(one.name, one.bytes)
  }
  const push = (chunk: Uint8Array, final: boolean) => {
    try {
      unzip.push(chunk, final)
    } catch (error) {
      if (!wrong) fail(new UnsafeArchive(`The archive is damaged or cut off, or packed in a way that is not read here (${(error as Error).message}). Nothing was imported; pack the files anew as ZIP.`))
    }
  }
  for await (const chunk of chunks) {
    push(chunk, false)
    await deliver()
  }
  push(new Uint8Array(0), true)
  await deliver()
  if (open > 0) throw new UnsafeArchive('The archive is cut off. Nothing was imported; import it again.')
}
