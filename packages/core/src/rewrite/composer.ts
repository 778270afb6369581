import type { Draft } from '../draft/shape.ts'
import type { Edit } from '../draft/edit-shape.ts'
import { editBetween } from '../draft/edit.ts'
import { addMark, sortMarks } from '../draft/mark.ts'
import type { Mark } from '../draft/mark-shape.ts'
import { changeText, mapMarks, type TextChange } from '../draft/text-change.ts'
import type { Facet } from '../facet.ts'
import type { TextRange } from '../text-range.ts'

/** A phrase that was taken over, where it lies now. */
export interface Taken extends TextRange {
  facet: Facet
  /** Where it stood in the draft. */
  from: TextRange
}

/** Writes a new text out of parts of a draft's; what is marked in a part stays marked wherever it goes. */
export class Composer {
  text = ''
  readonly taken: Taken[] = []
  #marks: Mark[] = []
  /** Where the words that lead to the next phrase begin. */
  #lead: number | undefined

  constructor(private readonly draft: Draft) {}

  say(words: string): void {
    this.text += words
    this.#lead = undefined
  }

  /** Words that lead to the phrase that comes next: when that is switched off, they are too. */
  lead(words: string): void {
    this.#lead ??= this.text.length
    this.text += words
  }

  /** Takes a range of the draft's text over, with changes inside it. */
  take(range: TextRange, changes: readonly TextChange[] = [], facet?: Facet): void {
    const start = this.text.length
    const lead = this.#lead ?? start
    this.#lead = undefined
    const inside = changes.map(({ from, to, insert }) => ({ from: from - range.start, to: to - range.start, insert }))
    const clipped = this.draft.marks
      .filter(({ from, to }) => from < range.end && to > range.start)
      .map((mark) => ({ ...mark, from: Math.max(0, mark.from - range.start), to: Math.min(range.end, mark.to) - range.start }))
    this.text += changeText(this.draft.text.slice(range.start, range.end), inside)
    const end = this.text.length
    for (const mark of clipped) {
      const whole = mark.from === 0 && mark.to === range.end - range.start
      const moved = whole ? { ...mark, to: end - start } : mapMarks([mark], inside)[0]
      if (moved) this.#marks.push({ ...moved, from: whole && mark.kind === 'off' ? lead : moved.from + start, to: moved.to + start })
    }
    if (facet) this.taken.push({ start, end, facet, from: { start: range.start, end: range.end } })
  }

  /** Marks that a phrase is of its facet, where a reading of the new text would say otherwise. */
  hold({ start, end, facet }: Taken): void {
    this.#marks = addMark(this.#marks, { from: start, to: end, kind: 'facet', facet })
  }

  get marks(): readonly Mark[] {
    return this.#marks
  }

  /** The draft's text replaced by what was written. */
  edit(): Edit {
    const changes = this.text === this.draft.text ? [] : [{ from: 0, to: this.draft.text.length, insert: this.text }]
    return editBetween(this.draft, { ...this.draft, text: this.text, marks: sortMarks(this.#marks) }, changes)
  }
}
