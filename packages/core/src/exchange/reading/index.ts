import { csv } from './csv.ts'
import type { FoundPrompts, ReadingFormat, TextFile } from './found.ts'
import { UnreadableFile } from './found.ts'
import { json } from './json.ts'
import { markdown } from './markdown.ts'
import { texts } from './texts.ts'

/** Formats that prompts are read from; the first that fits reads. */
export const READING_FORMATS: readonly ReadingFormat[] = [csv, json, markdown, texts]

/**
 * What a file holds, by the first format that fits.
 * @throws UnreadableFile that names the place, in words for a person.
 */
export const readFiles = (files: readonly TextFile[]): FoundPrompts => readAs(READING_FORMATS.find((format) => format.fits(files))!, files)

/** The same of a folder of texts, a prompt a file, whatever the files are called. */
export const readFolder = (files: readonly TextFile[]): FoundPrompts => readAs(texts, files)

function readAs(format: ReadingFormat, files: readonly TextFile[]): FoundPrompts {
  const found = format.read(files)
  if (found.rows.length === 0) throw new UnreadableFile('there is nothing in it that could be a prompt.')
  return found
}
