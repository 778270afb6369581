import { type EngineProfile, fixedFacetsOf, type HouseRules } from '@idolon/core'
import { checkDraft } from '@idolon/core/check'
import { ANSWERS, type AnswerKind, type JudgingTools, type Validate } from '@idolon/core/helper'
import { compareReadings, Synonyms } from '@idolon/core/reader'
import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { departures } from '../http/validators.ts'
import { checkLanguage, promptReader } from '../phrases/prompt-reader.ts'

const require = createRequire(import.meta.url)
let synonyms: Promise<Synonyms> | undefined
const sameness = async (): Promise<Synonyms> => {
  const { kin } = await checkLanguage()
  return new Synonyms(JSON.parse(await readFile(require.resolve('@idolon/core/tables/same.json'), 'utf8')) as ConstructorParameters<typeof Synonyms>[0], kin)
}

/** Holds an answer to the shape of its kind. */
export const validateAnswer: Validate = (kind: AnswerKind, value) => {
  const wrong = departures(ANSWERS[kind].schema, value)
  return wrong.length ? `${wrong.slice(0, 3).map((one) => one.trim()).join('; ')}.` : undefined
}

/** What answers are judged with, for an engine and the rules of a house. */
export async function judgingTools(engine: EngineProfile | undefined, rules: HouseRules | undefined): Promise<JudgingTools> {
  const [reader, language, same] = await Promise.all([promptReader(), checkLanguage(), (synonyms ??= sameness())])
  return {
    reader,
    find: (draft) => checkDraft(draft, reader.read(draft.text, fixedFacetsOf(draft.marks)), language, { engine, rules }),
    near: (a, b) => compareReadings(reader.read(a), reader.read(b), same).near,
  }
}
