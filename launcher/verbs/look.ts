import { factsOf } from '@idolon/core/look'
import { readFile, stat } from 'node:fs/promises'
import { NotAPicture } from '../../packages/server/src/pictures/not-a-picture.ts'
import { proxyOf } from '../../packages/server/src/pictures/proxy.ts'
import { wrongUsage } from '../refusal.ts'

const MAX_BYTES = 200_000_000

async function lookAt(file: string): Promise<object> {
  try {
    if ((await stat(file)).size > MAX_BYTES) throw new NotAPicture(`larger than ${MAX_BYTES / 1e6} MB`)
    return { file, ...factsOf(await proxyOf(await readFile(file))) }
  } catch (error) {
    if (error instanceof NotAPicture) return { file, error: { type: 'not-a-picture', message: `The file is ${error.message}.` } }
    const { code } = error as NodeJS.ErrnoException
    if (!code) throw error
    return { file, error: { type: 'not-read', message: `The file cannot be read (${code}).` } }
  }
}

/** `./idolon look`: what can be measured of pictures, a line each, in the order they are named. */
export async function look(args: string[]): Promise<number> {
  const unknown = args.find((arg) => arg.startsWith('-'))
  if (unknown) throw wrongUsage(`look: ${unknown} is not known.`)
  if (args.length === 0) throw wrongUsage('look takes one picture file or more.')
  let failed = false
  for (const file of args) {
    const line = await lookAt(file)
    failed ||= 'error' in line
    process.stdout.write(`${JSON.stringify(line)}\n`)
  }
  return failed ? 1 : 0
}
