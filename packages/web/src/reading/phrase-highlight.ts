import { type Extension, StateEffect } from '@codemirror/state'
import { Decoration } from '@codemirror/view'
import type { TextRange } from '@idolon/core'
import { liesIn, shownOver } from './shown-over.ts'

/** Shows a range of the text as the one that is meant; undefined for none. */
export const pointAt = StateEffect.define<TextRange | undefined>()
const mark = Decoration.mark({ class: 'cm-pointed' })

export const phraseHighlight: Extension = shownOver(pointAt, (range, length) => (range && liesIn(range, length) ? [mark.range(range.start, range.end)] : []))
