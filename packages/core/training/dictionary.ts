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
  /** Words of it that the dictionary marks as an insult, an obscenity or a trade mark. */
  marked: Set<string>
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
/** What a sense's usage may be marked as that nobody is offered. */
const MARKS = /^(?:ethnic slur|disparagement|obscenity|vulgarism|trademark)$/
const MARKED = /\b(?:offensive|derogatory|disparaging|obscene|ethnic slur|trademark|trade name)\b/
const plain = (word: string) => word.replaceAll('_', ' ').replace(/\([a-z]+\)$/, '')

export function readDictionary(folder: string): Dictionary {
  const senses = new Map<string, Sense>()
  const index = { noun: new Map<string, string[]>(), adj: new Map<string, string[]>() }
  const marks = new Set(lines(folder, 'data.noun').filter((line) => { const fields = line.split(' '); return Array.from({ length: Number.parseInt(fields[3] ?? '0', 16) }, (_, i) => plain(fields[4 + 2 * i] ?? '')).some((word) => MARKS.test(word)) }).map((line) => line.slice(0, 8)))
  for (const pos of ['noun', 'adj'] as const) {
    for (const line of lines(folder, `data.${pos}`)) {
      const [head = '', gloss = ''] = line.split(' | ')
      const fields = head.split(' ')
      const count = Number.parseInt(fields[3] ?? '0', 16)
      const pointers = [...head.matchAll(/ (@i?|%[mps]) (\d{8}) n/g)]
      const words = Array.from({ length: count }, (_, i) => plain(fields[4 + 2 * i] ?? ''))
      // A usage pointer says which word of the sense it is of; 00 is all of them.
      const usages = [...head.matchAll(/ ;u (\d{8}) n ([0-9a-f]{2})/g)].filter(([, at]) => marks.has(at ?? '')).map(([, , of]) => Number.parseInt(of ?? '0', 16))
      senses.set(pos + (fields[0] ?? ''), {
        file: Number(fields[1]),
        words,
        marked: new Set(MARKED.test(gloss) || usages.includes(0) ? words : usages.map((of) => words[of - 1] ?? '')),
        above: pointers.filter(([, kind]) => kind?.startsWith('@')).map(([, , at]) => `noun${at ?? ''}`),
        parts: pointers.filter(([, kind]) => kind?.startsWith('%')).map(([, , at]) => `noun${at ?? ''}`),
        gloss: gloss.trim(),
        single: pointers.some(([, kind]) => kind === '@i'),
      })
    }
    for (const line of lines(folder, `index.${pos}`)) {
      const fields = line.trim().split(' ')
      const word = plain(fields[0] ?? '')
      // The index writes all in lower case; what a sense spells with a capital is a name: the composer is no sense of “barber”.
      const own = fields.slice(-Number(fields[2])).map((at) => pos + at).filter((key) => senses.get(key)?.words.includes(word) && !senses.get(key)!.marked.has(word))
      if (own.length) index[pos].set(word, own)
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
