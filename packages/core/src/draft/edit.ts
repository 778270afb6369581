import { emptyDraft, MAX_LEAVE_OUT, MAX_TEXT, nameOfChoice, versionBodyOf } from './draft.ts'
import type { Edit } from './edit-shape.ts'
import { addMark, marksWithout } from './mark.ts'
import type { Draft, EngineChoice, ReferenceUse, Settings, VersionBody } from './shape.ts'
import { applySplice, spliceBetween, spliceFits } from './splice.ts'
import { changesFit, changeText, invertChanges, mapMarks, type TextChange } from './text-change.ts'

/** Why an edit cannot be applied to a draft. */
export class EditError extends Error {
  override name = 'EditError'
  constructor(
    readonly reason: 'does-not-fit' | 'text-too-long' | 'list-too-long',
    message: string,
  ) {
    super(message)
  }
}

const misfit = (what: string) => new EditError('does-not-fit', `The edit does not fit the draft: ${what}.`)

function changeSettings(settings: Settings, change: NonNullable<Edit['settings']>): Settings {
  const next: Settings = { ...settings }
  for (const [key, value] of Object.entries(change)) {
    if (value === null) delete next[key]
    else next[key] = value
  }
  return next
}

function changeList<T>(list: T[], splice: { at: number; remove: number; insert: T[] } | undefined, name: string): T[] {
  if (!splice) return list
  if (!spliceFits(splice, list.length)) throw misfit(`${name} has no entries ${splice.at} to ${splice.at + splice.remove}`)
  return applySplice(list, splice)
}

/**
 * The draft after the edit.
 * @throws EditError when the edit names places the draft does not have, or would make it too long.
 */
export function applyEdit(draft: Draft, edit: Edit): Draft {
  const changes = edit.text ?? []
  if (!changesFit(changes, draft.text.length)) throw misfit('a range lies outside the text')
  const text = changes.length ? changeText(draft.text, changes) : draft.text
  if (text.length > MAX_TEXT) {
    throw new EditError('text-too-long', `A draft holds ${MAX_TEXT.toLocaleString('en')} characters; this would make ${text.length.toLocaleString('en')}.`)
  }
  let marks = changes.length ? mapMarks(draft.marks, changes) : draft.marks
  if (edit.marks) {
    if (edit.marks.add.some((mark) => mark.to > text.length || mark.from >= mark.to)) throw misfit('a mark lies outside the text')
    marks = edit.marks.add.reduce(addMark, marksWithout(marks, edit.marks.remove))
  }
  const leaveOut = changeList(draft.leaveOut, edit.leaveOut, 'the leave-out list')
  if (leaveOut.length > MAX_LEAVE_OUT) throw new EditError('list-too-long', `The leave-out list holds ${MAX_LEAVE_OUT} entries.`)
  return {
    text,
    marks,
    leaveOut,
    settings: edit.settings ? changeSettings(draft.settings, edit.settings) : draft.settings,
    engines: changeList(draft.engines, edit.engines, 'the list of engines'),
    references: changeList(draft.references, edit.references, 'the list of references'),
    ...(draft.kind ? { kind: draft.kind } : {}),
  }
}

/** The edit that takes `applyEdit(draft, edit)` back to `draft` exactly. */
export function invertEdit(draft: Draft, edit: Edit): Edit {
  const after = applyEdit(draft, edit)
  return editBetween(after, draft, invertChanges(draft.text, edit.text ?? []))
}

const same = (a: unknown, b: unknown) => a === b
const sameEngine = (a: EngineChoice, b: EngineChoice) => nameOfChoice(a) === nameOfChoice(b)
const sameReference = (a: ReferenceUse, b: ReferenceUse) =>
  a.reference === b.reference && a.role === b.role && a.strength === b.strength

/**
 * The edit from `before` to `after`, given how the text changed. Without
 * `changes`, the smallest single replacement that explains the two texts.
 */
export function editBetween(before: Draft, after: Draft, changes: TextChange[] = textChangeBetween(before.text, after.text)): Edit {
  const edit: Edit = {}
  if (changes.length) edit.text = changes
  const moved = mapMarks(before.marks, changes)
  const remove = marksWithout(moved, after.marks)
  const add = marksWithout(after.marks, moved)
  if (remove.length || add.length) edit.marks = { remove, add }
  const leaveOut = spliceBetween(before.leaveOut, after.leaveOut, same)
  if (leaveOut) edit.leaveOut = leaveOut
  const settings: NonNullable<Edit['settings']> = {}
  for (const key of Object.keys(before.settings)) if (!(key in after.settings)) settings[key] = null
  for (const [key, value] of Object.entries(after.settings)) if (before.settings[key] !== value) settings[key] = value
  if (Object.keys(settings).length) edit.settings = settings
  const engines = spliceBetween(before.engines, after.engines, sameEngine)
  if (engines) edit.engines = engines
  const references = spliceBetween(before.references, after.references, sameReference)
  if (references) edit.references = references
  return edit
}

export const isEmptyEdit = (edit: Edit): boolean => Object.keys(edit).length === 0

/** The single replacement between two texts, by what they share at either end. */
export function textChangeBetween(before: string, after: string): TextChange[] {
  const splice = spliceBetween(before.split(''), after.split(''), same)
  if (!splice) return []
  return [{ from: splice.at, to: splice.at + splice.remove, insert: splice.insert.join('') }]
}

/** True when nothing that a version keeps differs. */
export function sameVersion(a: VersionBody, b: VersionBody): boolean {
  const whole = (body: VersionBody): Draft => ({ ...emptyDraft(), ...versionBodyOf(body) })
  return isEmptyEdit(editBetween(whole(a), whole(b)))
}
