import { fixedFacetsOf, NO_RULES } from '@idolon/core'
import { checkDraft, Kin, Known } from '@idolon/core/check'
import { createReader } from '@idolon/core/reader'
import { draftOf } from './given-draft.ts'
import { answerTexts } from './lines.ts'
import { table } from './tables.ts'

/** `./idolon check`: what is wrong with a draft before it is tried. */
export async function check(args: string[]): Promise<number> {
  const reader = createReader(await table('words'), await table('reader'))
  const language = { words: reader.words, kin: new Kin(await table('kin'), reader.words), known: new Known(await table('known')) }
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
