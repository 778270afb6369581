import type { Facet } from '../facet.ts'
import { FACETS } from '../facets.ts'
import type { Phrase } from '../read/reading.ts'
import { blankSlot, type SlotValues, type TemplateSlot } from './body.ts'
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
/** What a text says, in order: for telling where one thing ends and the next begins, and for the names of slots. */
export type Reads = (text: string) => readonly Phrase[]

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
  for (const { at, follows } of commonRuns(within)) {
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

/** What most of a stretch says. */
function facetOf(phrases: readonly Phrase[], start: number, end: number): Facet | undefined {
  const over = (phrase: Phrase) => Math.min(end, phrase.end) - Math.max(start, phrase.start)
  return phrases.filter((phrase) => over(phrase) > 0).sort((x, y) => over(y) - over(x))[0]?.facet
}

/** What a stretch of a text says: facets in order, each where it begins; undefined where a phrase goes on outside, since then the stretch is only a part of one thing. */
function saidWithin(phrases: readonly Phrase[], start: number, end: number): { facet: Facet; start: number }[] | undefined {
  const own: { facet: Facet; start: number }[] = []
  for (const phrase of phrases) {
    if (phrase.end <= start || phrase.start >= end) continue
    if (phrase.start < start || phrase.end > end) return undefined
    if (own.at(-1)?.facet !== phrase.facet) own.push({ facet: phrase.facet, start: phrase.start })
  }
  return own
}
const sequenceOf = (said: ReturnType<typeof saidWithin>): string => said?.map(({ facet }) => facet).join(' ') ?? ''

const LEADS_ON = /\s(?:in|on|at|under|over|by|near|beside|behind|across|through|with|from|into|onto|along|against|beneath|around|among|inside)\s+(?:an?\s+|the\s+)?/iu

/** Phrases of which one said what two usually say, divided at the word that leads to the second: “lands on a fence post”. As they were where that does not mend it. */
function divided(text: string, phrases: readonly Phrase[], { start, end }: { start: number; end: number }, usual: readonly string[]): readonly Phrase[] {
  const own = saidWithin(phrases, start, end)?.map(({ facet }) => facet) ?? []
  const missing = usual.findIndex((facet, i) => own[i] !== facet)
  if (own.length !== usual.length - 1 || missing < 1 || own.slice(missing).join() !== usual.slice(missing + 1).join()) return phrases
  const at = phrases.findLastIndex((phrase) => phrase.start >= start && phrase.end <= end && phrase.facet === usual[missing - 1])
  const whole = phrases[at]
  const lead = whole && LEADS_ON.exec(whole.text)
  if (!whole || !lead) return phrases
  const [cut, next] = [whole.start + lead.index, whole.start + lead.index + lead[0].length]
  return phrases.toSpliced(at, 1, { ...whole, end: cut, text: text.slice(whole.start, cut) }, { ...whole, facet: usual[missing] as Facet, start: next, text: text.slice(next, whole.end) })
}

/**
 * A slot in which every text says the same facets one after the other becomes a slot for each. Words that join two go with the second,
 * unless they are the same in all. A text that seems to say something else than most is read again from the slot's words alone.
 */
function splitByFacet(texts: readonly string[], all: readonly (readonly Phrase[])[], slot: Piece, reads: Reads): Piece[] {
  const whole = slot.ranges.map(({ start, end }, k) => saidWithin(all[k]!, start, end))
  const counts = new Map<string, number>()
  for (const said of whole) if (said && said.length > 1) counts.set(sequenceOf(said), (counts.get(sequenceOf(said)) ?? 0) + 1)
  const [usual] = [...counts].sort((x, y) => y[1] - x[1])[0] ?? []
  if (usual === undefined) return [slot]
  const phrases = all.map((own, k) => {
    const { start, end } = slot.ranges[k]!
    if (sequenceOf(whole[k]) === usual) return own
    const alone = reads(texts[k]!.slice(start, end)).map((phrase) => ({ ...phrase, start: phrase.start + start, end: phrase.end + start }))
    return [alone, own].map((read) => divided(texts[k]!, read, { start, end }, usual.split(' '))).find((read) => sequenceOf(saidWithin(read, start, end)) === usual) ?? alone
  })
  const within = slot.ranges.map(({ start, end }, k) => saidWithin(phrases[k]!, start, end))
  const [first] = within
  if (!first || within.some((own) => sequenceOf(own) !== usual)) return [slot]
  const pieces: Piece[] = []
  let from = slot.ranges.map(({ start }) => start)
  for (let i = 1; i <= first.length; i++) {
    const to = slot.ranges.map(({ end }, k) => {
      if (i === first.length) return end
      // Back over the words that lead to the next phrase, to the end of the last.
      const next = within[k]![i]!.start
      return Math.max(from[k]!, ...phrases[k]!.filter((phrase) => phrase.end <= next).map((phrase) => phrase.end))
    })
    pieces.push({ slot: true, ranges: to.map((end, k) => ({ start: from[k]!, end })) })
    const next = i < first.length ? within.map((own) => own![i]!.start) : to
    const between = to.map((end, k) => texts[k]!.slice(end, next[k]))
    const same = between.every((gap) => gap === between[0])
    const space = to.map((end, k) => end + (/^\s*/.exec(between[k]!)?.[0].length ?? 0))
    const after = same ? next : space
    if (i < first.length) pieces.push({ slot: false, ranges: to.map((start, k) => ({ start, end: after[k]! })) })
    from = after
  }
  return pieces.every(({ slot: open, ranges }) => open || ranges.every(({ start, end }, k) => texts[k]!.slice(start, end) === texts[0]!.slice(ranges[0]!.start, ranges[0]!.end))) ? pieces.filter(({ ranges }) => ranges.some(({ start, end }) => end > start)) : [slot]
}

const escaped = (text: string) => text.includes('{{')

/**
 * The frame that texts share and the slots in which they differ, such that filling the template with what stands in the slots of
 * text i gives text i back exactly. Slots are named by the facet they say; two that always say the same are one.
 * @throws RangeError of fewer than two texts.
 */
export function learnTemplate(texts: readonly string[], reads: Reads = () => []): Learned {
  if (texts.length < 2) throw new RangeError('A template is learned from two texts or more.')
  const phrases = texts.map(reads)
  const tokens = texts.map((text, k) => tokensOf(text, phrases[k]))
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
  for (const { slot, ranges } of joined(texts, pieces).flatMap((piece) => (piece.slot ? splitByFacet(texts, phrases, piece, reads) : [piece]))) {
    const values = ranges.map(({ start, end }, k) => texts[k]!.slice(start, end))
    // What looks like a slot in a text is kept as a value, or it would be filled.
    if (!slot && !escaped(values[0]!)) {
      template += values[0]!
      continue
    }
    const known = slots.find((one) => one.values.every((value, k) => value === values[k]))
    const facet = ranges.map(({ start, end }, k) => (end > start ? facetOf(phrases[k]!, start, end) : undefined)).find((one) => one !== undefined) ?? 'part'
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

/** What was learned as the slots of a template: each named by a facet has it, what stood there are its options, the first what it says by itself. */
export function learnedSlots({ template, slots }: Learned): { text: string; slots: TemplateSlot[]; rows: SlotValues[] } {
  const facetOf = (name: string) => FACETS.find((facet) => facet === name.replace(/ \d+$/, ''))
  return {
    text: template,
    slots: slots.map(({ name, values }) => {
      const options = [...new Set(values.map((value) => value.trim()).filter(Boolean))]
      return { ...blankSlot(name, facetOf(name)), options, fallback: values.every((value) => value.trim()) ? (options[0] ?? '') : '' }
    }),
    rows: (slots[0]?.values ?? []).map((_, i) => Object.fromEntries(slots.map(({ name, values }) => [name, values[i]!.trim()]))),
  }
}
