import { UnreadableFile } from './found.ts'

/** Encodings that a text may be said to be in. */
export const ENCODINGS = ['utf-8', 'utf-16le', 'utf-16be', 'windows-1252', 'macintosh', 'shift_jis', 'gb18030'] as const
export type Encoding = (typeof ENCODINGS)[number]

/** The encoding that the first bytes name (the byte order mark of Unicode). */
function markedEncoding(bytes: Uint8Array): Encoding | undefined {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le'
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be'
  return undefined
}

/** Index of the first byte that is not UTF-8; found by halving. */
function firstWrong(bytes: Uint8Array): number {
  let [good, bad] = [0, bytes.length]
  while (bad - good > 1) {
    const middle = (good + bad) >> 1
    try {
      new TextDecoder('utf-8', { fatal: true }).decode(bytes.subarray(0, middle), { stream: true })
      good = middle
    } catch {
      bad = middle
    }
  }
  return good
}

/**
 * A text from bytes: as UTF-8, or as what its byte order mark or the writer says.
 * @throws UnreadableFile naming the line that is in another encoding.
 */
export function decodeText(bytes: Uint8Array, encoding?: Encoding): string {
  const as = encoding ?? markedEncoding(bytes) ?? 'utf-8'
  try {
    return new TextDecoder(as, { fatal: true }).decode(bytes).replace(/^\uFEFF/u, '')
  } catch {
    const line = bytes.subarray(0, firstWrong(bytes)).reduce((sum, byte) => (byte === 10 ? sum + 1 : sum), 1)
    throw new UnreadableFile(as === 'utf-8' ? 'it is not in UTF-8. Save the file as UTF-8, or say which encoding it is in.' : `it is not in ${as}. Choose another encoding.`, as.startsWith('utf-16') ? undefined : line)
  }
}
