import type { Settings } from '../draft/shape.ts'
import { headOf } from '../english/noun.ts'
import type { Facet } from '../facet.ts'
import type { Phrase, Reading } from '../read/reading.ts'
import { alignPhrases, type SaidWord } from './alignment.ts'
import { areApart } from './apart/index.ts'
import { bareText } from './plain-words.ts'
import type { Sameness } from './sameness.ts'

/** What two prompts have in common, and where they part. */
export interface Comparison {
  /** Whether they are one prompt in other words or another order: much the same is said, and of the same subject, number, place and medium. */
  near: boolean
  /** How much of what they say is the same, from 0 to 1. */
  score: number
  /** By facet, in the order of the texts; then leave-outs and settings, which have none and say what they are. */
  differences: { change: 'added' | 'removed' | 'changed'; facet: Facet | null; unit?: 'leave-out' | 'setting'; a?: string; b?: string }[]
}

/** What is compared: the phrases of a text, and what is left out and set with it. */
export type Said = Pick<Reading, 'phrases' | 'leaveOut' | 'settings'>

/** How much of the picture each facet makes. */
const WEIGHT: Readonly<Record<Facet, number>> = { subject: 4, action: 2, setting: 2.5, detail: 1.2, moment: 1.5, medium: 1.5, lettering: 1.2, framing: 1, light: 1, colour: 1, technique: 0.7, mood: 0.6 }
/** The word a phrase is about counts for so many others. */
const HEAD = 3
/** What a kind of a thing, or what a thing is a kind of, counts of the thing itself. */
const CLOSE = 0.6
const NEAR = 0.6
const NEAR_SUBJECT = 0.3

/** Of two readings of what stands in one place the surer one says what it is. */
const surerFacet = (x: Phrase, y: Phrase): Facet => (x.facet === y.facet || x.confidence >= y.confidence ? x.facet : y.facet)

/** What each word counts; the words of a phrase count together what its facet does. */
function weightsOf(phrases: readonly Phrase[], words: readonly SaidWord[]): number[] {
  const heads = phrases.map(({ text }) => headOf(text))
  const own = words.map(({ phrase, word }) => (word === heads[phrase] || word.split(' ').at(-1) === heads[phrase] ? HEAD : 1))
  const sums = phrases.map((_, i) => words.reduce((sum, { phrase }, k) => (phrase === i ? sum + own[k]! : sum), 0))
  return words.map(({ phrase }, k) => (WEIGHT[phrases[phrase]!.facet] * own[k]!) / sums[phrase]!)
}

/** The share of the words' weight that the other text has too; 1 where there is nothing. */
function shared(sides: readonly (readonly [words: readonly SaidWord[], weights: readonly number[]])[], counts: (word: SaidWord, side: number) => boolean): number {
  let [sum, same] = [0, 0]
  sides.forEach(([words, weights], side) => {
    words.forEach((word, k) => {
      if (!counts(word, side)) return
      sum += weights[k]!
      same += weights[k]! * (word.match ? 1 : word.close ? CLOSE : 0)
    })
  })
  return sum ? same / sum : 1
}

/**
 * Compares what two prompts say, by the phrases of their texts: order, lists or sentences, and other words of the same meaning make no
 * difference. Never throws.
 */
export function compareReadings(a: Said, b: Said, sameness: Sameness): Comparison {
  const aligned = alignPhrases(a.phrases, b.phrases, sameness)
  const sides = [[aligned.words.a, weightsOf(a.phrases, aligned.words.a)] as const, [aligned.words.b, weightsOf(b.phrases, aligned.words.b)] as const]
  const phrases = [a.phrases, b.phrases]
  const agreed = (own: readonly Phrase[], side: 0 | 1) =>
    own.map((phrase, i) => {
      const pair = aligned.changed.find((one) => one[side] === i)
      return pair ? { ...phrase, facet: surerFacet(a.phrases[pair[0]]!, b.phrases[pair[1]]!) } : phrase
    })
  const score = shared(sides, () => true)
  const subject = shared(sides, ({ phrase }, side) => phrases[side]![phrase]!.facet === 'subject')
  return {
    near: score >= NEAR && subject >= NEAR_SUBJECT && !areApart({ phrases: agreed(a.phrases, 0), words: aligned.words.a }, { phrases: agreed(b.phrases, 1), words: aligned.words.b }),
    score: Math.round(score * 1000) / 1000,
    differences: [
      ...aligned.changed.map(([i, j]) => {
        const [x, y] = [a.phrases[i]!, b.phrases[j]!]
        return { place: x.start, change: 'changed' as const, facet: surerFacet(x, y), a: x.text, b: y.text }
      }),
      ...aligned.removed.map((i) => ({ place: a.phrases[i]!.start, change: 'removed' as const, facet: a.phrases[i]!.facet, a: a.phrases[i]!.text })),
      ...aligned.added.map((j) => ({ place: b.phrases[j]!.start, change: 'added' as const, facet: b.phrases[j]!.facet, b: b.phrases[j]!.text })),
    ]
      .sort((x, y) => x.place - y.place)
      .map(({ place: _, ...difference }): Comparison['differences'][number] => difference)
      .concat(leaveOuts(a.leaveOut, b.leaveOut), settings(a.settings, b.settings)),
  }
}

function leaveOuts(a: readonly string[], b: readonly string[]): Comparison['differences'] {
  const without = (list: readonly string[], other: readonly string[]) => list.filter((entry) => !other.some((one) => bareText(one) === bareText(entry)))
  return [...without(a, b).map((entry) => ({ change: 'removed' as const, facet: null, unit: 'leave-out' as const, a: entry })), ...without(b, a).map((entry) => ({ change: 'added' as const, facet: null, unit: 'leave-out' as const, b: entry }))]
}

function settings(a: Settings, b: Settings): Comparison['differences'] {
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) => {
    const [x, y] = [a[key], b[key]]
    if (x === y) return []
    const change = x === undefined ? ('added' as const) : y === undefined ? ('removed' as const) : ('changed' as const)
    return [{ change, facet: null, unit: 'setting' as const, ...(x === undefined ? {} : { a: `${key} ${x}` }), ...(y === undefined ? {} : { b: `${key} ${y}` }) }]
  })
}
