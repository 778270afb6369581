import { type Range, type StateEffectType, StateField } from '@codemirror/state'
import { Decoration, type DecorationSet, EditorView } from '@codemirror/view'

/** Whether a range lies in a text of so many code units, and is not empty. */
export const liesIn = ({ start, end }: { start: number; end: number }, length: number): boolean => start < end && end <= length

/** What an effect last showed over the text; it moves with the text until the next. */
export const shownOver = <T>(effect: StateEffectType<T>, decorate: (value: T, length: number) => Range<Decoration>[]) =>
  StateField.define<DecorationSet>({
    create: () => Decoration.none,
    update(shown, tr) {
      let next = shown.map(tr.changes)
      for (const one of tr.effects) if (one.is(effect)) next = Decoration.set(decorate(one.value, tr.newDoc.length), true)
      return next
    },
    provide: (field) => EditorView.decorations.from(field),
  })
