import Ajv from 'ajv'
import standaloneCode from 'ajv/dist/standalone/index.js'
import { join } from 'node:path'
import type { Plugin } from 'vite'
import { evaluate } from './evaluate.ts'

const ID = 'virtual:contract-validators'
/** What a check says of what is wrong, as Ajv writes it: an object of paths and parameters, a third of the code. */
const SAID = /\{instancePath(?::(?:[^{}"]|"(?:[^"\\]|\\.)*")*?)?,schemaPath:"(?:[^"\\]|\\.)*",keyword:"\w+",params:\{(?:[^{}"]|"(?:[^"\\]|\\.)*")*\}\}/g
const keyOf = (name: string) => `checked:${name}`

interface Prepared {
  ajv: Ajv
  names: string[]
  /** Files that the schemas are written in. */
  sources: string[]
}

async function prepare(): Promise<Prepared> {
  const { exports, sources } = await evaluate(join(import.meta.dirname, '../../contract/src/checked-in-browser.ts'))
  const { CHECKED_IN_BROWSER, SHARED } = exports as { CHECKED_IN_BROWSER: Record<string, object>; SHARED: Record<string, object> }
  const ajv = new Ajv({ code: { source: true, esm: true, optimize: 2 }, strict: false, inlineRefs: false, unicode: false, logger: false, messages: false })
  for (const [title, schema] of Object.entries(SHARED)) ajv.addSchema({ ...schema, $id: `shared:${title}` })
  for (const [name, schema] of Object.entries(CHECKED_IN_BROWSER)) ajv.addSchema({ ...schema, $id: keyOf(name) })
  return { ajv, names: Object.keys(CHECKED_IN_BROWSER), sources }
}

/**
 * Compiles the contract's answer schemas to plain functions at build time, since the page's content security policy
 * forbids code made from text. A check is a module of its own, loaded when its operation is first called: all of them
 * together are larger than the rest of what a first page needs. The module's default export loads them by name.
 */
export function contractValidators(): Plugin {
  let prepared: Promise<Prepared> | undefined
  return {
    name: 'contract-validators',
    buildStart() {
      prepared = undefined
    },
    resolveId: (id) => (id === ID || id.startsWith(`${ID}/`) ? `\0${id}` : undefined),
    async load(id) {
      if (!id.startsWith(`\0${ID}`)) return undefined
      const { ajv, names, sources } = await (prepared ??= prepare())
      for (const source of sources) this.addWatchFile(source)
      const name = id.slice(`\0${ID}/`.length)
      if (!name) return `export default {${names.map((one) => `${JSON.stringify(one)}: () => import(${JSON.stringify(`${ID}/${one}`)})`).join(',')}}`
      const check = ajv.getSchema(keyOf(name))
      if (!check) throw new Error(`The contract has no shape called ${name}.`)
      // The page asks only whether a shape fits.
      return standaloneCode(ajv, check).replace(SAID, '0')
    },
  }
}
