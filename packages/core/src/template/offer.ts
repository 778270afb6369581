import type { Draft } from '../draft/shape.ts'
import type { Edit } from '../draft/edit-shape.ts'
import { editBetween, isEmptyEdit } from '../draft/edit.ts'
import { addMark } from '../draft/mark.ts'
import type { Mark } from '../draft/mark-shape.ts'
import { changesBetween, rebaseEdit } from '../draft/rebase.ts'
import type { Facet } from '../facet.ts'
import type { Filled } from './fill/fill.ts'

/** What a draft is filled from: a template, and in which version. */
export interface FilledFrom {
  id: string
  version: number
}

/** A draft's part that a template gives: its text with a mark on every value, and what is left out. */
export function filledDraft<D extends Pick<Draft, 'text' | 'marks' | 'leaveOut'>>(draft: D, { text, slots }: Filled, leaveOut: readonly string[], from: FilledFrom): D {
  const marks = slots.filter((slot) => slot.to > slot.from).reduce<Mark[]>((all, slot) => addMark(all, { from: slot.from, to: slot.to, kind: 'from', source: { type: 'slot', id: `${from.id} ${slot.slot}`, version: from.version } }), [])
  return { ...draft, text, marks, leaveOut: [...new Set([...draft.leaveOut, ...leaveOut])] }
}

/** A draft in which values have the facet that their slot says, where the reading `reads` would take them for another. */
export function withFacetsOfSlots<D extends Pick<Draft, 'text' | 'marks'>>(draft: D, { slots }: Filled, facetOf: (slot: string) => Facet | undefined, reads: (from: number, to: number) => Facet | undefined): D {
  const marks = slots.reduce((all, { slot, from, to }) => {
    const facet = facetOf(slot)
    return facet && to > from && reads(from, to) !== facet ? addMark(all, { from, to, kind: 'facet', facet }) : all
  }, draft.marks)
  return { ...draft, marks }
}

/**
 * What a changed template changes in a draft that was made from an older version of it: `before` and `after` are what the two versions
 * give with the draft's values. Undefined where the draft says otherwise by now what the template changed; an empty edit where it changes nothing.
 */
export function offeredEdit(before: Draft, after: Draft, now: Draft): Edit | undefined {
  const change = editBetween(before, after, changesBetween(before.text, after.text))
  if (isEmptyEdit(change)) return {}
  // What came with the template and was kept is met by words, not by place.
  return rebaseEdit(before, change, now)
}
