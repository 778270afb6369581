import { decodeText, type Encoding, type FoundPrompts, readFiles, readFolder, type TextFile, UnreadableFile } from '@idolon/core'
import type { Bundle } from '@idolon/contract'
import { isZip, readZip } from '../archive/zip.ts'
import { readBundle } from '../bundles/read-bundle.ts'

/** Of one file of texts; more is no text that a person wrote. */
const MOST_TEXT = 80_000_000
/** Of one file in an archive of texts: a prompt, with room. */
const MOST_ENTRY = 400_000
const TEXT = /\.(txt|text|md|markdown|prompt)$/iu
/** What systems put beside files. */
const LITTER = /(^|\/)(__MACOSX\/|\.)/u

async function whole(parts: AsyncIterable<Uint8Array>): Promise<Buffer> {
  const pieces: Uint8Array[] = []
  let size = 0
  for await (const piece of parts) {
    size += piece.length
    if (size > MOST_TEXT) throw new UnreadableFile(`it is larger than ${MOST_TEXT / 1e6} MB. Divide it, or pack texts into a ZIP.`)
    pieces.push(piece)
  }
  return Buffer.concat(pieces)
}

/** What a file holds: prompts as they are written there, or a bundle of ours. */
export type Held = { found: FoundPrompts } | { bundle: Bundle }

/** @throws UnreadableFile, UnsafeArchive */
export async function holds(name: string, parts: () => AsyncIterable<Uint8Array>, encoding?: Encoding): Promise<Held> {
  const bundle = await readBundle(parts)
  return bundle ? { bundle } : { found: await readFile(name, parts, encoding) }
}

/**
 * What a file that is no bundle holds: one of the formats, or an archive of texts.
 * @throws UnreadableFile, UnsafeArchive
 */
async function readFile(name: string, parts: () => AsyncIterable<Uint8Array>, encoding?: Encoding): Promise<FoundPrompts> {
  const first = await parts()[Symbol.asyncIterator]().next()
  if (first.done) throw new UnreadableFile('it is empty.')
  if (!isZip(first.value)) return readFiles([{ name, text: decodeText(await whole(parts()), encoding) }])
  const files: TextFile[] = []
  await readZip(parts(), (entry) => (TEXT.test(entry) && !LITTER.test(entry) ? MOST_ENTRY : undefined), (entry, bytes) => {
    try {
      files.push({ name: entry, text: decodeText(bytes, encoding) })
    } catch (error) {
      throw error instanceof UnreadableFile ? new UnreadableFile(`“${entry}”: ${error.message}`) : error
    }
  })
  if (files.length === 0) throw new UnreadableFile('there is no text file in it (.txt or .md), and it is no bundle.')
  return readFolder(files)
}
