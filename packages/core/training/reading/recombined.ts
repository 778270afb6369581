import { type Random, seededRandom } from '../../src/random/seeded.ts'
import { scan } from '../../src/read/scan.ts'
import type { Analyser } from '../../src/read/analyser.ts'
import { type Example, handOf } from './corpus.ts'
import { shuffled } from './shuffled.ts'

/** A prompt made of others' phrases, and the hands that these come from: a hand that judges may not have taught. */
export type Recombined = Example & { hands: string[] }

interface Piece {
  text: string
  hand: string
}

/** Chance that a phrase gives way to another. */
const SWAPPED = 0.5
/** With fewer phrases of a form to choose from, one stays. */
const LEAST = 3

/**
 * New prompts from labelled ones: phrases give way to others of the same facet and form, from any prompt (mention
 * replacement; Dai & Adel 2020), and lists change their order. `each` variants a prompt; the same seed gives the same.
 */
export function recombined(examples: readonly Example[], analyse: Analyser, each: number, seed: number): Recombined[] {
  const pools = new Map<string, Piece[]>()
  const keys = examples.map((example) => formsOf(example, analyse))
  examples.forEach((example, n) => {
    example.labels.forEach(({ start, end }, i) => {
      const key = keys[n]![i]
      if (!key) return
      const pool = pools.get(key) ?? []
      pool.push({ text: example.text.slice(start, end), hand: handOf(example) })
      pools.set(key, pool)
    })
  })
  const random = seededRandom(seed)
  const made: Recombined[] = []
  examples.forEach((example, n) => {
    if (!/^[ksm]$/.test(example.style)) return
    for (let k = 0; k < each; k++) {
      const one = swapped(example, keys[n]!, pools, random)
      const moved = k % 2 ? shuffled(one, seed + n * each + k, k % 4 === 1 ? 1 : 0) : undefined
      if (one.text !== example.text || moved) made.push({ ...one, ...moved, hands: one.hands })
    }
  })
  return made
}

function swapped(example: Example, keys: readonly (string | undefined)[], pools: ReadonlyMap<string, readonly Piece[]>, random: Random): Recombined {
  let text = ''
  let at = 0
  const labels: Example['labels'] = []
  const hands = new Set([handOf(example)])
  example.labels.forEach((label, i) => {
    if (label.start < at) return
    text += example.text.slice(at, label.start)
    let said = example.text.slice(label.start, label.end)
    const pool = pools.get(keys[i] ?? '') ?? []
    if (pool.length >= LEAST && random() < SWAPPED) {
      const piece = pool[Math.floor(random() * pool.length)]!
      hands.add(piece.hand)
      said = /^\p{Lu}/u.test(said) ? piece.text.charAt(0).toUpperCase() + piece.text.slice(1) : piece.text
    }
    labels.push({ ...label, start: text.length, end: text.length + said.length })
    text += said
    at = label.end
  })
  return { ...example, text: text + example.text.slice(at), labels, hands: [...hands] }
}

/** For each label what another phrase must share to take its place: facet, and in a sentence the parts of speech at its ends, its number, and what stands around it. */
function formsOf(example: Example, analyse: Analyser): (string | undefined)[] {
  const tokens = scan(example.text)
  const facts = analyse(example.text, tokens)
  return example.labels.map(({ start, end, facet }) => {
    const first = tokens.findIndex((token) => token.start >= start && token.end <= end)
    const last = tokens.findLastIndex((token) => token.start >= start && token.end <= end)
    if (!facet || first < 0) return undefined
    if (example.style === 'k') return `${facet} list ${last - first > 3 ? 'long' : 'short'}`
    const around = (i: number) => (!tokens[i] ? '' : tokens[i].kind === 'mark' ? ',' : tokens[i].lower)
    return [facet, facts[first]?.tag, facts[last]?.tag, around(first - 1), around(last + 1) && /^[,]$/.test(around(last + 1)) ? ',' : 'word', tokens[last]!.lower.endsWith('s')].join(' ')
  })
}
