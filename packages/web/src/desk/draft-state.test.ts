import { redo, undo } from '@codemirror/commands'
import { EditorState, type TransactionSpec } from '@codemirror/state'
import { applyEdit, type Draft, type Edit, emptyDraft, MAX_TEXT } from '@idolon/core'
import { describe, expect, it } from 'vitest'
import { draftExtensions, draftOf, editOf, onTooLong, transactionFor } from './draft-state.ts'

function editing(draft: Draft, more: Parameters<typeof onTooLong.of>[0] = () => undefined) {
  let state = EditorState.create({ doc: draft.text, extensions: [draftExtensions(draft), onTooLong.of(more)] })
  const edits: Edit[] = []
  const dispatch = (tr: ReturnType<EditorState['update']>) => {
    edits.push(editOf(tr))
    state = tr.state
  }
  return {
    edits,
    now: () => draftOf(state),
    apply: (spec: TransactionSpec) => dispatch(state.update(spec)),
    undo: () => undo({ state, dispatch }),
    redo: () => redo({ state, dispatch }),
  }
}

const start: Draft = { ...emptyDraft(), text: 'a red fox at dusk', marks: [{ from: 2, to: 9, kind: 'locked' }], leaveOut: ['people'], settings: { count: 4 } }

describe('a draft in the editor', () => {
  it('undoes text, marks, list and settings in one history, step by step', () => {
    const editor = editing(start)
    const stages = [editor.now()]
    const edits: Edit[] = [
      { text: [{ from: 0, to: 1, insert: 'one small' }] },
      { leaveOut: { at: 1, remove: 0, insert: ['text'] } },
      { settings: { seed: 7 } },
      { marks: { remove: [], add: [{ from: 10, to: 13, kind: 'emphasis', level: 2 }] } },
      { text: [{ from: 8, to: 15, insert: '' }] },
    ]
    for (const edit of edits) {
      editor.apply(transactionFor(edit))
      stages.push(editor.now())
    }
    for (const stage of stages.slice(0, -1).reverse()) {
      editor.undo()
      expect(editor.now()).toEqual(stage)
    }
    for (const stage of stages.slice(1)) {
      editor.redo()
      expect(editor.now()).toEqual(stage)
    }
  })

  it('gives edits that make the same draft elsewhere', () => {
    const editor = editing(start)
    editor.apply(transactionFor({ text: [{ from: 6, to: 9, insert: 'hare' }], settings: { count: 2 } }))
    editor.apply({ changes: { from: 0, insert: 'Look: ' } })
    editor.undo()
    editor.undo()
    editor.redo()
    expect(editor.edits.reduce(applyEdit, start)).toEqual(editor.now())
  })

  it('keeps what is there when a paste would be too long, and says so', () => {
    let told = 0
    const editor = editing(start, () => told++)
    editor.apply({ changes: { from: 0, insert: 'x'.repeat(MAX_TEXT) } })
    expect(editor.now()).toEqual(start)
    expect(told).toBe(1)
  })
})
