import { readFile, stat } from 'node:fs/promises'
import { NotAPicture } from '../../packages/server/src/pictures/not-a-picture.ts'
import { stopReading } from '../../packages/server/src/pictures/sight/lettering.ts'
import { lookAt } from '../../packages/server/src/pictures/sight/look-at.ts'
import { wrongUsage } from '../refusal.ts'

const MAX_BYTES = 200_000_000

async function lineOf(file: string): Promise<object> {
  try {
    if ((await stat(file)).size > MAX_BYTES) throw new NotAPicture(`larger than ${MAX_BYTES / 1e6} MB`)
    const { figure: _, where: __, ...reading } = await lookAt(await readFile(file))
    return { file, ...reading, objects: reading.objects.map(({ name, score, box }) => ({ name, score, box })), lettering: { present: reading.lettering.present, text: reading.lettering.text } }
  } catch (error) {
    if (error instanceof NotAPicture) return { file, error: { type: 'not-a-picture', message: `The file is ${error.message}.` } }
    const { code } = error as NodeJS.ErrnoException
    if (!code) throw error
    return { file, error: { type: 'not-read', message: `The file cannot be read (${code}).` } }
  }
}

/** `./idolon look`: what can be read of pictures, a line each, in the order they are named. */
export async function look(args: string[]): Promise<number> {
  const unknown = args.find((arg) => arg.startsWith('-'))
  if (unknown) throw wrongUsage(`look: ${unknown} is not known.`)
  if (args.length === 0) throw wrongUsage('look takes one picture file or more.')
  let failed = false
  for (const file of args) {
    const line = await lineOf(file)
    failed ||= 'error' in line
    process.stdout.write(`${JSON.stringify(line)}\n`)
  }
  await stopReading()
  return failed ? 1 : 0
}
