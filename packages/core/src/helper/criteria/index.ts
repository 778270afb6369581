import { type Static, Type } from '@sinclair/typebox'
import type { Judged, Verdict } from './criterion.ts'
import { Distinct, distinct } from './distinct.ts'
import { FacetsPresent, facetsPresent } from './facets-present.ts'
import { FirstAnswerValid, firstAnswerValid } from './first-answer-valid.ts'
import { LockedKept, lockedKept } from './locked-kept.ts'
import { LengthWithin, lengthWithin } from './length-within.ts'
import { NearExample, nearExample } from './near-example.ts'
import { NoStops, noStops } from './no-stops.ts'
import { Says, says } from './says.ts'

/** What a good answer to a case must satisfy, measured. */
export const Criterion = Type.Union([FacetsPresent, LockedKept, LengthWithin, NoStops, Distinct, NearExample, FirstAnswerValid, Says], { title: 'Criterion' })
export type Criterion = Static<typeof Criterion>
export type CriterionKind = Criterion['kind']

const JUDGES: { [K in CriterionKind]: (criterion: Extract<Criterion, { kind: K }>, judged: Judged) => Verdict } = {
  'facets-present': facetsPresent,
  'locked-kept': lockedKept,
  'length-within': lengthWithin,
  'no-stops': noStops,
  distinct,
  'near-example': nearExample,
  'first-answer-valid': firstAnswerValid,
  says,
}

/** Judges an answer by one criterion. An answer that could not be used passes none. */
export function judge(criterion: Criterion, judged: Judged): Verdict {
  if (judged.value === undefined) return { pass: false, says: 'No answer could be used.' }
  return (JUDGES[criterion.kind] as (one: Criterion, judged: Judged) => Verdict)(criterion, judged)
}
