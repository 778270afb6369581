import { readFile } from 'node:fs/promises'
import { createInterface } from 'node:readline'
import { Readable } from 'node:stream'
import { createReadStream } from 'node:fs'
import { parseArgs } from 'node:util'
import { Refusal, wrongUsage } from '../refusal.ts'

const MAX_INPUT = 50_000_000

class BadLine extends Error {
  constructor(
    readonly type: string,
    message: string,
  ) {
    super(message)
  }
}

export const badLine = (type: string, message: string) => new BadLine(type, message)

async function standardInput(): Promise<string> {
  const chunks: Buffer[] = []
  for await (const chunk of process.stdin) chunks.push(chunk as Buffer)
  return Buffer.concat(chunks).toString('utf8')
}

const asError = (error: unknown) =>
  error instanceof BadLine ? { error: { type: error.type, message: error.message } } : { error: { type: 'internal', message: (error as Error).message } }

/**
 * How every text verb is called: a named file or standard input, as plain text
 * or, with --jsonl, one JSON object a line, each answered on its own line.
 */
export async function answerTexts(verb: string, args: string[], fromText: (text: string) => unknown, answer: (given: unknown) => unknown): Promise<number> {
  let options
  try {
    options = parseArgs({ args, allowPositionals: true, options: { jsonl: { type: 'boolean' } } })
  } catch (error) {
    throw wrongUsage(`${verb}: ${(error as Error).message}`)
  }
  const [file, ...more] = options.positionals
  if (more.length) throw wrongUsage(`${verb} takes one file, or standard input.`)
  if (!options.values.jsonl) {
    let text: string
    try {
      text = file ? await readFile(file, 'utf8') : await standardInput()
    } catch (error) {
      throw new Refusal(`${verb}: ${file ?? ''} cannot be read (${(error as NodeJS.ErrnoException).code ?? 'error'}).`)
    }
    if (text.length > MAX_INPUT) throw new Refusal(`${verb}: the input is larger than ${MAX_INPUT / 1_000_000} MB.`)
    try {
      process.stdout.write(`${JSON.stringify(answer(fromText(text)))}\n`)
      return 0
    } catch (error) {
      process.stdout.write(`${JSON.stringify(asError(error))}\n`)
      return 1
    }
  }
  let failed = false
  const input = file ? createReadStream(file) : process.stdin
  const lines = createInterface({ input: Readable.from(input), crlfDelay: Infinity })
  try {
    for await (const line of lines) {
      let said: string
      try {
        let given: unknown
        try {
          given = JSON.parse(line)
        } catch {
          throw new BadLine('not-json', 'The line is not JSON.')
        }
        said = JSON.stringify(answer(given))
      } catch (error) {
        failed = true
        said = JSON.stringify(asError(error))
      }
      if (!process.stdout.write(`${said}\n`)) await new Promise((resolve) => process.stdout.once('drain', resolve))
    }
  } catch (error) {
    throw new Refusal(`${verb}: ${file ?? 'standard input'} cannot be read (${(error as NodeJS.ErrnoException).code ?? 'error'}).`)
  }
  return failed ? 1 : 0
}
