import { entriesOf, IDIOM } from '../read/noise/leave-out.ts'
import type { Check } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { edited, withEntry } from './fixes.ts'
import { fromNoise } from './from-noise.ts'
import { removePhrase } from '../phrase/remove.ts'

/** Negations that a reading leaves standing, since they are part of a clause. */
const CLAUSE = /(?<=^|[,.;:!?\n]\s{0,3}|\band\s|\bbut\s|\bwith\s)(?:there\s+(?:is|are|must be|should be)\s+(?:no\b|not\s+any\b|nothing\b)|never\s+(?:any\s+)?|not\s+(?:an?|any|the)\s+|nothing\s+|nobody\s+|no[ -]one\s+|(?:do|does)\s*n[o’']t\s+(?:include|show|add|draw)\s+)\s*(?:[\p{L}\p{N}'’-]+\s*){1,6}/giu

export const negationInText: Check = (checked) => {
  const noted = checked.engine && !checked.engine.leaveOut
  const reason = (said: string, entries: readonly string[]) =>
    noted
      ? `${checked.engine!.name} reads “${said}” as a wish for it and takes no leave-out list; say what is there instead.`
      : `An engine reads “${said}” as a wish for it; ${entries.length ? `“${entries.join('”, “')}” belongs` : 'it belongs'} on the leave-out list.`
  const found: Finding[] = fromNoise(checked, 'leave-out', (said, { leaveOut }) => ({ kind: 'negation-in-text', severity: 'caution', reason: reason(said, leaveOut), label: noted ? 'Remove it' : 'Move it to the leave-out list' }))
  for (const match of checked.shown.matchAll(CLAUSE)) {
    const said = match[0].trimEnd()
    const range = { start: match.index, end: match.index + said.length }
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
