import Ajv from 'ajv'
import standaloneCode from 'ajv/dist/standalone/index.js'
import { build } from 'esbuild'
import { mkdtemp, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import type { Plugin } from 'vite'

const ID = 'virtual:contract-validators'

/**
 * Compiles the contract's answer schemas to plain functions at build time, since
 * the page's content security policy forbids code made from text.
 * The module's exports are the schemas' names.
 */
export function contractValidators(): Plugin {
  return {
    name: 'contract-validators',
    resolveId: (id) => (id === ID ? `\0${ID}` : undefined),
    async load(id) {
      if (id !== `\0${ID}`) return undefined
      // Inside the package, so that the bundle's external imports resolve.
      const folder = await mkdtemp(join(import.meta.dirname, '../node_modules.contract-'))
      try {
        const file = join(folder, 'schemas.mjs')
        const { metafile } = await build({
          entryPoints: [join(import.meta.dirname, '../../contract/src/checked-in-browser.ts')],
          outfile: file,
          bundle: true,
          format: 'esm',
          platform: 'node',
          metafile: true,
          logLevel: 'silent',
        })
        for (const input of Object.keys(metafile.inputs)) this.addWatchFile(join(process.cwd(), input))
        const { CHECKED_IN_BROWSER, SHARED } = (await import(pathToFileURL(file).href)) as {
          CHECKED_IN_BROWSER: Record<string, object>
          SHARED: Record<string, object>
        }
        const ajv = new Ajv({ code: { source: true, esm: true, optimize: 2 }, strict: false, inlineRefs: false, unicode: false, logger: false })
        for (const [title, schema] of Object.entries(SHARED)) ajv.addSchema({ ...schema, $id: `shared:${title}` })
        const names: Record<string, string> = {}
        for (const [name, schema] of Object.entries(CHECKED_IN_BROWSER)) {
          const key = `checked:${name}`
          ajv.addSchema({ ...schema, $id: key })
          names[name] = key
        }
        return standaloneCode(ajv, names)
      } finally {
        await rm(folder, { recursive: true, force: true })
      }
    },
  }
}
