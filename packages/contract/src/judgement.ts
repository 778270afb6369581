import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull } from './primitives.ts'
import { route } from './route.ts'

/** Of two proofs, which was judged better without knowing what made them; null: cannot tell. */
export const ProofJudgement = Type.Object(
  { id: Id, left: Id, right: Id, better: orNull(Type.Union([Type.Literal('left'), Type.Literal('right')])), at: Instant },
  { title: 'ProofJudgement' },
)
export type ProofJudgement = Static<typeof ProofJudgement>

export const addJudgement = route({
  id: 'addJudgement',
  method: 'post',
  path: '/api/judgements',
  summary: 'Keeps which of two proofs was judged better. It has the id given: sending it twice keeps it once.',
  body: Type.Object({ id: Id, left: Id, right: Id, better: orNull(Type.Union([Type.Literal('left'), Type.Literal('right')])) }, closed),
  answer: ProofJudgement,
  status: 201,
})
export const judgementsOf = route({
  id: 'judgementsOf',
  method: 'post',
  path: '/api/judgements/of',
  summary: 'All judgements between proofs of a set, from every sitting, oldest first.',
  body: Type.Object({ proofs: Type.Array(Id, { minItems: 1, maxItems: 500 }) }, closed),
  answer: Type.Array(ProofJudgement),
  status: 200,
})
export const takeBackJudgement = route({
  id: 'takeBackJudgement',
  method: 'delete',
  path: '/api/judgements/:judgement',
  summary: 'Takes a judgement back.',
  params: Type.Object({ judgement: Id }, closed),
})
