import { type Extension, StateEffect } from '@codemirror/state'
import { Decoration } from '@codemirror/view'
import type { Finding } from '@idolon/core'
import { liesIn, shownOver } from './shown-over.ts'

/** Shows where findings lie in the text. */
export const showFindings = StateEffect.define<readonly Finding[]>()
const MARKS = { stop: Decoration.mark({ class: 'cm-found cm-found-stop' }), caution: Decoration.mark({ class: 'cm-found' }), tip: undefined }

export const findingMarks: Extension = shownOver(showFindings, (findings, length) =>
  findings.flatMap(({ severity, where, with: other }) => {
    const mark = MARKS[severity]
    return [where, other].flatMap((place) => (mark && place?.in === 'text' && liesIn(place, length) ? [mark.range(place.start, place.end)] : []))
  }),
)
