import { type Extension, StateEffect } from '@codemirror/state'
import { Decoration, WidgetType } from '@codemirror/view'
import type { TextRange } from '@idolon/core'
import { liesIn, shownOver } from './shown-over.ts'

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

export const cutMark: Extension = shownOver(showCut, (cut, length) => {
  const ranges = cut.filter((range) => liesIn(range, length))
  const [first] = ranges
  return [...(first ? [note.range(first.start)] : []), ...ranges.map(({ start, end }) => past.range(start, end))]
})
