import { Type, type Static } from '@sinclair/typebox'
import { Draft } from '../draft/shape.ts'

/** A prompt as it leaves Idolon: what is known of it, and its draft. */
export const PromptRecord = Type.Object(
  {
    title: Type.String({ maxLength: 200 }),
    project: Type.String({ maxLength: 120 }),
    status: Type.Union([Type.Literal('rough'), Type.Literal('testing'), Type.Literal('proven'), Type.Literal('retired')]),
    tags: Type.Array(Type.String({ minLength: 1, maxLength: 60 }), { maxItems: 60 }),
    note: Type.String({ maxLength: 10_000 }),
    proofs: Type.Integer({ minimum: 0 }),
    keepers: Type.Integer({ minimum: 0 }),
    draft: Draft,
  },
  { title: 'PromptRecord', additionalProperties: false },
)
export type PromptRecord = Static<typeof PromptRecord>

/** A way to write prompts into a file: what comes first, each prompt in turn, what comes last. */
export interface WritingFormat {
  id: 'csv' | 'json' | 'markdown'
  ending: string
  type: string
  begin: string
  prompt: (record: PromptRecord, index: number) => string
  end: string
}
