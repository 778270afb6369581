import { positiveFor } from '../output/positive.ts'
import type { Check } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { edited } from './fixes.ts'
import { withoutMarks } from '../phrase/marks.ts'
import { editBetween } from '../draft/edit.ts'

/** Settings that every engine is given in one form or another. */
const COMMON = new Set(['aspectRatio', 'width', 'height', 'count'])
const LABELS: Record<string, string> = { aspectRatio: 'aspect ratio', guidance: 'guidance', steps: 'steps', seed: 'seed' }

export const unsupported: Check = ({ draft, engine, phrases }) => {
  if (!engine) return []
  const found: Finding[] = []
  if (!engine.leaveOut && draft.leaveOut.length) {
    const lost = draft.leaveOut.filter((entry) => engine.reads === 'json' || !positiveFor(entry))
    const all = lost.length === draft.leaveOut.length
    const names = lost.slice(0, 5).map((entry) => `“${entry}”`).join(', ')
    found.push({
      kind: 'unsupported',
      severity: all ? 'stop' : 'caution',
      where: { in: 'leaveOut', entry: lost[0] ?? draft.leaveOut[0]! },
      reason: `${engine.name} takes no leave-out list; ${lost.length === 0 ? 'its entries go into the text as what is there instead.' : `${all && lost.length > 1 ? 'all of it' : names} would be ignored. Say in the text what is there instead.`}`,
    })
  }
  const takes = new Set(engine.settings.map(({ key }) => key))
  const refuses = new Set(engine.refuses ?? [])
  for (const key of Object.keys(draft.settings)) {
    if (takes.has(key) || (!refuses.has(key) && (COMMON.has(key) || key === 'seed'))) continue
    const { [key]: _, ...settings } = draft.settings
    found.push({ kind: 'unsupported', severity: 'caution', where: { in: 'settings', key }, reason: `${engine.name} has no ${LABELS[key] ?? key}; the value is ignored.`, fix: { label: `Clear ${LABELS[key] ?? key}`, edits: [edited(draft, [], { settings })], safe: false } })
  }
  const untaken = draft.references.filter(({ role }) => !engine.references?.includes(role))
  if (untaken.length) {
    const none = !engine.references?.length
    found.push({ kind: 'unsupported', severity: untaken.some(({ role }) => role === 'base') ? 'stop' : 'caution', reason: `${engine.name} takes no reference ${none ? 'pictures' : `as ${[...new Set(untaken.map(({ role }) => role))].join(', ')}`}; ${untaken.length === 1 ? 'it' : 'they'} would not be sent.` })
  }
  if (engine.emphasis === 'none') {
    for (const mark of draft.marks) {
      if (mark.kind !== 'emphasis') continue
      const range = { start: mark.from, end: mark.to }
      const phrase = phrases.find(({ start, end }) => start < mark.to && end > mark.from)
      found.push({
        kind: 'unsupported',
        severity: 'caution',
        where: inText(range),
        ...(phrase ? { facet: phrase.facet } : {}),
        reason: `${engine.name} cannot be told that one phrase weighs more or less; the mark does nothing there.`,
        fix: { label: 'Remove the emphasis', edits: [editBetween(draft, { ...draft, marks: withoutMarks(draft.marks, 'emphasis', range) }, [])], safe: false },
      })
    }
  }
  return found
}
