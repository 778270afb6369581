import { Type, type Static } from '@sinclair/typebox'
import { Id } from './primitives.ts'

/** What the event stream at /api/events says: something changed; read it again. */
export const ChangeEvent = Type.Object(
  {
    kind: Type.Union([Type.Literal('proof'), Type.Literal('run'), Type.Literal('prompt'), Type.Literal('draft'), Type.Literal('project'), Type.Literal('engines'), Type.Literal('terms'), Type.Literal('judgements'), Type.Literal('asides'), Type.Literal('bin'), Type.Literal('models'), Type.Literal('helpers'), Type.Literal('turn'), Type.Literal('case-run'), Type.Literal('reference'), Type.Literal('templates'), Type.Literal('writing-styles'), Type.Literal('import'), Type.Literal('parts'), Type.Literal('series'), Type.Literal('delivery')]),
    projectId: Type.Optional(Id),
    promptId: Type.Optional(Id),
    runId: Type.Optional(Id),
    proofId: Type.Optional(Id),
    turnId: Type.Optional(Id),
    caseRunId: Type.Optional(Id),
    referenceId: Type.Optional(Id),
    importId: Type.Optional(Id),
    seriesId: Type.Optional(Id),
    deliveryId: Type.Optional(Id),
    done: Type.Optional(Type.Integer()),
    of: Type.Optional(Type.Integer()),
    revision: Type.Optional(Type.Integer()),
    client: Type.Optional(Id),
  },
  { title: 'ChangeEvent' },
)
export type ChangeEvent = Static<typeof ChangeEvent>
