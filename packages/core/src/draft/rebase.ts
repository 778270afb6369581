import type { Draft } from './shape.ts'
import { applyEdit, editBetween } from './edit.ts'
import type { Edit } from './edit-shape.ts'
import { addMark, markKey } from './mark.ts'
import { applySplice, type Splice } from './splice.ts'
import { changeText, mapMarks, mapPlace, type TextChange } from './text-change.ts'
import { wordDiff } from './word-diff.ts'

/** The changes of words that take one text to another. */
export function changesBetween(before: string, after: string): TextChange[] {
  const changes: TextChange[] = []
  let at = 0
  for (const { change, text } of wordDiff(before, after)) {
    if (change === 'same') {
      at += text.length
      continue
    }
    const last = changes.at(-1)
    const open = last?.to === at ? last : { from: at, to: at, insert: '' }
    if (open !== last) changes.push(open)
    if (change === 'added') open.insert += text
    else {
      open.to += text.length
      at = open.to
    }
  }
  return changes
}

/** A list in which what a splice took from another list is gone, and what it put in stands at the end. */
function respliced<T>(base: T[], splice: Splice<T> | undefined, now: T[], key: (entry: T) => string): T[] {
  if (!splice) return now
  const has = (list: readonly T[], entry: T) => list.some((one) => key(one) === key(entry))
  const after = applySplice(base, splice)
  const gone = base.filter((entry) => !has(after, entry))
  const come = after.filter((entry) => !has(base, entry))
  return [...now.filter((entry) => !has(gone, entry)), ...come.filter((entry) => !has(now, entry))]
}

/**
 * An edit of one draft, made to fit another that has gone on from it; undefined where what it replaces has been changed
 * since. Lists and settings are met by what went and what came, not by place.
 */
export function rebaseEdit(base: Draft, edit: Edit, now: Draft): Edit | undefined {
  const since = changesBetween(base.text, now.text)
  const changes: TextChange[] = []
  for (const { from, to, insert } of edit.text ?? []) {
    if (since.some((one) => (one.from < to && one.to > from) || (one.from === one.to && one.from > from && one.from < to))) return undefined
    const start = mapPlace(from, since, 1)
    changes.push({ from: start, to: Math.max(start, from === to ? start : mapPlace(to, since, -1)), insert })
  }
  const after = applyEdit(base, edit)
  const text = changeText(now.text, changes)
  // Marks of the edit stand on the text as it is after it; from there to the new text is the same way again.
  const onward = changesBetween(after.text, text)
  const gone = new Set(mapMarks(edit.marks?.remove ?? [], onward).map(markKey))
  const marks = mapMarks(edit.marks?.add ?? [], onward).reduce(addMark, mapMarks(now.marks, changes).filter((mark) => !gone.has(markKey(mark))))
  const settings = { ...now.settings }
  for (const [key, value] of Object.entries(edit.settings ?? {})) {
    if (value === null) delete settings[key]
    else settings[key] = value
  }
  const target: Draft = {
    ...now,
    text,
    marks,
    settings,
    leaveOut: respliced(base.leaveOut, edit.leaveOut, now.leaveOut, (entry) => entry),
    engines: respliced(base.engines, edit.engines, now.engines, (entry) => JSON.stringify(entry)),
    references: respliced(base.references, edit.references, now.references, (entry) => JSON.stringify(entry)),
  }
  return editBetween(now, target, changes)
}
