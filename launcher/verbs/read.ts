import { createReader } from '@idolon/core/reader'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { ROOT } from '../places.ts'
import { answerTexts, badLine } from './lines.ts'

const table = (name: string) => readFile(join(ROOT, 'packages/core/tables', name))

/** `./idolon read`: what a text says. */
export async function read(args: string[]): Promise<number> {
  const reader = createReader(await table('words.bin'), await table('reader.bin'))
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
