import { type Extension, StateEffect, StateField } from '@codemirror/state'
import { Decoration, type DecorationSet, EditorView, WidgetType } from '@codemirror/view'
import type { TextRange } from '@idolon/core'

/** Shows which ranges of the text the engine does not read. */
export const showCut = StateEffect.define<readonly TextRange[]>()

class ReadsToHere extends WidgetType {
  override eq(): boolean {
    return true
  }
  override toDOM(): HTMLElement {
    const note = document.createElement('span')
    note.className = 'cm-reads-to-here'
    note.textContent = 'reads to here'
    return note
  }
}
const note = Decoration.widget({ widget: new ReadsToHere(), side: -1 })
const past = Decoration.mark({ class: 'cm-past' })

const cut = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(shown, tr) {
    let next = shown.map(tr.changes)
    for (const effect of tr.effects) {
      if (!effect.is(showCut)) continue
      const ranges = effect.value.filter(({ start, end }) => start < end && end <= tr.newDoc.length)
      const [first] = ranges
      next = Decoration.set([...(first ? [note.range(first.start)] : []), ...ranges.map(({ start, end }) => past.range(start, end))], true)
    }
    return next
  },
  provide: (field) => EditorView.decorations.from(field),
})

export const cutMark: Extension = cut
