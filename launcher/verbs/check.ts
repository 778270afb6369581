import { type AssociationTable, fixedFacetsOf, type GlossaryEntry, NO_RULES } from '@idolon/core'
import { checkDraft, createLanguage } from '@idolon/core/check'
import { createReader } from '@idolon/core/reader'
import { draftOf } from './given-draft.ts'
import { answerTexts } from './lines.ts'
import { jsonTable, table } from './tables.ts'

/** `./idolon check`: what is wrong with a draft before it is tried. */
export async function check(args: string[]): Promise<number> {
  const reader = createReader(await table('words'), await table('reader'))
  const language = createLanguage(reader, { kin: await table('kin'), known: await table('known'), associations: await jsonTable<AssociationTable>('associations'), glossary: await jsonTable<GlossaryEntry[]>('glossary') })
  return answerTexts(
    'check',
    args,
    (text) => ({ text }),
    (given) => {
      const { draft, engine, rules } = draftOf(given)
      return { findings: checkDraft(draft, reader.read(draft.text, fixedFacetsOf(draft.marks)), language, { engine, rules: rules && { ...NO_RULES, ...rules } }) }
    },
  )
}
