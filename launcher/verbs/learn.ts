import { learnTemplate } from '@idolon/core'
import { createReader } from '@idolon/core/reader'
import { answerTexts, badLine } from './lines.ts'
import { table } from './tables.ts'

/** `./idolon learn`: the template that texts share, and what stands in its slots, text by text. */
export async function learn(args: string[]): Promise<number> {
  const reader = createReader(await table('words'), await table('reader'))
  return answerTexts('learn', args, textsOf, (given) => {
    const texts = (given as { texts?: unknown } | null)?.texts
    if (!Array.isArray(texts) || !texts.every((text) => typeof text === 'string')) throw badLine('no-texts', 'The line has no "texts", a list of strings.')
    if (texts.length < 2) throw badLine('too-few', 'A template is learned from two texts or more.')
    return learnTemplate(texts, (text) => reader.read(text).phrases)
  })
}

/** Without --jsonl, the input is one JSON object with the texts. */
function textsOf(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw badLine('not-json', 'The input is not JSON; it wants {"texts": [...]}.')
  }
}
