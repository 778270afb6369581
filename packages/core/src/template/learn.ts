import type { Facet } from '../facet.ts'
import { commonRuns } from './common-runs.ts'
import { type Token, tokensOf } from './tokens.ts'

export interface LearnedSlot {
  name: string
  /** What stands there, text by text. */
  values: string[]
}
export interface Learned {
  /** With slots as `{{ name }}`. */
  template: string
  slots: LearnedSlot[]
}
/** What a stretch of a text says, for the names of slots. */
export type Naming = (text: string, start: number, end: number) => Facet | undefined

/** A stretch of each text: alike in all, or a slot. */
interface Piece {
  ranges: { start: number; end: number }[]
  slot: boolean
}

const SEGMENT = /[,;\n]|[.!?](?=\s|$)/gu
/** Where the parts of a list or the sentences of a text end. */
const cutsOf = (text: string): number[] => [...text.matchAll(SEGMENT)].map((match) => match.index)

/** Pieces of a stretch of each text, alike and otherwise in turn. */
function piecesOf(texts: readonly string[], tokens: readonly (readonly Token[])[], from: readonly number[], to: readonly number[]): Piece[] {
  const within = tokens.map((all, k) => all.filter(({ start, end }) => start >= from[k]! && end <= to[k]!))
  const pieces: Piece[] = []
  let last = [...from]
  const add = (ranges: Piece['ranges'], slot: boolean) => {
    if (ranges.some(({ start, end }) => end > start)) pieces.push({ ranges, slot })
  }
  for (const { at, follows } of commonRuns(within, true)) {
    const starts = at.map((i, k) => within[k]![i]!.start)
    const ends = at.map((i, k) => within[k]![i]!.end)
    const gaps = starts.map((start, k) => ({ start: last[k]!, end: start }))
    const between = gaps.map(({ start, end }, k) => texts[k]!.slice(start, end))
    // White space that is the same in all belongs to the frame.
    add(gaps, !between.every((gap) => gap === between[0]) || (!follows && /\S/.test(between[0] ?? '')))
    add(starts.map((start, k) => ({ start, end: ends[k]! })), false)
    last = ends
  }
  const rest = last.map((start, k) => ({ start, end: to[k]! }))
  const tails = rest.map(({ start, end }, k) => texts[k]!.slice(start, end))
  add(rest, !tails.every((tail) => tail === tails[0]))
  return pieces
}

/** Neighbours of one kind become one, and white space at the edges of a slot that all its values have goes to the frame. */
function joined(texts: readonly string[], pieces: readonly Piece[]): Piece[] {
  const out: Piece[] = []
  const push = (piece: Piece) => {
    const before = out.at(-1)
    if (before && before.slot === piece.slot) before.ranges.forEach((range, k) => (range.end = piece.ranges[k]!.end))
    else out.push({ ...piece, ranges: piece.ranges.map((range) => ({ ...range })) })
  }
  const whole: Piece[] = []
  for (const piece of pieces) {
    const before = whole.at(-1)
    if (before && before.slot && piece.slot) before.ranges.forEach((range, k) => (range.end = piece.ranges[k]!.end))
    else whole.push({ ...piece, ranges: piece.ranges.map((range) => ({ ...range })) })
  }
  for (const piece of whole) {
    if (!piece.slot) {
      push(piece)
      continue
    }
    const values = piece.ranges.map(({ start, end }, k) => texts[k]!.slice(start, end))
    const lead = Math.min(...values.map((value) => value.length - value.trimStart().length))
    const sameLead = lead > 0 && values.every((value) => value.slice(0, lead) === values[0]!.slice(0, lead)) ? lead : 0
    const trail = Math.min(...values.map((value) => (value.trim() === '' ? 0 : value.length - value.trimEnd().length)))
    const sameTrail = trail > 0 && values.every((value) => value.slice(value.length - trail) === values[0]!.slice(values[0]!.length - trail)) ? trail : 0
    if (sameLead) push({ slot: false, ranges: piece.ranges.map(({ start }) => ({ start, end: start + sameLead })) })
    push({ slot: true, ranges: piece.ranges.map(({ start, end }) => ({ start: start + sameLead, end: end - sameTrail })) })
    if (sameTrail) push({ slot: false, ranges: piece.ranges.map(({ end }) => ({ start: end - sameTrail, end })) })
  }
  return out
}

