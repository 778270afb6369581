import type { Draft } from '../draft/shape.ts'
import type { TextRange } from '../text-range.ts'

function piecesThatShow(draft: Pick<Draft, 'text' | 'marks'>): TextRange[] {
  const pieces: TextRange[] = []
  let at = 0
  for (const mark of draft.marks) {
    if (mark.kind !== 'off') continue
    if (mark.from > at) pieces.push({ start: at, end: mark.from })
    at = Math.max(at, mark.to)
  }
  if (at < draft.text.length) pieces.push({ start: at, end: draft.text.length })
  return pieces
}

/** Takes out the commas and spaces that an omitted phrase leaves standing. */
const closeGaps = (text: string): string =>
  text
    .replace(/\s+/g, ' ')
    .replace(/ ([,;.:!?])/g, '$1')
    .replace(/([,;:])(?:\s*[,;:])+/g, '$1')
    .replace(/[,;:]+\s*([.!?])/g, '$1')
    .replace(/([.!?])\s*[,;:]+/g, '$1')
    .replace(/^[\s,;:.]+/, '')
    .replace(/[\s,;:]+$/, '')

/** The text without its phrases that are switched off, spaces and commas closed up. */
export function shownText(draft: Pick<Draft, 'text' | 'marks'>): string {
  return closeGaps(piecesThatShow(draft).map(({ start, end }) => draft.text.slice(start, end)).join(' '))
}

/** Where in the draft the text past the first `shown` visible characters lies. */
export function rangesPast(draft: Pick<Draft, 'text' | 'marks'>, fits: (text: string) => boolean): TextRange[] {
  const pieces = piecesThatShow(draft)
  const shown = (until: number) =>
    closeGaps(
      pieces
        .filter((p) => p.start < until)
        .map((p) => draft.text.slice(p.start, Math.min(p.end, until)))
        .join(' '),
    )
  const ends = [...draft.text.matchAll(/\S+/g)].map((m) => m.index + m[0].length)
  let [low, high] = [0, ends.length]
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if (fits(shown(ends[middle - 1] ?? 0))) low = middle
    else high = middle - 1
  }
  const from = low === 0 ? 0 : (ends[low - 1] ?? 0)
  return pieces.filter((p) => p.end > from).map((p) => ({ start: Math.max(p.start, from), end: p.end }))
}
