import type { TSchema } from '@sinclair/typebox'

/** One shape an answer may have. */
export interface AnswerShape<Value = unknown> {
  /** What a model is held to, as JSON Schema. */
  schema: TSchema
  /** What it is, in a sentence of its own for whoever writes an instruction. */
  says: string
  /** The property that a bare string or list stands for, where a model leaves its object away. */
  bare?: string
  /** All prose in it, for what is looked at in any language. */
  prose: (value: Value) => string[]
  /** The same value with every text cleaned. */
  cleaned: (value: Value, clean: (text: string) => string) => Value
}
