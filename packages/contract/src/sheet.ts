import { Caption, Difference, Fault, Settings } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { Amount } from './project.ts'
import { closed, Id, Instant, orNull, plainText, Sha256 } from './primitives.ts'
import { ProofState, Verdict } from './proof.ts'
import { route } from './route.ts'

/** What a sheet shows of a proof; the rest is read with the proof itself. */
export const SheetProof = Type.Object(
  {
    id: Id,
    runId: Id,
    promptId: Id,
    promptTitle: Type.String(),
    version: Type.Integer(),
    engine: Type.Object({ id: Type.String(), name: Type.String(), revision: Type.String(), simulated: Type.Boolean() }),
    index: Type.Integer(),
    state: ProofState,
    picture: orNull(Type.Object({ sha256: Sha256, width: Type.Integer(), height: Type.Integer() })),
    settings: Settings,
    seed: orNull(Type.Integer()),
    cost: orNull(Amount),
    askedAt: Instant,
    verdict: orNull(Verdict),
    faults: Type.Array(Fault),
    rank: orNull(Type.Integer()),
    note: Type.String(),
    options: orNull(Type.Record(Type.String(), Type.String(), { description: 'Of a trial plan: what was chosen, by what varies.' })),
  },
  { title: 'SheetProof' },
)
export type SheetProof = Static<typeof SheetProof>

export const readSheet = route({
  id: 'readSheet',
  method: 'get',
  path: '/api/sheet',
  summary: 'A set of proofs for a sheet, newest first.',
  query: Type.Object(
    {
      project: Type.Optional(Id),
      prompt: Type.Optional(Id),
      run: Type.Optional(Id),
      trial: Type.Optional(Id),
      version: Type.Optional(Type.Integer({ minimum: 1 })),
      engine: Type.Optional(Type.String({ maxLength: 121, description: 'Id, or id and revision with a space between.' })),
      fault: Type.Optional(Type.Union([Fault, Type.Literal('none'), Type.Literal('any')])),
      verdict: Type.Optional(Type.Union([Verdict, Type.Literal('none')])),
      ids: Type.Optional(Type.String({ maxLength: 7_500, pattern: '^[0-9a-f-]{36}(,[0-9a-f-]{36})*$', description: 'These proofs alone, by their ids with commas.' })),
      limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 2_000 })),
      offset: Type.Optional(Type.Integer({ minimum: 0 })),
    },
    closed,
  ),
  answer: Type.Object({ proofs: Type.Array(SheetProof), total: Type.Integer() }),
})

/** All in which the makings of two proofs differ. */
export const ProofComparison = Type.Object({ near: Type.Boolean(), score: Type.Number({ minimum: 0, maximum: 1 }), differences: Type.Array(Difference) }, { title: 'ProofComparison' })
export type ProofComparison = Static<typeof ProofComparison>
export const compareProofs = route({
  id: 'compareProofs',
  method: 'get',
  path: '/api/proofs/:proof/against/:other',
  summary: 'Exactly what differs in what made two proofs.',
  params: Type.Object({ proof: Id, other: Id }, closed),
  answer: ProofComparison,
})

/** A sheet that went out to a client: its pictures are numbered in this order. */
export const ClientSheet = Type.Object(
  { id: Id, title: Type.String(), proofs: Type.Array(Id), captions: Type.Array(Caption), prompts: Type.Boolean(), madeAt: Instant },
  { title: 'ClientSheet' },
)
export type ClientSheet = Static<typeof ClientSheet>
export const makeClientSheet = route({
  id: 'makeClientSheet',
  method: 'post',
  path: '/api/client-sheets',
  summary: 'Keeps what goes out to a client and in which order, so that comments can come back by number. As PDF at /api/client-sheets/:id.pdf.',
  body: Type.Object({ id: Id, title: plainText(200), proofs: Type.Array(Id, { minItems: 1, maxItems: 200 }), captions: Type.Array(Caption, { maxItems: 6 }), prompts: Type.Boolean() }, closed),
  answer: ClientSheet,
  status: 201,
})
export const listClientSheets = route({ id: 'listClientSheets', method: 'get', path: '/api/client-sheets', summary: 'Sheets that went out, newest first.', answer: Type.Array(ClientSheet) })
export const addComments = route({
  id: 'addComments',
  method: 'post',
  path: '/api/client-sheets/:sheet/comments',
  summary: 'Adds comments to the notes of the proofs of a sheet, by their numbers: a line each, “3: darker”.',
  params: Type.Object({ sheet: Id }, closed),
  body: Type.Object({ text: plainText(20_000) }, closed),
  answer: Type.Object({ added: Type.Integer(), unplaced: Type.Array(Type.String(), { description: 'Lines without a number, or with one that the sheet has not.' }) }),
})
