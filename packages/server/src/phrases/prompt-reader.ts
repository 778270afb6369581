import { type AssociationTable, covered, type Draft, fixedFacetsOf, type GlossaryEntry } from '@idolon/core'
import { createLanguage, type Language } from '@idolon/core/check'
import { createReader, type Reader } from '@idolon/core/reader'
import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'

const require = createRequire(import.meta.url)
const table = (file: string) => readFile(require.resolve(`@idolon/core/tables/${file}`))
let reader: Promise<Reader> | undefined
let language: Promise<Language> | undefined

/** Reads prompts as the page does; its tables are loaded when it is first asked for. */
export const promptReader = (): Promise<Reader> => (reader ??= Promise.all([table('words.bin'), table('reader.bin')]).then(([words, network]) => createReader(words, network)))

/** What a draft says, with the facets that the writer has set and without the phrases that are switched off. */
export function readShown(reader: Reader, { text, marks }: Pick<Draft, 'text' | 'marks'>): ReturnType<Reader['read']> {
  const reading = reader.read(text, fixedFacetsOf(marks))
  return { ...reading, phrases: reading.phrases.filter((phrase) => !covered(text, marks, 'off', phrase)) }
}

/** What the checks know of the language; its tables are loaded when it is first asked for. */
export const checkLanguage = (): Promise<Language> =>
  (language ??= Promise.all([promptReader(), table('kin.bin'), table('known.bin'), table('associations.json'), table('glossary.json')]).then(([reader, kin, known, associations, glossary]) =>
    createLanguage(reader, { kin, known, associations: JSON.parse(associations.toString('utf8')) as AssociationTable, glossary: JSON.parse(glossary.toString('utf8')) as GlossaryEntry[] }),
  ))
