import { readFileSync } from 'node:fs'
import { join } from 'node:path'

/** A noun's sense: its lexicographer file, and the kinds of thing it is a kind of, nearest first. */
export interface NounSense {
  file: number
  /** Index into KINDS of the nearest kind above it; -1 for none. */
  kind: number
}

/** What WordNet 3.1 says of words (Miller 1995; Fellbaum 1998); senses commonest first. */
export interface WordNet {
  noun: Map<string, NounSense[]>
  /** Lexicographer files of verb senses, 29 (body) to 43 (weather). */
  verb: Map<string, number[]>
  adjective: Set<string>
  adverb: Set<string>
  /** How often each part of speech was seen in the tagged texts: noun, verb, adjective, adverb. */
  seen: Map<string, [number, number, number, number]>
}

/**
 * Kinds of thing that tell facets apart, each by a word and the number of its sense.
 * The nearest one above a noun in the hypernym tree is kept.
 */
export const KINDS = [
  'clothing 1', 'headdress 1', 'jewelry 1', 'footwear 2', 'fabric 1', 'container 1', 'furniture 1', 'building 1', 'house 1', 'room 1', 'structure 1', 'way 6', 'road 1',
  'vehicle 1', 'craft 2', 'tool 1', 'instrument 1', 'device 1', 'weapon 1', 'musical instrument 1', 'machine 1', 'artifact 1', 'covering 2', 'decoration 1', 'plaything 1',
  'food 1', 'food 2', 'beverage 1', 'plant 2', 'tree 1', 'flower 1', 'fruit 1', 'body of water 1', 'land 4', 'geological formation 1', 'location 1', 'region 3', 'natural object 1',
  'celestial body 1', 'body part 1', 'hair 1', 'person 1', 'child 1', 'male 2', 'female 2', 'worker 1', 'ruler 1', 'relative 1', 'artist 1', 'spiritual being 1', 'imaginary being 1', 'animal 1',
  'bird 1', 'mammal 1', 'insect 1', 'fish 1', 'reptile 1', 'group 1', 'time period 1', 'season 2', 'time of day 1', 'day 1', 'weather 1', 'light 1', 'visible radiation 1',
  'color 1', 'feeling 1', 'trait 1', 'attitude 1', 'representation 2', 'picture 1', 'art 1', 'graphic art 1', 'photograph 1', 'painting 1', 'drawing 2', 'print 2', 'style 1', 'writing 4', 'sign 2', 'document 1',
  'message 2', 'surface 1', 'property 2', 'shape 1', 'texture 1', 'material 1', 'liquid 3', 'gas 2', 'fire 3', 'motion 3', 'act 2', 'sport 1', 'gesture 1', 'position 1', 'direction 1', 'measure 2', 'optical device 1', 'lens 1', 'camera 1', 'painter 1', 'process 6',
] as const

const lines = (file: string) => readFileSync(file, 'latin1').split('\n').filter((line) => line && !line.startsWith('  '))

interface Synset {
  file: number
  above: string[]
}
function synsets(folder: string, pos: string): Map<string, Synset> {
  return new Map(
    lines(join(folder, `data.${pos}`)).map((line) => {
      const above = [...line.matchAll(/ @i? (\d{8}) n/g)].map((match) => match[1] ?? '')
      return [line.slice(0, 8), { file: Number(line.slice(9, 11)), above }]
    }),
  )
}
function offsets(folder: string, pos: string): Map<string, string[]> {
  return new Map(
    lines(join(folder, `index.${pos}`)).map((line) => {
      const parts = line.trim().split(' ')
      return [parts[0] ?? '', parts.slice(-Number(parts[2]))]
    }),
  )
}

