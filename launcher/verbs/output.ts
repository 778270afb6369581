import { fixedFacetsOf, outputFor } from '@idolon/core'
import { createReader } from '@idolon/core/reader'
import { draftOf } from './given-draft.ts'
import { answerTexts, badLine } from './lines.ts'
import { table } from './tables.ts'

/** `./idolon output`: a draft as an engine is given it. */
export async function output(args: string[]): Promise<number> {
  const reader = createReader(await table('words'), await table('reader'))
  return answerTexts(
    'output',
    args,
    (text) => ({ text, engine: 'burin' }),
    (given) => {
      const { draft, engine } = draftOf(given)
      if (!engine) throw badLine('no-engine', 'The line names no engine.')
      return outputFor(draft, engine, { reading: reader.read(draft.text, fixedFacetsOf(draft.marks)), words: reader.words })
    },
  )
}
