import type { Facet } from '../facet.ts'

/** The kinds of thing in which two makings of a picture differ. */
export type DifferenceKind = 'phrase' | 'emphasis' | 'off' | 'leave-out' | 'setting' | 'seed' | 'engine' | 'reference' | 'small'

/**
 * One unit in which two makings differ. What is `small` (spacing, a capital, an article, a waived check, the order of a
 * list) shows in no picture and is not counted; it is listed so that the list is exact.
 */
export interface Difference {
  kind: DifferenceKind
  change: 'added' | 'removed' | 'changed' | 'moved'
  facet?: Facet
  /** What it is in the first and in the second, in words; a setting's key comes before its value. */
  a?: string
  b?: string
}

/** Whether a difference counts as a change of the picture. */
export const counts = ({ kind }: Difference): boolean => kind !== 'small'