/** The senses of every noun that are kinds, not single people or places, commonest first; and the senses above each sense. */
export function nounTree(folder: string): { senses: Map<string, string[]>; above: Map<string, string[]> } {
  const single = new Set(lines(join(folder, 'data.noun')).filter((line) => / @i /.test(line)).map((line) => line.slice(0, 8)))
  return {
    senses: new Map([...offsets(folder, 'noun')].map(([word, list]) => [word, list.filter((offset) => !single.has(offset))])),
    above: new Map([...synsets(folder, 'noun')].map(([offset, synset]) => [offset, synset.above])),
  }
}

/** Words that share a sense which is among the commonest of each of them, as many as `senses` says, a set a list, spaces for the dictionary's underlines; no single people or places. */
export function synonymSets(folder: string, senses: Readonly<Record<'noun' | 'verb' | 'adj' | 'adv', number>>): string[][] {
  return (['noun', 'verb', 'adj', 'adv'] as const).flatMap((pos) => {
    const ranks = offsets(folder, pos)
    return lines(join(folder, `data.${pos}`)).flatMap((line) => {
      if (/ @i /.test(line)) return []
      const [offset = '', , , count = '0', ...rest] = line.split(' ')
      const lemmas = Array.from({ length: parseInt(count, 16) }, (_, i) => (rest[2 * i] ?? '').replace(/\([a-z]+\)$/, '').toLowerCase())
      const common = [...new Set(lemmas)].filter((lemma) => {
        const rank = ranks.get(lemma)?.indexOf(offset) ?? -1
        return rank >= 0 && rank < senses[pos]
      })
      return common.length > 1 ? [common.map((lemma) => lemma.replaceAll('_', ' '))] : []
    })
  })
}

export function readWordNet(folder: string): WordNet {
  const nounSynsets = synsets(folder, 'noun')
  const nounOffsets = offsets(folder, 'noun')
  const kindAt = new Map<string, number>()
  KINDS.forEach((name, i) => {
    const [, lemma = '', sense = '1'] = /^(.*) (\d+)$/.exec(name) ?? []
    const offset = nounOffsets.get(lemma.replaceAll(' ', '_'))?.[Number(sense) - 1]
    if (!offset) throw new Error(`WordNet has no ${name}.`)
    kindAt.set(offset, i)
  })
  const nearest = new Map<string, number>()
  function kindOf(offset: string): number {
    const known = nearest.get(offset) ?? kindAt.get(offset)
    if (known !== undefined) return known
    nearest.set(offset, -1)
    // Breadth first, so that the nearest wins.
    let level = nounSynsets.get(offset)?.above ?? []
    let kind = -1
    for (let depth = 0; depth < 16 && level.length && kind < 0; depth++) {
      kind = level.map((one) => kindAt.get(one)).find((one) => one !== undefined) ?? -1
      level = level.flatMap((one) => nounSynsets.get(one)?.above ?? [])
    }
    nearest.set(offset, kind)
    return kind
  }
  const verbSynsets = synsets(folder, 'verb')
  const seen = new Map<string, [number, number, number, number]>()
  for (const line of lines(join(folder, 'index.sense'))) {
    const [key = '', , , count = '0'] = line.split(' ')
    const [lemma = '', rest = ''] = key.split('%')
    const pos = { 1: 0, 2: 1, 3: 2, 4: 3, 5: 2 }[rest[0] ?? ''] ?? 0
    const counts = seen.get(lemma) ?? [0, 0, 0, 0]
    counts[pos] = (counts[pos] ?? 0) + Number(count)
    seen.set(lemma, counts)
  }
  const words = (pos: string) => new Set(offsets(folder, pos).keys())
  return {
    noun: new Map([...nounOffsets].map(([word, list]) => [word, list.slice(0, 4).map((offset) => ({ file: nounSynsets.get(offset)?.file ?? 3, kind: kindOf(offset) }))])),
    verb: new Map([...offsets(folder, 'verb')].map(([word, list]) => [word, list.slice(0, 3).map((offset) => verbSynsets.get(offset)?.file ?? 29)])),
    adjective: words('adj'),
    adverb: words('adv'),
    seen,
  }
}
