import { EditorState } from '@codemirror/state'
import { EditorView } from '@codemirror/view'
import { applyEdit, type Draft, type Edit, editBetween, fixedFacetsOf } from '@idolon/core'
import { computed, ref, shallowRef } from 'vue'
import { ReadingClient } from '../reading/reading-client.ts'
import { readingHere } from '../reading/reader.test-support.ts'
import { aDraft } from '../testing.test-support.ts'
import type { DraftSession } from './draft-session.ts'

/** A draft that is written, without an editor or a server: edits are made at once, and read by the tables that ship. */
export function aSession(text: string, more: Partial<Draft> = {}) {
  const draft = shallowRef<Draft>(aDraft(text, more))
  const past = shallowRef<Draft[]>([])
  const reading = new ReadingClient(readingHere)
  const read = () => reading.update(draft.value.text, fixedFacetsOf(draft.value.marks))
  const set = (next: Draft) => {
    draft.value = next
    read()
  }
  const apply = (edit: Edit) => {
    past.value = [...past.value, draft.value]
    set(applyEdit(draft.value, edit))
  }
  read()
  const session = {
    draft,
    reading,
    caret: ref(0),
    conflict: shallowRef(),
    view: new EditorView({ state: EditorState.create({ doc: text }) }),
    apply,
    change: (next: Partial<Draft>) => apply(editBetween(draft.value, { ...draft.value, ...next })),
    undo: () => {
      const before = past.value.at(-1)
      past.value = past.value.slice(0, -1)
      if (before) set(before)
      return before !== undefined
    },
    redo: () => false,
    canUndo: computed(() => past.value.length > 0),
    canRedo: ref(false),
    saveState: ref('saved'),
    saver: { savedAt: ref('2026-01-01T10:00:00Z'), keptLocally: ref(true) },
  }
  return session as unknown as DraftSession & { draft: typeof draft }
}
