import { type Static, Type } from '@sinclair/typebox'
import type { Judged, Verdict } from './criterion.ts'

export const NoStops = Type.Object({ kind: Type.Literal('no-stops') }, { additionalProperties: false })

/** The checks find nothing in the prompt that would waste a try. */
export function noStops(_: Static<typeof NoStops>, { draft, proposed, texts, find }: Judged): Verdict {
  const drafts = proposed ? [proposed] : texts.map((text) => ({ ...draft, text, marks: [] }))
  const stop = drafts.flatMap((one) => find(one)).find(({ severity }) => severity === 'stop')
  return stop ? { pass: false, says: stop.reason } : { pass: true, says: 'The checks find no stop.' }
}
