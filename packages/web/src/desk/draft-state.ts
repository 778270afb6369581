import { history, invertedEffects, isolateHistory } from '@codemirror/commands'
import { Annotation, type ChangeSet, EditorState, type Extension, Facet, StateEffect, StateField, Transaction, type TransactionSpec } from '@codemirror/state'
import { Decoration, EditorView } from '@codemirror/view'
import { applyEdit, type Draft, type Edit, editBetween, isEmptyEdit, mapMarks, MAX_TEXT, type TextChange } from '@idolon/core'

type Rest = Omit<Draft, 'text'>
type RestEdit = Omit<Edit, 'text'>

/** The editor's changes as core's: the same values, so that both map marks alike. */
export function textChanges(changes: ChangeSet): TextChange[] {
  const list: TextChange[] = []
  changes.iterChanges((from, to, _fromB, _toB, insert) => list.push({ from, to, insert: insert.toString() }))
  return list
}

/** Changes everything of a draft but its text; its ranges speak of the text after the transaction. */
const changeRest = StateEffect.define<RestEdit>({
  map: (edit, mapping) => {
    if (!edit.marks) return edit
    const changes: TextChange[] = []
    mapping.iterChangedRanges?.((from, to, fromB, toB) => changes.push({ from, to, insert: ' '.repeat(toB - fromB) }))
    return { ...edit, marks: { remove: mapMarks(edit.marks.remove, changes), add: mapMarks(edit.marks.add, changes) } }
  },
})

/** The text's length, as applying an edit to the rest alone needs to know it. */
const asDraft = (rest: Rest, text: string): Draft => ({ ...rest, text })

const restField = StateField.define<Rest>({
  create: () => ({ marks: [], leaveOut: [], settings: {}, engines: [], references: [] }),
  update(rest, tr) {
    let next = tr.docChanged ? { ...rest, marks: mapMarks(rest.marks, textChanges(tr.changes)) } : rest
    for (const effect of tr.effects) {
      if (!effect.is(changeRest)) continue
      const { text: _text, ...changed } = applyEdit(asDraft(next, tr.newDoc.toString()), effect.value)
      next = changed
    }
    return next
  },
})

export const draftOf = (state: EditorState): Draft => ({ text: state.doc.toString(), ...state.field(restField) })

/** Switched-off phrases are struck through in the text; nothing else of the marks is drawn there. */
const struck = Decoration.mark({ class: 'cm-off' })
const showOff = EditorView.decorations.compute([restField], (state) =>
  Decoration.set(state.field(restField).marks.filter(({ kind, to }) => kind === 'off' && to <= state.doc.length).map(({ from, to }) => struck.range(from, to))),
)

/** Undo of the rest goes through the same history as undo of the text. */
const undoRest = invertedEffects.of((tr) => {
  if (!tr.docChanged && !tr.effects.some((effect) => effect.is(changeRest))) return []
  const back = textChanges(tr.changes.invert(tr.startState.doc))
  const { text: _text, ...rest } = editBetween(draftOf(tr.state), draftOf(tr.startState), back)
  return isEmptyEdit(rest) ? [] : [changeRest.of(rest)]
})

/** Marks a transaction that brings what the server already has; it is not sent again. */
export const fromServer = Annotation.define<boolean>()

/** An edit as one transaction of the editor, and one step of undo. */
export function transactionFor(edit: Edit, more: TransactionSpec = {}): TransactionSpec {
  const { text, ...rest } = edit
  const { annotations, ...other } = more
  return {
    ...(text ? { changes: text } : {}),
    effects: isEmptyEdit(rest) ? [] : [changeRest.of(rest)],
    annotations: [isolateHistory.of('full'), ...(Array.isArray(annotations) ? (annotations as Annotation<unknown>[]) : annotations ? [annotations as Annotation<unknown>] : [])],
    ...other,
  }
}

/** The edit a transaction made. */
export const editOf = (tr: Transaction): Edit => editBetween(draftOf(tr.startState), draftOf(tr.state), textChanges(tr.changes))

/** Told when a text was refused for its length. */
export const onTooLong = Facet.define<() => void>()

const withinLength = EditorState.transactionFilter.of((tr) => {
  if (!tr.docChanged || tr.newDoc.length <= MAX_TEXT || tr.newDoc.length < tr.startState.doc.length || tr.annotation(fromServer)) return tr
  for (const tell of tr.startState.facet(onTooLong)) tell()
  return []
})

/** What makes an editor hold a whole draft, with one history for all of it. */
export function draftExtensions(draft: Draft): Extension {
  const { text: _text, ...rest } = draft
  return [
    // A draft's offsets count every code unit, so only \n ends a line and nothing is rewritten.
    EditorState.lineSeparator.of('\n'),
    restField.init(() => rest),
    showOff,
    history({ newGroupDelay: 500 }),
    undoRest,
    withinLength,
  ]
}
