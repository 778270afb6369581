import { EngineChoice, MAX_SEED, settingKey, Settings, SettingValue } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull, Sha256 } from './primitives.ts'
import { Amount } from './project.ts'
import { Proof } from './proof.ts'
import { route } from './route.ts'

export const Run = Type.Object(
  {
    id: Id,
    promptId: Id,
    projectId: Id,
    promptTitle: Type.String(),
    versionId: Id,
    version: Type.Integer(),
    revision: Type.Integer({ description: "The draft's revision that was on the screen." }),
    engines: Type.Array(EngineChoice),
    settings: Settings,
    changes: Type.Array(Type.String({ description: 'What changed from the run before: engines and settings.' })),
    askedAt: Instant,
    stoppedAt: orNull(Instant),
    byHand: Type.Boolean({ description: 'Waits for pictures made elsewhere to be imported; stopping it ends that.' }),
    sweep: orNull(Type.Object({ key: Type.String(), values: Type.Array(SettingValue) })),
    trialId: orNull(Id),
    cost: Type.Array(Amount),
    proofs: Type.Array(Proof),
  },
  { title: 'Run' },
)
export type Run = Static<typeof Run>

const ofPrompt = Type.Object({ prompt: Id }, closed)
const params = Type.Object({ run: Id }, closed)

export const startRun = route({
  id: 'startRun',
  method: 'post',
  path: '/api/prompts/:prompt/runs',
  summary: 'Freezes the draft as a version and asks its engines for proofs. Refused when the draft is no longer at that revision. The run has the id given: asking twice makes one.',
  params: ofPrompt,
  body: Type.Object(
    {
      id: Id,
      revision: Type.Integer({ minimum: 0 }),
      seed: Type.Optional(orNull(Type.Integer({ minimum: 0, maximum: MAX_SEED, description: "Of the first result of each engine, instead of the draft's; null: a new one." }))),
      sweep: Type.Optional(Type.Object({ key: settingKey, values: Type.Array(SettingValue, { minItems: 2, maxItems: 12 }) }, { ...closed, description: 'One setting at each of these values, everything else and the seeds alike.' })),
      byHand: Type.Optional(Type.Object({ engine: EngineChoice }, { ...closed, description: 'Nothing is asked for: the run waits for pictures of this engine to be imported.' })),
    },
    closed,
  ),
  answer: Run,
  status: 201,
})
export const listRuns = route({
  id: 'listRuns',
  method: 'get',
  path: '/api/prompts/:prompt/runs',
  summary: 'Runs of a prompt with their proofs, newest first.',
  params: ofPrompt,
  query: Type.Object({ limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })) }, closed),
  answer: Type.Array(Run),
})
export const recentRuns = route({
  id: 'recentRuns',
  method: 'get',
  path: '/api/runs',
  summary: 'Runs of a project, or of all, with their proofs, newest first.',
  query: Type.Object(
    { project: Type.Optional(Id), limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 100 })), offset: Type.Optional(Type.Integer({ minimum: 0 })) },
    closed,
  ),
  answer: Type.Array(Run),
})
export const readRun = route({
  id: 'readRun',
  method: 'get',
  path: '/api/runs/:run',
  summary: 'One run with its proofs.',
  params,
  answer: Run,
})
export const ImportedPicture = Type.Object(
  { sha256: Sha256, seed: Type.Optional(orNull(Type.Integer({ minimum: 0, maximum: Number.MAX_SAFE_INTEGER }))), settings: Type.Optional(Settings) },
  { title: 'ImportedPicture', additionalProperties: false },
)
export type ImportedPicture = Static<typeof ImportedPicture>
export const importPictures = route({
  id: 'importPictures',
  method: 'post',
  path: '/api/runs/:run/pictures',
  summary: "Pictures made elsewhere join a run that waits for them, at the cost of the engine's profile. A picture that the run has already is not added again.",
  params,
  body: Type.Object({ pictures: Type.Array(ImportedPicture, { minItems: 1, maxItems: 100 }) }, closed),
  answer: Run,
})
export const stopRun = route({
  id: 'stopRun',
  method: 'post',
  path: '/api/runs/:run/stop',
  summary: 'Stops what has not come back yet. What is there stays.',
  params,
  answer: Run,
})
