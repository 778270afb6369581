import { readdir, readFile } from 'node:fs/promises'
import { join } from 'node:path'

const CORE = join(process.env['IDOLON_ROOT'] ?? '.', 'packages/core')
/** One of the core's tables, by its file's name. */
export const table = (name: string) => readFile(join(CORE, 'tables', name))

/** The corpus as plain texts, marks taken out. */
export async function prompts(): Promise<string[]> {
  const files = (await readdir(join(CORE, 'corpus'))).filter((name) => /^\d.*\.txt$/.test(name)).sort()
  const lines = (await Promise.all(files.map((name) => readFile(join(CORE, 'corpus', name), 'utf8')))).join('\n').split('\n')
  return lines.filter((line) => /^[ksmfjp] /.test(line)).map((line) => line.slice(2).replace(/<(?:![plsob]|[SADEMFLCKTOW]) |>/g, '').replaceAll('\\n', '\n'))
}

/** Texts of about so many words, each of other prompts, so that nothing of one is remembered for another. */
export function texts(from: readonly string[], words: number): string[] {
  const made: string[] = []
  let now: string[] = []
  for (const prompt of from.filter((one) => !/[{}\n]/.test(one))) {
    now.push(...prompt.split(/\s+/))
    if (now.length < words) continue
    made.push(now.slice(0, words).join(' '))
    now = []
  }
  return made
}

export const perCall = (list: readonly string[], act: (text: string) => unknown): number => {
  const began = performance.now()
  for (const text of list) act(text)
  return (performance.now() - began) / list.length
}
