import { EngineChoice, Fault, Settings, VersionBody } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull, plainText } from './primitives.ts'
import { Amount } from './project.ts'
import { Proof } from './proof.ts'
import { route } from './route.ts'

/** A frozen making of a prompt; never altered but for the writer's line on why. */
export const Version = Type.Object(
  {
    id: Id,
    promptId: Id,
    number: Type.Integer({ minimum: 1 }),
    parent: orNull(Type.Integer({ minimum: 1 })),
    body: VersionBody,
    changes: Type.Array(Type.String({ description: 'What changed from the parent, a few words each.' })),
    why: Type.String(),
    createdAt: Instant,
    lastRun: orNull(Type.Object({ engines: Type.Array(EngineChoice), settings: Settings })),
    bestProof: orNull(Proof),
    proofs: Type.Integer(),
    keepers: Type.Integer(),
    maybes: Type.Integer(),
    dropped: Type.Integer(),
    faults: Type.Array(Type.Object({ fault: Fault, count: Type.Integer() }), { description: 'The faults of its proofs, the most frequent first.' }),
    cost: Type.Array(Amount),
    triedWith: Type.Array(Type.String({ description: 'The engines of its runs, each once.' })),
  },
  { title: 'Version' },
)
export type Version = Static<typeof Version>

export const listVersions = route({
  id: 'listVersions',
  method: 'get',
  path: '/api/prompts/:prompt/versions',
  summary: 'All versions of a prompt, newest first.',
  params: Type.Object({ prompt: Id }, closed),
  answer: Type.Array(Version),
})
export const changeVersion = route({
  id: 'changeVersion',
  method: 'patch',
  path: '/api/versions/:version',
  summary: 'Writes down why the version was made.',
  params: Type.Object({ version: Id }, closed),
  body: Type.Object({ why: plainText(500) }, closed),
  answer: Version,
})
