import { Fault, Output } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { Amount } from './project.ts'
import { closed, Id, Instant, orNull, plainText, Sha256 } from './primitives.ts'
import { route } from './route.ts'

export const Verdict = Type.Union([Type.Literal('keep'), Type.Literal('maybe'), Type.Literal('drop')], { title: 'Verdict' })
export type Verdict = Static<typeof Verdict>

export const Picture = Type.Object(
  { sha256: Sha256, width: Type.Integer(), height: Type.Integer(), bytes: Type.Integer() },
  { title: 'Picture' },
)
export type Picture = Static<typeof Picture>

export const ProofState = Type.Union(
  [
    Type.Literal('asked'),
    Type.Literal('sent'),
    Type.Literal('stored'),
    Type.Literal('failed'),
    Type.Literal('unknown'),
    Type.Literal('stopped'),
  ],
  { title: 'ProofState', description: 'asked: waiting; sent: the engine has it; unknown: may have been charged, no answer was seen.' },
)
export type ProofState = Static<typeof ProofState>

const share = Type.Number({ minimum: 0, maximum: 1 })
/** Where a fault lies: a rectangle in shares of the picture's width and height, from its upper left corner. */
export const Region = Type.Object({ fault: Fault, x: share, y: share, width: share, height: share }, { title: 'Region', additionalProperties: false })
export type Region = Static<typeof Region>

/** One picture that came back, or is still to come, with all that made it. */
export const Proof = Type.Object(
  {
    id: Id,
    runId: Id,
    promptId: Id,
    projectId: Id,
    promptTitle: Type.String(),
    versionId: Id,
    version: Type.Integer({ description: 'Number of the version within its prompt.' }),
    engine: Type.Object({ id: Type.String(), name: Type.String(), revision: Type.String(), simulated: Type.Boolean() }),
    index: Type.Integer({ minimum: 0, description: 'Place within its engine in the run.' }),
    state: ProofState,
    reason: orNull(Type.String({ description: 'Why it failed, in a sentence.' })),
    picture: orNull(Picture),
    output: Output,
    seed: orNull(Type.Integer()),
    cost: orNull(Amount),
    tookMs: orNull(Type.Integer({ description: 'Milliseconds from sending to storing.' })),
    askedAt: Instant,
    storedAt: orNull(Instant),
    verdict: orNull(Verdict),
    faults: Type.Array(Fault),
    regions: Type.Array(Region),
    note: Type.String(),
    rank: orNull(Type.Integer({ minimum: 1, description: 'Among the judged proofs of its prompt, 1 the best.' })),
    parentId: orNull(Type.String({ description: 'The proof it started from.' })),
    imported: Type.Boolean({ description: 'Made elsewhere and imported by hand.' }),
  },
  { title: 'Proof' },
)
export type Proof = Static<typeof Proof>

const params = Type.Object({ proof: Id }, closed)

export const listProofs = route({
  id: 'listProofs',
  method: 'get',
  path: '/api/proofs',
  summary: 'Proofs, newest first.',
  query: Type.Object(
    {
      project: Type.Optional(Id),
      prompt: Type.Optional(Id),
      verdict: Type.Optional(Type.Union([Verdict, Type.Literal('none')])),
      limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 500 })),
      offset: Type.Optional(Type.Integer({ minimum: 0 })),
    },
    closed,
  ),
  answer: Type.Object({ proofs: Type.Array(Proof), total: Type.Integer() }),
})
export const readProof = route({
  id: 'readProof',
  method: 'get',
  path: '/api/proofs/:proof',
  summary: 'One proof with all that made it.',
  params,
  answer: Proof,
})
export const changeProof = route({
  id: 'changeProof',
  method: 'patch',
  path: '/api/proofs/:proof',
  summary: 'Sets the verdict, the faults and where they lie, or the note of a proof.',
  params,
  body: Type.Object(
    { verdict: Type.Optional(orNull(Verdict)), note: Type.Optional(plainText(4_000)), faults: Type.Optional(Type.Array(Fault, { maxItems: 8 })), regions: Type.Optional(Type.Array(Region, { maxItems: 40 })) },
    closed,
  ),
  answer: Proof,
})
export const changeProofs = route({
  id: 'changeProofs',
  method: 'post',
  path: '/api/proofs/change',
  summary: 'Sets a verdict, adds or takes away faults, or puts into the bin, on many proofs at once. Those without a picture get no verdict.',
  body: Type.Object(
    {
      proofs: Type.Array(Id, { minItems: 1, maxItems: 2_000 }),
      verdict: Type.Optional(orNull(Verdict)),
      addFaults: Type.Optional(Type.Array(Fault, { maxItems: 8 })),
      removeFaults: Type.Optional(Type.Array(Fault, { maxItems: 8 })),
      note: Type.Optional(plainText(4_000, { description: 'Added as a line of its own to what each note says.' })),
      deleted: Type.Optional(Type.Boolean()),
    },
    closed,
  ),
  answer: Type.Object({ changed: Type.Integer() }),
})
export const countFaultsOf = route({
  id: 'countFaultsOf',
  method: 'get',
  path: '/api/fault-counts',
  summary: 'How often each fault was seen in what each engine made, over proofs that have a verdict or a fault.',
  query: Type.Object({ project: Type.Optional(Id) }, closed),
  answer: Type.Array(Type.Object({ engine: Type.String(), revision: Type.String(), fault: Fault, count: Type.Integer(), of: Type.Integer() })),
})
export const askAgain = route({
  id: 'askAgain',
  method: 'post',
  path: '/api/proofs/:proof/again',
  summary: 'Asks again for a proof that failed, was stopped or was never answered.',
  params,
  answer: Proof,
})
