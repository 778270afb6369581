import { createReader, type Reader } from '@idolon/core/reader'
import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'

const require = createRequire(import.meta.url)
const table = (name: string) => readFile(require.resolve(`@idolon/core/tables/${name}.bin`))
let reader: Promise<Reader> | undefined

/** Reads prompts as the page does; its tables are loaded when it is first asked for. */
export const promptReader = (): Promise<Reader> => (reader ??= Promise.all([table('words'), table('reader')]).then(([words, network]) => createReader(words, network)))
