import { build } from 'esbuild'
import { mkdtemp, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'

/** What a TypeScript module exports, evaluated at build time. @returns also the absolute paths of the files that it is made of */
export async function evaluate(entry: string): Promise<{ exports: Record<string, unknown>; sources: string[] }> {
  // Inside the package, so that the bundle's external imports resolve.
  const folder = await mkdtemp(join(import.meta.dirname, '../node_modules.contract-'))
  try {
    const outfile = join(folder, 'evaluated.mjs')
    const { metafile } = await build({ entryPoints: [entry], outfile, bundle: true, format: 'esm', platform: 'node', metafile: true, logLevel: 'silent' })
    const exports = (await import(pathToFileURL(outfile).href)) as Record<string, unknown>
    return { exports, sources: Object.keys(metafile.inputs).map((input) => join(process.cwd(), input)) }
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}
