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
  /** Whether a lower-case word is a noun of a kind, by its commonest sense; a word that is mostly something else is taken for no noun. */
  isKind: (noun: string, kind: string) => boolean
}

/** Classes of the table of words: seen most often as a noun, and never seen. */
const NOUN_FIRST = 0
const UNSEEN = 255
/** Kinds are asked of every word again after every key. */
const REMEMBERED = 20_000

function kindsOf(words: WordTable, kin: Kin): Language['isKind'] {
  const known = new Map<string, Map<string, boolean>>()
  const decide = (noun: string, kind: string): boolean => {
    const facts = words.find(noun)
    // A gull is no person, whatever else it may be called.
    return (facts === undefined || facts.main === NOUN_FIRST || facts.main === UNSEEN) && kin.below(noun, kind) >= 0 && !(kind === 'person' && kin.below(noun, 'animal', true) >= 0)
  }
  return (noun, kind) => {
    let own = known.get(noun)
    if (!own) {
      if (known.size >= REMEMBERED) known.clear()
      known.set(noun, (own = new Map<string, boolean>()))
    }
    let answer = own.get(kind)
    if (answer === undefined) own.set(kind, (answer = decide(noun, kind)))
    return answer
  }
}

/** The language of the checks from the files of packages/core/tables; @throws when they do not go together. */
export function createLanguage({ words, analyse }: Pick<Language, 'words' | 'analyse'>, tables: { kin: Uint8Array; known: Uint8Array; associations: AssociationTable; glossary: readonly GlossaryEntry[] }): Language {
  const kin = new Kin(tables.kin, words)
  return { words, analyse, kin, known: new Known(tables.known), associations: new Associations(tables.associations), exclusions: new Exclusions(tables.glossary), isKind: kindsOf(words, kin) }
}
