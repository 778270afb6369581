import type { Check } from './checked.ts'
import { isOnlyQuality, isPlainThing, rulesOut, singulars } from './companions.ts'
import type { TextRange } from '../text-range.ts'
import { fightsLeaveOut } from './fights-leave-out.ts'
import { inText } from './finding.ts'
import { bareEntry } from './negated-leave-out.ts'

/** A companion that comes less surely is not worth a word: a subject's first six that are listed by hand, a place's first two. */
const SURE = { subject: 0.8, detail: 0.9, setting: 0.9 } as const
/** What of a draft says that a companion is not wanted. */
const UNWANTED: readonly { what: RegExp; against: RegExp }[] = [
  { what: /\bbeards?\b/i, against: /\b(?:clean-?shaven|beardless|smooth-cheeked)\b/i },
  { what: /\b(?:old|old age|wrinkles|grey hair|grey bun)\b/i, against: /\b(?:young|youthful|teenage|teenaged|boyish|girlish)\b/i },
  { what: /\b(?:youth|young)\b/i, against: /\b(?:old|elderly|aged|ancient)\b/i },
]

/** What is said against a companion of the same figure; beyond “and” or “his” another figure begins. */
function ofTheSame(text: string, term: TextRange, against: RegExp): string | undefined {
  const match = against.exec(text)
  if (!match) return undefined
  const [first, last] = match.index < term.start ? [match.index + match[0].length, term.start] : [term.end, match.index]
  return /\b(?:and|with|his|her|their|beside|another|an?)\b/i.test(text.slice(first, last)) ? undefined : match[0]
}

export const dragsIn: Check = (checked) => {
  const { associations } = checked.language
  const list = checked.draft.leaveOut.map((entry) => ({ entry, bare: bareEntry(entry).toLowerCase() }))
  /** Entries that the text asks for outright: what a word might bring beside them is no news. */
  let said: Set<string> | undefined
  let fought: Set<string> | undefined
  const isFought = (entry: string) => (fought ??= new Set(fightsLeaveOut(checked).map((finding) => (finding.with?.in === 'leaveOut' ? finding.with.entry : '')))).has(entry)
  return checked.of('subject', 'setting', 'detail').flatMap((phrase) => {
    for (const { start, end, term } of associations.termsIn(checked.shown.slice(phrase.start, phrase.end))) {
      if (isPlainThing(checked, term) || isOnlyQuality(checked, term)) continue
      for (const { what, strength } of associations.companions(term)) {
        if (strength < SURE[phrase.facet as keyof typeof SURE]) continue
        const ruled = list.find(({ bare }) => rulesOut(checked, bare, what))
        const against = phrase.facet === 'subject' ? UNWANTED.find((one) => one.what.test(what))?.against : undefined
        const clash = against && ofTheSame(checked.shown, { start: phrase.start + start, end: phrase.start + end }, against)
        // What is said anyway is wanted.
        if ((!ruled && !clash) || singulars(what).every((word) => (said ??= new Set(singulars(checked.shown))).has(word)) || (ruled && !clash && isFought(ruled.entry))) continue
        return [
          {
            kind: 'drags-in' as const,
            severity: 'tip' as const,
            where: inText({ start: phrase.start + start, end: phrase.start + end }),
            ...(ruled ? { with: { in: 'leaveOut' as const, entry: ruled.entry } } : {}),
            facet: phrase.facet,
            reason: `“${term}” commonly brings ${what}, ${ruled ? 'which the leave-out list does not want' : `against “${clash!}”`}; say what it has instead, or say it without the word.`,
          },
        ]
      }
    }
    return []
  })
}
