import type { Reading, TextChange } from '@idolon/core'
import type { FixedFacet } from '@idolon/core/reader'

/** To the worker: a whole text, or what changed in the text of an earlier message; each has the revision it makes. */
export type ToWorker =
  | { type: 'text'; revision: number; text: string; fixed: readonly FixedFacet[] }
  | { type: 'edit'; revision: number; base: number; changes: TextChange[]; fixed: readonly FixedFacet[] }

/** From the worker: that it can read, what it read, or that it has not the text an edit was made on. */
export type FromWorker = { type: 'ready' } | { type: 'reading'; revision: number; reading: Reading } | { type: 'behind'; revision: number }
