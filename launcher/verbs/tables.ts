import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { ROOT } from '../places.ts'

const path = (file: string) => join(ROOT, 'packages/core/tables', file)

/** One of the core's tables, by name. */
export const table = (name: string): Promise<Buffer> => readFile(path(`${name}.bin`))

/** One of those that are JSON. */
export const jsonTable = async <T>(name: string): Promise<T> => JSON.parse(await readFile(path(`${name}.json`), 'utf8')) as T
