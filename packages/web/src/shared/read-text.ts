import { ApiProblem } from '../api/problem.ts'

/** Largest text file that is read in the page, in bytes. */
const MOST = 20_000_000

/**
 * A file as text, whatever it was written in: UTF-8 or UTF-16 by their marks, else UTF-8 where it is valid, else Windows-1252,
 * which spreadsheets on Windows write.
 * @throws ApiProblem with a sentence for a person, of a file that is too large or no text.
 */
export async function readText(file: File): Promise<string> {
  if (file.size > MOST) throw new ApiProblem('invalid', `${file.name} is larger than ${MOST / 1_000_000} MB. Nothing was imported; divide it into smaller files.`)
  return decoded(new Uint8Array(await file.arrayBuffer()), file.name)
}

export function decoded(bytes: Uint8Array, name: string): string {
  const [a, b] = bytes
  const marked = a === 0xff && b === 0xfe ? 'utf-16le' : a === 0xfe && b === 0xff ? 'utf-16be' : undefined
  const text = marked ? new TextDecoder(marked).decode(bytes) : validUtf8(bytes) ?? new TextDecoder('windows-1252').decode(bytes)
  if (text.includes('\0')) throw new ApiProblem('invalid', `${name} is no text file. Nothing was imported.`)
  return text
}

function validUtf8(bytes: Uint8Array): string | undefined {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return undefined
  }
}
