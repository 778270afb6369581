import { FACETS } from '../facets.ts'
import { LABELS } from './model/chain.ts'
import { GAP, type Item, quotedTokens } from './model/features.ts'
import type { Phrase } from './reading.ts'
import type { Token } from './scan.ts'

/** How sure a run of labels is, as a share of the times such a run is right. Points of a line: raw value, share. */
export type Calibration = readonly (readonly [raw: number, right: number])[]

export function calibrated(raw: number, points: Calibration): number {
  const after = points.findIndex(([at]) => at >= raw)
  if (points.length === 0) return raw
  if (after === 0) return points[0]![1]
  if (after < 0) return points[points.length - 1]![1]
  const [[x0, y0], [x1, y1]] = [points[after - 1]!, points[after]!]
  return x1 === x0 ? y1 : y0 + ((raw - x0) / (x1 - x0)) * (y1 - y0)
}

/** Gaps that a phrase of one facet may run across. */
const WITHIN = new Set<number>([GAP.none, GAP.article, GAP.preposition, GAP.joiner])

const LETTERING = FACETS.indexOf('lettering') + 1
const QUOTES_ONLY = /^[\s"“”„‘’'«»:]+$/
const OPENS = /["“„‘'«]$/
const CLOSES = /^["“”’'»]/

/** Joining words at the edge of a quotation are no items, yet are read with it: the rest of “KEEP OUT”, the first of “THE END”. */
const TO_THE_CLOSE = /^(?:[^\S\n]+\p{L}+){1,4}(?=[.!?]?["”»])/u
const TO_THE_OPENING = /(?<=["“„«])(?:\p{L}+[^\S\n]+){1,4}$/u

/**
 * Quotation marks at the edges of words to be read belong to them: “sign reads "Open"” is one phrase, its quotes included.
 * `from` and `to` bound what may be taken: where the words before and after end and begin.
 */
function withQuotes(text: string, first: number, last: number, from: number, to: number): [number, number] {
  const isOpen = /["“„«][^"”»]*$/.test(text.slice(first, last))
  const start = isOpen ? first : first - (TO_THE_OPENING.exec(text.slice(from, first))?.[0].length ?? 0)
  const end = isOpen || start < first ? last + (TO_THE_CLOSE.exec(text.slice(last, to))?.[0].length ?? 0) : last
  const closes = CLOSES.test(text.slice(end))
  const opens = OPENS.test(text.slice(0, start))
  const openInside = /["“„«]/.test(text.slice(start, end)) && !/["”»]$/.test(text.slice(start, end))
  return [opens && closes ? start - 1 : start, closes && (opens || openInside) ? end + 1 : end]
}

/** Words between quotation marks are read in the picture together: where one of them is, all are. */
export function wholeQuotes(items: readonly Item[], tokens: readonly Token[], labels: Uint8Array): Uint8Array {
  if (!labels.includes(LETTERING)) return labels
  const quoted = quotedTokens(tokens)
  const read = new Set(items.flatMap(({ at }, i) => (labels[i] === LETTERING && quoted[at] ? [quoted[at]] : [])))
  return read.size ? labels.map((label, i) => (read.has(quoted[items[i]!.at]!) ? LETTERING : label)) : labels
}

/** The labels of a unit's words as phrases: runs of one facet, ended by punctuation, noise or another facet. Ranges are in the unit's own text. */
export function phrasesOf(text: string, items: readonly Item[], labels: Uint8Array, probabilities: Float64Array, calibration: Calibration): Phrase[] {
  const phrases: Phrase[] = []
  for (let i = 0; i < items.length; ) {
    const label = labels[i]!
    let end = i + 1
    const goesOn = (next: number) => WITHIN.has(items[next]!.gap) || (label === LETTERING && QUOTES_ONLY.test(text.slice(items[next - 1]!.token.end, items[next]!.token.start)))
    while (end < items.length && labels[end] === label && goesOn(end)) end++
    if (label > 0) {
      // Articles and joining words before the first word are outside.
      const [first, last] = [items[i]!.token.start, items[end - 1]!.token.end]
      const [from, to] = label === LETTERING ? withQuotes(text, first, last, Math.max(items[i - 1]?.token.end ?? 0, phrases.at(-1)?.end ?? 0), items[end]?.token.start ?? text.length) : [first, last]
      let sum = 0
      for (let k = i; k < end; k++) sum += probabilities[k * LABELS + label]!
      const confidence = calibrated(sum / (end - i), calibration)
      phrases.push({ start: from, end: to, text: text.slice(from, to), facet: FACETS[label - 1]!, confidence: Math.round(confidence * 1_000) / 1_000 })
    }
    i = end
  }
  return phrases
}
