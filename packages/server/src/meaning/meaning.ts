import type { Close } from './vector-table.ts'

/** What is looked for: a text, or what the draft of a prompt says. */
export type Wanted = { text: string } | { prompt: string }

/** How much of what is close is wanted. */
export interface Nearest {
  most: number
  /** Cosine that something has at least, -1 to 1. */
  least: number
  /** Only of these. */
  among?: readonly string[]
}

/** What texts mean, and which prompts are closest. */
export interface Meaning {
  /** A vector of 512 numbers for each text, -127 to 127; all 0 for a text of nothing. */
  vectors: (texts: readonly string[]) => Promise<Int8Array[]>
  /** The prompts closest to what is wanted, the closest first, without the one that was asked by. */
  closest: (wanted: Wanted, nearest: Nearest) => Promise<Close[]>
  close: () => Promise<void>
}
