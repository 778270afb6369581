import { TermFinder } from '../glossary/term-finder.ts'
import type { Check } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { edited, removing, withEntry } from './fixes.ts'
import { insertPhrase } from '../phrase/insert.ts'

export const houseRule: Check = (checked) => {
  const { rules, draft, shown } = checked
  const found: Finding[] = []
  const add = (finding: Omit<Finding, 'kind' | 'severity'>) => found.push({ kind: 'house-rule', severity: 'stop', ...finding })
  for (const rule of rules.must) {
    if ('facet' in rule) {
      if (checked.of(rule.facet).length === 0) add({ facet: rule.facet, reason: `The house rules want something of ${rule.facet} in every prompt.` })
    } else if (new TermFinder([[rule.phrase, true]]).find(shown).length === 0) {
      const facet = 'detail' as const
      add({
        reason: `The house rules want “${rule.phrase}” in every prompt.`,
        fix: { label: `Add “${rule.phrase}”`, edits: [edited(draft, insertPhrase(draft.text, [...checked.phrases], facet, rule.phrase).changes)], safe: true },
      })
    }
  }
  for (const word of rules.never) {
    for (const { start, end } of new TermFinder([[word, true]]).find(shown)) {
      add({ where: inText({ start, end }), reason: `The house rules never say “${word}”.`, fix: removing(checked, { start, end }) })
    }
  }
  const missing = rules.leaveOut.filter((entry) => !draft.leaveOut.some((own) => own.toLowerCase() === entry.toLowerCase()))
  if (missing.length && (checked.engine?.leaveOut ?? true)) {
    add({
      where: { in: 'leaveOut', entry: missing[0]! },
      reason: `The house rules leave out ${missing.map((entry) => `“${entry}”`).join(', ')} everywhere.`,
      fix: { label: `Add ${missing.length === 1 ? `“${missing[0]!}”` : `${missing.length} entries`} to the list`, edits: [edited(draft, [], { leaveOut: withEntry(draft.leaveOut, ...missing) })], safe: true },
    })
  }
  const ratio = draft.settings['aspectRatio']
  if (rules.aspectRatio && ratio !== undefined && ratio !== rules.aspectRatio) {
    add({ where: { in: 'settings', key: 'aspectRatio' }, reason: `The project’s pictures are ${rules.aspectRatio}; this one is ${String(ratio)}.`, fix: { label: `Set ${rules.aspectRatio}`, edits: [edited(draft, [], { settings: { ...draft.settings, aspectRatio: rules.aspectRatio } })], safe: true } })
  }
  return found
}
