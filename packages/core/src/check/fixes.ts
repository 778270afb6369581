import type { Draft } from '../draft/shape.ts'
import type { Edit } from '../draft/edit-shape.ts'
import { editBetween } from '../draft/edit.ts'
import { mapMarks, changeText, type TextChange } from '../draft/text-change.ts'
import { removePhrase } from '../phrase/remove.ts'
import type { TextRange } from '../text-range.ts'
import type { Checked } from './checked.ts'
import type { Fix } from './finding.ts'

/** The edit that changes a draft's text, marks going along, and its list and settings. */
export function edited(draft: Draft, changes: readonly TextChange[], others: Partial<Pick<Draft, 'leaveOut' | 'settings'>> = {}): Edit {
  const list = [...changes].sort((a, b) => a.from - b.from)
  return editBetween(draft, { ...draft, ...others, text: changeText(draft.text, list), marks: mapMarks(draft.marks, list) }, list)
}

/** Takes a range out of the text, with the comma and joining words that would be left standing. */
export const removalOf = (draft: Draft, range: TextRange): Edit => edited(draft, removePhrase(draft.text, range))

/** The fix that takes a range out: the writer looks before it is done, since something of the picture goes. */
export const removing = (checked: Checked, range: TextRange): Fix => ({ label: `Take out “${checked.said(range)}”`, edits: [removalOf(checked.draft, range)], safe: false })

/** Puts other words where a range is. */
export const replacementOf = (draft: Draft, { start, end }: TextRange, insert: string): Edit => edited(draft, [{ from: start, to: end, insert }])

/** The draft's leave-out list with one entry more, unless it has it. */
export const withEntry = (list: readonly string[], ...entries: string[]): string[] => {
  const known = new Set(list.map((entry) => entry.toLowerCase()))
  return [...list, ...entries.filter((entry) => !known.has(entry.toLowerCase()) && known.add(entry.toLowerCase()))]
}
