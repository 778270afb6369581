import type { Draft } from '../draft/shape.ts'
import { applyEdit, editBetween } from '../draft/edit.ts'
import type { Edit } from '../draft/edit-shape.ts'
import type { Mark } from '../draft/mark-shape.ts'
import { sortMarks } from '../draft/mark.ts'
import { changeText, mapMarks } from '../draft/text-change.ts'
import type { TextRange } from '../text-range.ts'
import { withLead } from './surroundings.ts'

/** Gives words the capital of the words whose place they take. */
function inPlaceOf(words: string, old: string, opens: boolean): string {
  const capital = /^\p{Lu}/u.test(old)
  if (opens && capital) return words.charAt(0).toUpperCase() + words.slice(1)
  return words
}

/** Marks that lie wholly in a range, as they lie once the range begins elsewhere. */
const carried = (marks: readonly Mark[], { start, end }: TextRange, to: number): Mark[] =>
  marks.filter((mark) => mark.from >= start && mark.to <= end).map((mark) => ({ ...mark, from: mark.from - start + to, to: mark.to - start + to }))

/**
 * Lets two phrases of a draft change places, each with its joining words and its marks; what stands between them stays.
 * A capital at the start of a sentence stays there. Where each lies afterwards comes with the edit.
 */
export function swapPhrases(draft: Draft, one: TextRange, other: TextRange): { edit: Edit; first: TextRange; second: TextRange } {
  const { text, marks } = draft
  const [earlier, later] = one.start <= other.start ? [one, other] : [other, one]
  const a = withLead(text, earlier)
  const b = { start: Math.max(withLead(text, later).start, a.end), end: later.end }
  const opens = (at: number) => /(?:^|[.!?\n]\s*["“]?)$/.test(text.slice(0, at))
  const [first, second] = [text.slice(a.start, a.end), text.slice(b.start, b.end)]
  // The capital belongs to the place, unless the word has one of its own in the middle of a sentence.
  const lowered = opens(a.start) && /^\p{Lu}\p{Ll}/u.test(first) && /^(?:an?|the|in|on|at|with|under|by|from)\b/i.test(first) ? first.charAt(0).toLowerCase() + first.slice(1) : first
  const intoFirst = inPlaceOf(second, first, opens(a.start))
  const changes = [
    { from: a.start, to: a.end, insert: intoFirst },
    { from: b.start, to: b.end, insert: lowered },
  ]
  const shift = intoFirst.length - (a.end - a.start)
  const after = sortMarks([...mapMarks(marks, changes), ...carried(marks, b, a.start), ...carried(marks, a, b.start + shift)])
  return {
    edit: editBetween(draft, { ...draft, text: changeText(text, changes), marks: after }, changes),
    first: { start: a.start, end: a.start + intoFirst.length },
    second: { start: b.start + shift, end: b.start + shift + lowered.length },
  }
}

/**
 * Moves a phrase past others, so that the one at `from` of `phrases`, which are in the order of the text, stands at `to`.
 * One edit, and where the phrase lies afterwards.
 */
export function movePhrase(draft: Draft, phrases: readonly TextRange[], from: number, to: number): { edit: Edit; range: TextRange } {
  let now = draft
  const order = phrases.map(({ start, end }) => ({ start, end }))
  const by = to > from ? 1 : -1
  for (let at = from; at !== to; at += by) {
    const [i, k] = by > 0 ? [at, at + 1] : [at - 1, at]
    const { edit, first, second } = swapPhrases(now, order[i]!, order[k]!)
    now = applyEdit(now, edit)
    order[i] = first
    order[k] = second
  }
  return { edit: editBetween(draft, now), range: order[to]! }
}
