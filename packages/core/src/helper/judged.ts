import type { Finding } from '../check/finding.ts'
import type { Draft } from '../draft/shape.ts'
import type { Reader } from '../read/reader.ts'
import type { Judged } from './criteria/criterion.ts'
import type { AnswerKind } from './helper.ts'
import { offeredTexts } from './offered-texts.ts'
import { type Proposed, proposedDraft } from './proposed-draft.ts'

/** What an answer is judged with: a reader, the checks, and a way to compare. */
export interface JudgingTools {
  reader: Reader
  find: (draft: Draft) => readonly Finding[]
  near: (a: string, b: string) => boolean
}

/** An answer to a helper about a draft, ready to be judged; `value` is undefined where none could be used. */
export function judgedOf(kind: AnswerKind, draft: Draft, answer: { value: unknown; mended: readonly string[]; tries: number }, { reader, find, near }: JudgingTools): { judged: Judged; proposed: Proposed | undefined } {
  const proposed = answer.value === undefined ? undefined : proposedDraft(draft, kind, answer.value, { reader })
  return {
    proposed,
    judged: {
      kind,
      draft,
      value: answer.value,
      proposed: proposed?.draft,
      texts: answer.value === undefined ? [] : offeredTexts(kind, answer.value),
      tries: answer.tries,
      mended: [...new Set([...answer.mended, ...(proposed?.mended ?? [])])],
      read: (text) => reader.read(text),
      find,
      near,
    },
  }
}
