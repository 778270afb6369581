import type { Finding } from '../../check/finding.ts'
import type { Draft } from '../../draft/shape.ts'
import type { Reading } from '../../read/reading.ts'
import type { AnswerKind } from '../helper.ts'

/** An answer to a case with what is needed to judge it. */
export interface Judged {
  kind: AnswerKind
  /** The draft that the case is about. */
  draft: Draft
  /** The answer's own value; undefined when none could be used. */
  value: unknown
  /** The draft as the answer would have it, where it says a whole prompt. */
  proposed: Draft | undefined
  /** What the answer offers: one prompt, or each idea, alternative or entry. */
  texts: readonly string[]
  /** How many answers it took, and what had to be mended in the one that was used. */
  tries: number
  mended: readonly string[]
  read: (text: string) => Reading
  /** What the checks find in a draft, for the engine and the house rules of the case. */
  find: (draft: Draft) => readonly Finding[]
  /** Whether two texts ask for nearly the same picture. */
  near: (a: string, b: string) => boolean
}

/** Passed or not, with a sentence that says what was seen. */
export interface Verdict {
  pass: boolean
  says: string
}
