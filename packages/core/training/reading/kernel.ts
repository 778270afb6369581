/**
 * Assembles kernel.wat into src/read/model/kernel.ts. Its assembler is no dependency; install it beside:
 *   npm install --no-save wabt && npx tsx packages/core/training/reading/kernel.ts
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'

interface Assembler {
  parseWat(name: string, text: string, features: { simd: boolean }): { toBinary(options: object): { buffer: Uint8Array } }
}
const require = createRequire(process.env['RESOURCES'] ?? import.meta.url)
const assembler = await (require('wabt') as () => Promise<Assembler>)()
const here = (name: string) => new URL(name, import.meta.url)
const { buffer } = assembler.parseWat('kernel.wat', readFileSync(here('./kernel.wat'), 'utf8'), { simd: true }).toBinary({})
const lines = Buffer.from(buffer).toString('hex').match(/.{1,120}/g) ?? []
writeFileSync(here('../../src/read/model/kernel.ts'), `/** training/reading/kernel.wat, assembled by training/reading/kernel.ts. */\nexport const KERNEL =\n${lines.map((line) => `  '${line}'`).join(' +\n')}\n`)
