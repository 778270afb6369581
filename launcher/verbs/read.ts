import { createReader } from '@idolon/core/reader'
import { answerTexts, badLine } from './lines.ts'
import { table } from './tables.ts'

/** `./idolon read`: what a text says. */
export async function read(args: string[]): Promise<number> {
  const reader = createReader(await table('words'), await table('reader'))
  return answerTexts(
    'read',
    args,
    (text) => ({ text }),
    (given) => {
      const text = typeof given === 'object' && given !== null && 'text' in given ? given.text : undefined
      if (typeof text !== 'string') throw badLine('no-text', 'The line has no "text" that is a string.')
      return reader.read(text)
    },
  )
}
