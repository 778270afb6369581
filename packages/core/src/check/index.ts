import type { Draft } from '../draft/shape.ts'
import type { Reading } from '../read/reading.ts'
import { type Around, type Check, Checked } from './checked.ts'
import { contradiction } from './contradiction.ts'
import { crowd } from './crowd.ts'
import { dragsIn } from './drags-in.ts'
import { eraClash } from './era-clash.ts'
import { fightsLeaveOut } from './fights-leave-out.ts'
import { filler } from './filler.ts'
import type { Finding, FindingKind } from './finding.ts'
import { houseRule } from './house-rule.ts'
import type { Language } from './language.ts'
import { leadVerb } from './lead-verb.ts'
import { letteringRisk } from './lettering-risk.ts'
import { missingFacet } from './missing-facet.ts'
import { mixedMedium } from './mixed-medium.ts'
import { negatedLeaveOut } from './negated-leave-out.ts'
import { negationInText } from './negation-in-text.ts'
import { overLength } from './over-length.ts'
import { repeated } from './repeated.ts'
import { settingsInText } from './settings-in-text.ts'
import { smallSubject } from './small-subject.ts'
import { unknownWord } from './unknown-word.ts'
import { unsupported } from './unsupported.ts'
import { vagueSubject } from './vague-subject.ts'

/** Every kind of finding and the check that makes it. */
export const CHECKS: Readonly<Record<FindingKind, Check>> = {
  contradiction,
  'fights-leave-out': fightsLeaveOut,
  'negated-leave-out': negatedLeaveOut,
  'negation-in-text': negationInText,
  'settings-in-text': settingsInText,
  'lead-verb': leadVerb,
  filler,
  repeated,
  'missing-facet': missingFacet,
  'vague-subject': vagueSubject,
  crowd,
  'small-subject': smallSubject,
  'lettering-risk': letteringRisk,
  'era-clash': eraClash,
  'mixed-medium': mixedMedium,
  'unknown-word': unknownWord,
  'drags-in': dragsIn,
  unsupported,
  'over-length': overLength,
  'house-rule': houseRule,
}

/** What a change instruction is right to do, or need not do: it speaks to somebody, takes things away and leaves the picture as it is. */
const NOT_OF_A_CHANGE: ReadonlySet<string> = new Set<FindingKind>(['lead-verb', 'negation-in-text', 'missing-facet', 'vague-subject', 'small-subject', 'crowd', 'drags-in', 'filler'])

const WEIGHT = { stop: 0, caution: 1, tip: 2 } as const
const placeOf = ({ where }: Finding) => (where?.in === 'text' ? where.start : Number.MAX_SAFE_INTEGER)

/** Whether the writer has dismissed a finding of a kind where this one lies; one that lies nowhere in the text, anywhere. */
const isDismissed = (draft: Draft, { kind, where }: Finding): boolean =>
  draft.marks.some((mark) => mark.kind === 'dismissed' && mark.check === kind && (where?.in !== 'text' || (mark.from < where.end && mark.to > where.start)))

/** The house rules alone: what a draft breaks of them, as `checkDraft` would find it. */
export const brokenRules = (draft: Draft, reading: Reading, language: Language, around: Around): Finding[] => houseRule(new Checked(draft, reading, language, around)).filter((finding) => !isDismissed(draft, finding))

/**
 * What is wrong with a draft before it is tried, the gravest first, then in the order of the text. `reading` must be of
 * the draft's text as it stands, with the facets that its marks set. What is dismissed is not found again.
 */
export function checkDraft(draft: Draft, reading: Reading, language: Language, around: Around = {}): Finding[] {
  const checked = new Checked(draft, reading, language, around)
  return Object.entries(CHECKS)
    .filter(([kind]) => draft.kind !== 'change' || !NOT_OF_A_CHANGE.has(kind))
    .flatMap(([, check]) => check(checked))
    .filter((finding) => !isDismissed(draft, finding))
    .sort((a, b) => WEIGHT[a.severity] - WEIGHT[b.severity] || placeOf(a) - placeOf(b))
}
