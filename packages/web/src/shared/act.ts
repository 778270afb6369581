/** Something that is done with the thing at hand, from its menu; what Go to offers as well has `words`. */
export interface Act {
  name: string
  says?: string
  icon: string
  /** Other words people use for it; found by Go to, not shown. */
  words?: string
  disabled?: boolean
  /** Stands last, apart from the others: it takes something away. */
  last?: boolean
  /** A file that is downloaded, or a page that is gone to. */
  href?: string
  run?: () => void
}
