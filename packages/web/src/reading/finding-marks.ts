import { type Extension, StateEffect, StateField } from '@codemirror/state'
import { Decoration, type DecorationSet, EditorView } from '@codemirror/view'
import type { Finding } from '@idolon/core'

/** Shows where findings lie in the text. */
export const showFindings = StateEffect.define<readonly Finding[]>()
const MARKS = { stop: Decoration.mark({ class: 'cm-found cm-found-stop' }), caution: Decoration.mark({ class: 'cm-found' }), tip: undefined }

const found = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(shown, tr) {
    let next = shown.map(tr.changes)
    for (const effect of tr.effects) {
      if (!effect.is(showFindings)) continue
      const ranges = effect.value.flatMap(({ severity, where, with: other }) =>
        [where, other].flatMap((place) => {
          const mark = MARKS[severity]
          return mark && place?.in === 'text' && place.start < place.end && place.end <= tr.newDoc.length ? [mark.range(place.start, place.end)] : []
        }),
      )
      next = Decoration.set(ranges, true)
    }
    return next
  },
  provide: (field) => EditorView.decorations.from(field),
})

export const findingMarks: Extension = found
