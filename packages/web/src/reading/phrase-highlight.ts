import { type Extension, StateEffect, StateField } from '@codemirror/state'
import { Decoration, type DecorationSet, EditorView } from '@codemirror/view'
import type { TextRange } from '@idolon/core'

/** Shows a range of the text as the one that is meant; undefined for none. */
export const pointAt = StateEffect.define<TextRange | undefined>()
const mark = Decoration.mark({ class: 'cm-pointed' })

const pointed = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(shown, tr) {
    let next = shown.map(tr.changes)
    for (const effect of tr.effects) {
      if (!effect.is(pointAt)) continue
      const range = effect.value
      next = range && range.end > range.start && range.end <= tr.newDoc.length ? Decoration.set([mark.range(range.start, range.end)]) : Decoration.none
    }
    return next
  },
  provide: (field) => EditorView.decorations.from(field),
})

export const phraseHighlight: Extension = pointed
