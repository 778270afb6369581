import type { PromptRecord } from '../record.ts'

/** Most prompts that are imported at once. */
export const MAX_BROUGHT_IN = 200_000

/** What stands in one place of a file, cell by cell; or a prompt whole, where the file is one of ours. */
export interface FoundRow {
  /** Where it stands, for a person: “line 12”, “notes/owl.txt”. */
  place: string
  cells: string[]
  record?: PromptRecord
}

/** What a file holds, before anything is made of it. */
export interface FoundPrompts {
  format: ReadingFormat['id']
  /** Names of the columns; made up where the file has none. */
  columns: string[]
  rows: FoundRow[]
}

/** A file by its path, as text. */
export interface TextFile {
  name: string
  text: string
}

/** A way to read prompts from files. */
export interface ReadingFormat {
  id: 'csv' | 'json' | 'markdown' | 'text'
  /** Whether files look like it, by name or by what they hold. */
  fits: (files: readonly TextFile[]) => boolean
  /** @throws UnreadableFile */
  read: (files: readonly TextFile[]) => FoundPrompts
}

/** A file that cannot be read as what it is; the message says where and what to do, for a person. */
export class UnreadableFile extends Error {
  constructor(
    message: string,
    /** From 1, where it is known. */
    readonly line?: number,
  ) {
    super(line === undefined ? message : `Line ${line}: ${message}`)
  }
}

export const lineAt = (text: string, index: number): number => {
  let line = 1
  for (let at = text.indexOf('\n'); at >= 0 && at < index; at = text.indexOf('\n', at + 1)) line++
  return line
}
