/** Something that is done with a whole prompt, from the menu at its title or by Go to. */
export interface PromptAct {
  name: string
  says?: string
  icon: string
  /** Other words people use for it; found by Go to, not shown. */
  words: string
  disabled?: boolean
  /** Stands last, apart from the others: it takes something away. */
  last?: boolean
  run: () => void
}
