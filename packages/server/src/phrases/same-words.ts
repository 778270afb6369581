import { Kin, Synonyms } from '@idolon/core/reader'
import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { promptReader } from './prompt-reader.ts'

const require = createRequire(import.meta.url)
const table = (file: string) => readFile(require.resolve(`@idolon/core/tables/${file}`))
let synonyms: Promise<Synonyms> | undefined

/** Which words say the same, for comparing prompts; its tables are loaded when it is first asked for. */
export const sameWords = (): Promise<Synonyms> =>
  (synonyms ??= Promise.all([promptReader(), table('same.json'), table('kin.bin')]).then(([{ words }, same, kin]) => new Synonyms(JSON.parse(same.toString('utf8')) as string[], new Kin(kin, words))))
