import { FIGURES } from '../draw/figures/index.ts'
import { ANGLES, BRIGHT, COLOURLESS, COLOURS, COOL, DEEP, EXTRAS, FACES, GLOOMY, HARD, HELD, LIGHTS, MEDIA, MOMENTS, NUMBERS, POSES, SEASONS, SETTINGS, SHALLOW, SHOTS, SOFT, WARM, WEATHERS, WORN, type Words } from './words.ts'

/** What a word may mean to this engine. */
export interface Meaning {
  of: 'figure' | 'setting' | 'moment' | 'season' | 'weather' | 'shot' | 'angle' | 'light' | 'medium' | 'worn' | 'held' | 'pose' | 'extra' | 'face' | 'colour' | 'number' | 'look'
  value: string
}
/** A term found in a text: where, in words counted from 0, and what it may mean. */
export interface Hit {
  term: string
  at: number
  length: number
  meanings: readonly Meaning[]
}

const LANDSCAPES = 'landscape, mountain, mountains, valley, peak, peaks, glacier, view, ridge, pass, lake, sea, beach, forest, desert, river, coast, waterfall, island, canyon, skyline, harbour, harbor, field, meadow, garden, street, village, town, city, sky, ocean, dune, dunes, orchard, room, kitchen, square, market, horizon, seascape, cityscape, cliff, cove, bay, marsh, moor, vineyard, library, hall'

const IRREGULAR: Readonly<Record<string, string>> = { men: 'man', women: 'woman', children: 'child', wolves: 'wolf', geese: 'goose', mice: 'mouse', foxes: 'fox', leaves: 'leaf', knives: 'knife', oxen: 'ox', calves: 'calf', loaves: 'loaf', people: 'people', fishermen: 'fisherman', glasses: 'glasses', witches: 'witch', torches: 'torch', benches: 'bench', churches: 'church', finches: 'finch', ostriches: 'ostrich' }
/** A word without its plural's ending. */
export function singular(word: string): string {
  const known = IRREGULAR[word]
  if (known) return known
  if (word.endsWith('ies') && word.length > 4) return `${word.slice(0, -3)}y`
  return word.length > 3 && word.endsWith('s') && !/(?:ss|us|is|ess)$/.test(word) ? word.slice(0, -1) : word
}

/** What stands between the words of a text where a comma or a full stop does. */
export const BREAK = '|'
/** The words of a text in lower case, with a break where one piece of it ends. */
export const piecesOf = (text: string): string[] => text.replace(/\|/g, ' ').split(/[,;:!?\n]+|\.(?=\s|$)/).flatMap((piece, i) => [...(i ? [BREAK] : []), ...wordsOf(piece)])

export const wordsOf = (text: string): string[] => text.toLowerCase().replace(/’/g, "'").match(/[\p{L}\p{N}/.]+(?:['-][\p{L}\p{N}/.]+)*/gu)?.map((word) => word.replace(/[.]+$/, '')) ?? []

interface Node {
  next: Map<string, Node>
  meanings?: Meaning[]
}
const root: Node = { next: new Map() }
function enter(term: string, meaning: Meaning): void {
  let node = root
  for (const word of wordsOf(term)) {
    const key = singular(word)
    let next = node.next.get(key)
    if (!next) node.next.set(key, (next = { next: new Map() }))
    node = next
  }
  node.meanings = [...(node.meanings ?? []), meaning]
}
const enterAll = (list: string, meaning: Meaning) => {
  for (const term of list.split(',')) if (term.trim()) enter(term.trim(), meaning)
}
const enterWords = (of: Meaning['of'], words: Words<string>) => {
  for (const [value, list] of Object.entries(words)) enterAll(list, { of, value })
}
for (const { kind, variant, words } of FIGURES) enterAll(words, { of: 'figure', value: `${kind}/${variant}` })
enterAll(LANDSCAPES, { of: 'figure', value: 'landscape/view' })
enterWords('setting', SETTINGS)
enterWords('moment', MOMENTS)
enterWords('season', SEASONS)
enterWords('weather', WEATHERS)
enterWords('shot', SHOTS)
enterWords('angle', ANGLES)
enterWords('light', LIGHTS)
enterWords('medium', MEDIA)
enterWords('worn', WORN)
enterWords('held', HELD)
enterWords('pose', POSES)
enterWords('extra', EXTRAS)
enterWords('face', FACES)
for (const name of Object.keys(COLOURS)) enter(name, { of: 'colour', value: name })
for (const [word, number] of Object.entries(NUMBERS)) enter(word, { of: 'number', value: String(number) })
for (const [value, list] of Object.entries({ hard: HARD, soft: SOFT, bright: BRIGHT, gloomy: GLOOMY, warm: WARM, cool: COOL, shallow: SHALLOW, deep: DEEP, colourless: COLOURLESS })) enterAll(list, { of: 'look', value })

/** The terms of a text, the longest first where two begin alike; they never overlap. */
export function termsIn(words: readonly string[]): Hit[] {
  const keys = words.map(singular)
  const hits: Hit[] = []
  for (let i = 0; i < keys.length; i++) {
    let node: Node | undefined = root
    let best: Hit | undefined
    for (let k = i; node && k <= keys.length; k++) {
      if (node.meanings) best = { term: words.slice(i, k).join(' '), at: i, length: k - i, meanings: node.meanings }
      node = k < keys.length ? node.next.get(keys[k]!) : undefined
    }
    if (best) {
      hits.push(best)
      i += best.length - 1
    } else if (/^\d{1,3}$/.test(words[i]!)) hits.push({ term: words[i]!, at: i, length: 1, meanings: [{ of: 'number', value: words[i]! }] })
  }
  return hits
}
