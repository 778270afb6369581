import { readFileSync } from 'node:fs'
import { join } from 'node:path'

/** One sense of a noun or an adjective in WordNet 3.1 (Miller 1995). */
export interface Sense {
  /** Number of its lexicographer file. */
  file: number
  words: string[]
  /** Senses it is a kind of, in the first place. */
  above: string[]
  parts: string[]
  gloss: string
  /** It stands for a single person, place or thing. */
  single: boolean
}

/** Nouns and adjectives of the dictionary, with what it says of each. */
export interface Dictionary {
  /** By part of speech and place in its file. */
  senses: Map<string, Sense>
  /** Keys of the senses of a word, commonest first. */
  noun: Map<string, string[]>
  adjective: Map<string, string[]>
  /** How often a word was seen as noun, verb, adjective, adverb in the tagged texts. */
  seen: Map<string, [number, number, number, number]>
}

const lines = (folder: string, file: string) => readFileSync(join(folder, file), 'latin1').split('\n').filter((line) => line && !line.startsWith('  '))
const plain = (word: string) => word.replaceAll('_', ' ').replace(/\([a-z]+\)$/, '')

export function readDictionary(folder: string): Dictionary {
  const senses = new Map<string, Sense>()
  const index = { noun: new Map<string, string[]>(), adj: new Map<string, string[]>() }
  for (const pos of ['noun', 'adj'] as const) {
    for (const line of lines(folder, `data.${pos}`)) {
      const [head = '', gloss = ''] = line.split(' | ')
      const fields = head.split(' ')
      const count = Number.parseInt(fields[3] ?? '0', 16)
      const pointers = [...head.matchAll(/ (@i?|%[mps]) (\d{8}) n/g)]
      senses.set(pos + (fields[0] ?? ''), {
        file: Number(fields[1]),
        words: Array.from({ length: count }, (_, i) => plain(fields[4 + 2 * i] ?? '')),
        above: pointers.filter(([, kind]) => kind?.startsWith('@')).map(([, , at]) => `noun${at ?? ''}`),
        parts: pointers.filter(([, kind]) => kind?.startsWith('%')).map(([, , at]) => `noun${at ?? ''}`),
        gloss: gloss.trim(),
        single: pointers.some(([, kind]) => kind === '@i'),
      })
    }
    for (const line of lines(folder, `index.${pos}`)) {
      const fields = line.trim().split(' ')
      index[pos].set(plain(fields[0] ?? ''), fields.slice(-Number(fields[2])).map((at) => pos + at))
    }
  }
  const seen: Dictionary['seen'] = new Map()
  for (const line of lines(folder, 'index.sense')) {
    const [key = '', , , count = '0'] = line.split(' ')
    const [lemma = '', rest = ''] = key.split('%')
    const counts = seen.get(plain(lemma)) ?? [0, 0, 0, 0]
    const pos = { 1: 0, 2: 1, 3: 2, 4: 3, 5: 2 }[rest[0] ?? ''] ?? 0
    counts[pos] = (counts[pos] ?? 0) + Number(count)
    seen.set(plain(lemma), counts)
  }
  return { senses, noun: index.noun, adjective: index.adj, seen }
}
