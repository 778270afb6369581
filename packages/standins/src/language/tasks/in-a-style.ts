import { styleFromWords } from '@idolon/core'
import { Suggester, writeInStyle } from '@idolon/core/reader'
import { type Asked, linesOf } from '../asked.ts'
import { slips } from '../habits.ts'
import { withSlips } from '../slip.ts'
import { knowledge } from '../tables.ts'

let suggester: Suggester | undefined

/** A draft written in a writing style that the instruction tells in words. */
export function inAStyleTask(asked: Asked): { prompt: string } {
  const { told, random, habits, given } = asked
  const { reader } = knowledge()
  suggester ??= new Suggester(reader.words)
  const writingStyle = styleFromWords(given('writingStyle'), (phrase) => reader.read(phrase).phrases[0]?.facet ?? 'detail')
  const words = told.words === undefined ? undefined : Math.round(told.words * (slips('tooLong', habits, told, random) ? 1.4 : 1))
  const { text } = writeInStyle(writingStyle, given('prompt'), reader, suggester, { ...(words === undefined ? {} : { words }), take: Math.floor(random() * 6) })
  return { prompt: withSlips(text, asked, linesOf(given('locked')), true) }
}
