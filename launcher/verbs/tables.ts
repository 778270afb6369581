import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { ROOT } from '../places.ts'

/** One of the core's tables, by name. */
export const table = (name: string): Promise<Buffer> => readFile(join(ROOT, 'packages/core/tables', `${name}.bin`))
