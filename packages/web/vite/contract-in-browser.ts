import { join } from 'node:path'
import type { Plugin } from 'vite'
import { evaluate } from './evaluate.ts'

const ID = '\0contract-in-browser'

/** What the page needs of one export of the contract, as source text; undefined for what it has no use of: schemas and functions. */
function sourceOf(value: unknown): string | undefined {
  if (typeof value === 'function') return undefined
  if (typeof value === 'object' && value !== null && 'path' in value && 'method' in value) {
    const { id, method, path, answer } = value as { id: string; method: string; path: string; answer?: unknown }
    return JSON.stringify({ id, method, path, ...(answer ? { answer: {} } : {}) })
  }
  const isSchema = typeof value === 'object' && value !== null && Object.getOwnPropertySymbols(value).length > 0
  return isSchema ? undefined : JSON.stringify(value)
}

/**
 * The contract as the page's build has it: of each operation its name, method and path, and the constants. The schemas
 * are for the server; the page checks by functions made of them (see contract-validators), so they would be dead weight
 * in the first load. An import of anything else fails the build.
 */
export function contractInBrowser(): Plugin {
  return {
    name: 'contract-in-browser',
    apply: 'build',
    enforce: 'pre',
    resolveId: (id) => (id === '@idolon/contract' ? { id: ID, moduleSideEffects: false } : undefined),
    async load(id) {
      if (id !== ID) return undefined
      const { exports, sources } = await evaluate(join(import.meta.dirname, '../../contract/src/index.ts'))
      for (const source of sources) this.addWatchFile(source)
      return Object.entries(exports).flatMap(([name, value]) => sourceOf(value)?.replace(/^/, `export const ${name} = `) ?? []).join('\n')
    },
  }
}
