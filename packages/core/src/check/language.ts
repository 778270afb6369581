import { Associations } from '../glossary/associations.ts'
import type { AssociationTable } from '../glossary/association-table.ts'
import type { GlossaryEntry } from '../glossary/entry.ts'
import { Exclusions } from '../glossary/exclusions.ts'
import { Kin } from '../glossary/kin.ts'
import { Known } from '../glossary/known.ts'
import type { Analyser } from '../read/analyser.ts'
import type { WordTable } from '../read/words/word-table.ts'

/** What the checks know of the language. */
export interface Language {
  words: WordTable
  /** Parts of speech and dictionary forms. */
  analyse: Analyser
  kin: Kin
  known: Known
  associations: Associations
  exclusions: Exclusions
}

/** The language of the checks from the files of packages/core/tables; @throws when they do not go together. */
export const createLanguage = ({ words, analyse }: Pick<Language, 'words' | 'analyse'>, tables: { kin: Uint8Array; known: Uint8Array; associations: AssociationTable; glossary: readonly GlossaryEntry[] }): Language => ({
  words,
  analyse,
  kin: new Kin(tables.kin, words),
  known: new Known(tables.known),
  associations: new Associations(tables.associations),
  exclusions: new Exclusions(tables.glossary),
})
