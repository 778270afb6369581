import { listed, TermFinder } from '../glossary/term-finder.ts'
import { COMPANIONS } from '../glossary/companions.ts'
import type { Check } from './checked.ts'
import { bareEntry } from './negated-leave-out.ts'
import { inText } from './finding.ts'

const words = new TermFinder(COMPANIONS.map(({ word, brings }) => [word, brings] as const))

/** What of a draft or its list says that a companion is not wanted. */
const UNWANTED: Readonly<Record<string, RegExp>> = {
  beard: /\b(?:clean-?shaven|beardless|smooth-cheeked)\b/i,
  'old age': /\b(?:young|youthful|teenage|teenaged|boyish|girlish)\b/i,
  youth: /\b(?:old|elderly|aged|ancient)\b/i,
}

export const dragsIn: Check = (checked) => {
  const list = checked.draft.leaveOut.map((entry) => bareEntry(entry))
  return checked.terms(words, ['subject', 'setting', 'detail']).flatMap((found) => {
    for (const companion of found.value) {
      const own = new TermFinder(listed(companion.also ? `${companion.what}, ${companion.also}` : companion.what, true))
      // What is said anyway is wanted.
      if (own.find(checked.shown).length) continue
      const entry = list.find((one) => own.find(one).length > 0)
      const clash = UNWANTED[companion.what]?.exec(found.phrase.text)?.[0] ?? UNWANTED[companion.what]?.exec(checked.shown)?.[0]
      if (entry === undefined && clash === undefined) continue
      return [
        {
          kind: 'drags-in' as const,
          severity: 'tip' as const,
          where: inText(found),
          ...(entry !== undefined ? { with: { in: 'leaveOut' as const, entry: checked.draft.leaveOut[list.indexOf(entry)]! } } : {}),
          facet: found.phrase.facet,
          reason: `“${checked.said(found)}” commonly brings ${companion.what}, ${entry !== undefined ? 'which the leave-out list does not want' : `against “${clash!}”`}; say what it has instead.`,
        },
      ]
    }
    return []
  })
}
