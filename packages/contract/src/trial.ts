import { TrialBody } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull } from './primitives.ts'
import { Amount } from './project.ts'
import { ProofState } from './proof.ts'
import { route } from './route.ts'

/** A trial plan that was started. */
export const Trial = Type.Object(
  {
    id: Id,
    promptId: Id,
    projectId: Id,
    promptTitle: Type.String(),
    body: TrialBody,
    combinations: Type.Integer(),
    askedAt: Instant,
    stoppedAt: orNull(Instant),
    states: Type.Record(ProofState, Type.Integer(), { description: 'How many of its proofs are in each state.' }),
    judged: Type.Integer({ description: 'Proofs with a verdict.' }),
    keepers: Type.Integer(),
    cost: Type.Array(Amount),
  },
  { title: 'Trial' },
)
export type Trial = Static<typeof Trial>

/** What an option did, over the mean of the options of its thing, with everything else alike. */
export const TrialOption = Type.Object(
  {
    name: Type.String(),
    judged: Type.Integer(),
    mean: orNull(Type.Number({ description: 'Plain mean of the scores judged with it.' })),
    effect: Type.Number(),
    low: Type.Number(),
    high: Type.Number({ description: 'With low, where the effect lies in 9 of 10 cases.' }),
    best: Type.Number({ minimum: 0, maximum: 1, description: 'How sure it is that it is the best of its thing.' }),
  },
  { title: 'TrialOption' },
)
export type TrialOption = Static<typeof TrialOption>
export const TrialFactor = Type.Object({ name: Type.String(), says: Type.String({ description: 'A plain sentence.' }), told: orNull(Type.String({ description: 'The option that did best, where that is sure enough.' })), options: Type.Array(TrialOption) }, { title: 'TrialFactor' })
export type TrialFactor = Static<typeof TrialFactor>

export const TrialWhole = Type.Object(
  {
    trial: Trial,
    verdicts: Type.Array(TrialFactor, { description: 'By verdicts: keep 1, maybe a half, drop 0.' }),
    ranking: orNull(Type.Array(TrialFactor, { description: 'By strengths from blind judging, where enough of the proofs were compared.' })),
  },
  { title: 'TrialWhole' },
)
export type TrialWhole = Static<typeof TrialWhole>

const ofPrompt = Type.Object({ prompt: Id }, closed)
const params = Type.Object({ trial: Id }, closed)
export const startTrial = route({
  id: 'startTrial',
  method: 'post',
  path: '/api/prompts/:prompt/trials',
  summary: 'Starts a trial plan: each combination is a version with a run of its own, all set aside together under the ceiling or none. Refused when the draft is no longer at that revision. It has the id given: asking twice makes one.',
  params: ofPrompt,
  body: Type.Object({ id: Id, revision: Type.Integer({ minimum: 0 }), body: TrialBody }, closed),
  answer: Trial,
  status: 201,
})
export const listTrials = route({ id: 'listTrials', method: 'get', path: '/api/trials', summary: 'Trial plans of a prompt, a project or all, newest first.', query: Type.Object({ prompt: Type.Optional(Id), project: Type.Optional(Id), limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })) }, closed), answer: Type.Array(Trial) })
export const readTrial = route({ id: 'readTrial', method: 'get', path: '/api/trials/:trial', summary: 'A trial plan with what its options did.', params, answer: TrialWhole })
export const stopTrial = route({ id: 'stopTrial', method: 'post', path: '/api/trials/:trial/stop', summary: 'Stops what no engine has been asked for yet, at no cost. What is there stays.', params, answer: Trial })
export const goOnWithTrial = route({ id: 'goOnWithTrial', method: 'post', path: '/api/trials/:trial/go-on', summary: 'Asks for what was stopped or failed, under the ceiling.', params, answer: Trial })
