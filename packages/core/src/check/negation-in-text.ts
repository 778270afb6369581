import { entriesOf, IDIOM } from '../read/noise/leave-out.ts'
import type { Check, Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { edited, withEntry } from './fixes.ts'
import { termsOf } from '../lexicon/dimension.ts'
import { longest, Matcher } from '../lexicon/matcher.ts'
import { isFunctionWord } from '../read/words/function-words.ts'
import type { TextRange } from '../text-range.ts'
import { fromNoise } from './from-noise.ts'
import { removePhrase } from '../phrase/remove.ts'

/** Negations that a reading leaves standing, since they are part of a clause. */
const CLAUSE = /(?<=^|[,.;:!?\n]\s{0,3}|\band\s|\bbut\s|\bwith\s)(?:there\s+(?:is|are|must be|should be)\s+(?:no\b|not\s+any\b|nothing\b)|never\s+(?:any\s+)?|not\s+(?:an?|any|the)\s+|nothing\s+|nobody\s+|no[ -]one\s+|(?:do|does)\s*n[o’']t\s+(?:include|show|add|draw)\s+)\s*(?:[\p{L}\p{N}'’-]+\s*){1,6}/giu

/** Turns that rule something out within a sentence: “a hill without any fences”, “keep horses out of it”. What they rule out follows, or stands between. */
const TURNS = termsOf(`without any, must|should|may not be any, must|should|may be no, do not want, don't want, do not show, don't show, do not include|draw|add|paint, don't include|draw|add|paint, absolutely? never any, never any, keep _ out, keep _ _ out, leave _ out, leave _ _ out, but no, nowhere any, free of any, not single`)
const turns = new Matcher<true>(TURNS.map((term) => [term, true] as const))
/** Words after a turn that belong to what it rules out. */
const FOLLOWING = 3

function turnsIn(checked: Checked): TextRange[] {
  const { words } = checked
  const found = longest(turns.find(words, checked.isKind)).map(({ from, to }) => {
    let end = to
    while (end < words.length && end - to < FOLLOWING && words[end]!.gap !== 'mark' && !(end > to && isFunctionWord(words[end]!.lower))) end++
    return { start: words[from]!.start, end: words[end - 1]!.end }
  })
  // “not smiling”, as an item of its own.
  words.forEach(({ lower, gap, start }, i) => {
    const next = words[i + 1]
    if (lower === 'not' && (gap === 'mark' || i === 0) && next?.gap === 'space' && next.lower.endsWith('ing')) found.push({ start, end: next.end })
  })
  return found
}

export const negationInText: Check = (checked) => {
  const noted = checked.engine && !checked.engine.leaveOut
  const reason = (said: string, entries: readonly string[]) =>
    noted
      ? `${checked.engine!.name} reads “${said}” as a wish for it and takes no leave-out list; say what is there instead.`
      : `An engine reads “${said}” as a wish for it; ${entries.length ? `“${entries.join('”, “')}” belongs` : 'it belongs'} on the leave-out list.`
  const found: Finding[] = fromNoise(checked, 'leave-out', (said, { leaveOut }) => ({ kind: 'negation-in-text', severity: 'caution', reason: reason(said, leaveOut), label: noted ? 'Remove it' : 'Move it to the leave-out list' }))
  const clauses = [...checked.shown.matchAll(CLAUSE)].map((match) => ({ start: match.index, end: match.index + match[0].trimEnd().length }))
  for (const range of [...clauses, ...turnsIn(checked)]) {
    const said = checked.said(range)
    if (IDIOM.test(said) || found.some(({ where }) => where?.in === 'text' && where.start < range.end && where.end > range.start)) continue
    if (checked.phraseAt(range.start)?.facet === 'lettering') continue
    const entries = entriesOf(said.replace(/^(?:there\s+\S+\s+(?:be\s+)?)?(?:no\b|not\s+any|nothing|never\s+any|never|not\b|nobody|no[ -]one|(?:do|does)\s*n[o’']t\s+\S+)\s*/iu, ''))
    found.push({
      kind: 'negation-in-text',
      severity: 'caution',
      where: inText(range),
      reason: reason(said, entries),
      ...(entries.length ? { fix: { label: 'Move it to the leave-out list', edits: [edited(checked.draft, removePhrase(checked.draft.text, range), { leaveOut: withEntry(checked.draft.leaveOut, ...entries) })], safe: false } } : {}),
    })
  }
  return found
}