/** How alike two stretches are, by the words they share. */
function alike(x: string, y: string): number {
  const [a, b] = [x, y].map((text) => new Set(tokensOf(text).map(({ text: word }) => word.toLowerCase())))
  return (2 * [...a!].filter((word) => b!.has(word)).length) / Math.max(1, a!.size + b!.size)
}

/**
 * Whether the parts of lists stand one to one: as many in each, and in most places either alike or alone in being otherwise.
 * Then each part is looked at by itself, so that a slot never runs over a comma.
 */
function standOneToOne(texts: readonly string[], cuts: readonly number[][]): boolean {
  const count = cuts[0]!.length
  if (count === 0 || cuts.some((own) => own.length !== count) || cuts.some((own, k) => own.some((at, i) => texts[k]![at] !== texts[0]![cuts[0]![i]!]))) return false
  const part = (k: number, i: number) => texts[k]!.slice(i === 0 ? 0 : cuts[k]![i - 1]! + 1, i === count ? texts[k]!.length : cuts[k]![i]!)
  // A part that another text has in another place says that places do not tell.
  for (let k = 1; k < texts.length; k++)
    for (let i = 0; i <= count; i++) {
      if (alike(part(0, i), part(k, i)) > 0) continue
      for (let j = 0; j <= count; j++) if (j !== i && alike(part(0, i), part(k, j)) > 0.8) return false
    }
  return true
}

const escaped = (text: string) => text.includes('{{')

/**
 * The frame that texts share and the slots in which they differ, such that filling the template with what stands in the slots of
 * text i gives text i back exactly. Slots are named by `naming`, by what they say; two that always say the same are one.
 * @throws RangeError of fewer than two texts.
 */
export function learnTemplate(texts: readonly string[], naming: Naming = () => undefined): Learned {
  if (texts.length < 2) throw new RangeError('A template is learned from two texts or more.')
  const tokens = texts.map(tokensOf)
  const cuts = texts.map(cutsOf)
  const pieces: Piece[] = []
  if (standOneToOne(texts, cuts)) {
    let from = texts.map(() => 0)
    for (let i = 0; i <= cuts[0]!.length; i++) {
      const to = cuts.map((own, k) => own[i] ?? texts[k]!.length)
      pieces.push(...piecesOf(texts, tokens, from, to))
      if (i < cuts[0]!.length) pieces.push({ slot: false, ranges: to.map((start) => ({ start, end: start + 1 })) })
      from = to.map((at) => at + 1)
    }
  } else pieces.push(...piecesOf(texts, tokens, texts.map(() => 0), texts.map((text) => text.length)))

  const slots: LearnedSlot[] = []
  const used = new Map<string, number>()
  let template = ''
  for (const { slot, ranges } of joined(texts, pieces)) {
    const values = ranges.map(({ start, end }, k) => texts[k]!.slice(start, end))
    // What looks like a slot in a text is kept as a value, or it would be filled.
    if (!slot && !escaped(values[0]!)) {
      template += values[0]!
      continue
    }
    const known = slots.find((one) => one.values.every((value, k) => value === values[k]))
    const facet = ranges.map(({ start, end }, k) => (end > start ? naming(texts[k]!, start, end) : undefined)).find((one) => one !== undefined) ?? 'part'
    const n = (used.get(facet) ?? 0) + 1
    const name = known?.name ?? (n === 1 ? facet : `${facet} ${n}`)
    if (!known) {
      used.set(facet, n)
      slots.push({ name, values })
    }
    template += `{{ ${name} }}`
  }
  return { template, slots }
}
