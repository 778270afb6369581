import { type Facet, learnTemplate } from '@idolon/core'
import { createReader, type Reader } from '@idolon/core/reader'
import { answerTexts, badLine } from './lines.ts'
import { table } from './tables.ts'

/** What most of a stretch of a text says. */
function naming(reader: Reader): (text: string, start: number, end: number) => Facet | undefined {
  const known = new Map<string, ReturnType<Reader['read']>>()
  return (text, start, end) => {
    const reading = known.get(text) ?? reader.read(text)
    known.set(text, reading)
    const over = (phrase: { start: number; end: number }) => Math.min(end, phrase.end) - Math.max(start, phrase.start)
    return reading.phrases.filter((phrase) => over(phrase) > 0).sort((x, y) => over(y) - over(x))[0]?.facet
  }
}

/** `./idolon learn`: the template that texts share, and what stands in its slots, text by text. */
export async function learn(args: string[]): Promise<number> {
  const reader = createReader(await table('words'), await table('reader'))
  return answerTexts('learn', args, textsOf, (given) => {
    const texts = (given as { texts?: unknown } | null)?.texts
    if (!Array.isArray(texts) || !texts.every((text) => typeof text === 'string')) throw badLine('no-texts', 'The line has no "texts", a list of strings.')
    if (texts.length < 2) throw badLine('too-few', 'A template is learned from two texts or more.')
    return learnTemplate(texts, naming(reader))
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
