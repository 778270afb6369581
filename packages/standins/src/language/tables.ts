import type { AssociationTable, GlossaryEntry } from '@idolon/core'
import { Associations, Glossary } from '@idolon/core'
import { createReader, Kin, type Reader } from '@idolon/core/reader'
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'

const require = createRequire(import.meta.url)
const table = (file: string) => readFileSync(require.resolve(`@idolon/core/tables/${file}`))
const json = (file: string): unknown => JSON.parse(table(file).toString('utf8'))

/** What the models know of English and of the trade: the same tables that Idolon's core has. */
export interface Knowledge {
  reader: Reader
  kin: Kin
  glossary: Glossary
  associations: Associations
  /** By word: other words for it and other kinds of the same. */
  table: AssociationTable
}

let known: Knowledge | undefined
/** Loaded when it is first needed. */
export function knowledge(): Knowledge {
  if (!known) {
    const reader = createReader(table('words.bin'), table('reader.bin'))
    const associations = json('associations.json') as AssociationTable
    known = { reader, kin: new Kin(table('kin.bin'), reader.words), glossary: new Glossary(json('glossary.json') as GlossaryEntry[]), associations: new Associations(associations), table: associations }
  }
  return known
}
