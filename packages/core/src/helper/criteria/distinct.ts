import { type Static, Type } from '@sinclair/typebox'
import { bareText } from '../../compare/plain-words.ts'
import type { Judged, Verdict } from './criterion.ts'

/** Answers that ask for a picture; of all others only the words can be the same. */
const PICTURES = new Set(['prompt', 'engine', 'facets', 'ideas'])

export const Distinct = Type.Object({ kind: Type.Literal('distinct'), count: Type.Optional(Type.Integer({ minimum: 1, maximum: 40 })) }, { additionalProperties: false })

/** No two of what is offered ask for nearly the same picture, and there are as many as were asked for. */
export function distinct({ count }: Static<typeof Distinct>, { kind, texts, near }: Judged): Verdict {
  const same = PICTURES.has(kind) ? near : (a: string, b: string) => bareText(a) === bareText(b)
  if (count !== undefined && texts.length < count) return { pass: false, says: `${texts.length} came; ${count} were asked for.` }
  for (const [i, a] of texts.entries()) for (const b of texts.slice(i + 1)) if (same(a, b)) return { pass: false, says: `“${a}” and “${b}” are nearly the same.` }
  return { pass: true, says: `${texts.length} came, no two nearly the same.` }
}
