import { Criterion } from '@idolon/core/helper'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull } from './primitives.ts'
import { route } from './route.ts'
import { TurnState } from './turn.ts'

/** A version with a model: what the cases are run on. */
export const CaseSide = Type.Object({ version: Type.Integer({ minimum: 1 }), model: Type.String({ minLength: 1, maxLength: 60 }) }, { title: 'CaseSide', additionalProperties: false })
export type CaseSide = Static<typeof CaseSide>

/** What one case came to on one side. */
export const CaseResult = Type.Object(
  {
    caseId: Id,
    caseName: Type.String(),
    side: Type.Integer({ minimum: 0 }),
    turnId: Id,
    state: TurnState,
    passed: orNull(Type.Boolean({ description: 'All criteria; null until it is judged.' })),
    verdicts: Type.Array(Type.Object({ criterion: Criterion, pass: Type.Boolean(), says: Type.String() })),
    problem: orNull(Type.String()),
    answer: Type.String({ description: 'The answer as it came.' }),
    cost: orNull(Type.Integer()),
    tookMs: orNull(Type.Integer()),
  },
  { title: 'CaseResult' },
)
export type CaseResult = Static<typeof CaseResult>

export const CaseRun = Type.Object(
  { id: Id, helperId: Type.String(), projectId: Id, sides: Type.Array(CaseSide), askedAt: Instant, stoppedAt: orNull(Instant), unit: Type.String(), results: Type.Array(CaseResult) },
  { title: 'CaseRun' },
)
export type CaseRun = Static<typeof CaseRun>

const params = Type.Object({ run: Id }, closed)
export const startCaseRun = route({
  id: 'startCaseRun',
  method: 'post',
  path: '/api/helpers/:helper/case-runs',
  summary: 'Runs all cases of a helper on one or two versions or models. Its whole cost is set aside before it begins.',
  params: Type.Object({ helper: Type.String({ minLength: 1, maxLength: 60 }) }, closed),
  body: Type.Object({ id: Id, projectId: Id, sides: Type.Array(CaseSide, { minItems: 1, maxItems: 2 }), seed: Type.Integer({ minimum: 0, maximum: 2 ** 31 - 1 }) }, closed),
  answer: CaseRun,
  status: 201,
})
export const listCaseRuns = route({ id: 'listCaseRuns', method: 'get', path: '/api/helpers/:helper/case-runs', summary: 'The newest runs of a helper’s cases.', params: Type.Object({ helper: Type.String({ minLength: 1, maxLength: 60 }) }, closed), answer: Type.Array(CaseRun) })
export const readCaseRun = route({ id: 'readCaseRun', method: 'get', path: '/api/case-runs/:run', summary: 'A run of cases as it stands.', params, answer: CaseRun })
export const stopCaseRun = route({ id: 'stopCaseRun', method: 'post', path: '/api/case-runs/:run/stop', summary: 'Stops a run of cases; what is answered already is kept.', params, answer: CaseRun })
