import { ModelProfile } from '@idolon/core/helper'
import { Type, type Static } from '@sinclair/typebox'
import { closed, orNull } from './primitives.ts'
import { route } from './route.ts'

/** A language model as this copy of Idolon knows it. */
export const Model = Type.Object(
  {
    profile: ModelProfile,
    connected: Type.Boolean(),
    off: Type.Boolean({ description: 'Switched off by the writer.' }),
    hasApiKey: Type.Boolean({ description: 'Whether an API key is kept for it; what it is, nobody is told.' }),
    origin: Type.Union([Type.Literal('shipped'), Type.Literal('changed'), Type.Literal('own')]),
    usage: Type.Object({ answered: Type.Integer(), failed: Type.Integer(), medianMs: orNull(Type.Integer()), spent: Type.Integer(), lastFailure: orNull(Type.String()) }),
  },
  { title: 'Model' },
)
export type Model = Static<typeof Model>

const params = Type.Object({ model: Type.String({ minLength: 1, maxLength: 60 }) }, closed)

export const listModels = route({ id: 'listModels', method: 'get', path: '/api/models', summary: 'All language models with their profiles.', answer: Type.Array(Model) })
export const saveModel = route({ id: 'saveModel', method: 'put', path: '/api/models/:model', summary: 'Adds a model, or changes the profile of one.', params, body: ModelProfile, answer: Model })
export const removeModel = route({ id: 'removeModel', method: 'delete', path: '/api/models/:model', summary: 'Removes a model that was added; of one that ships, takes the changes back.', params })
export const switchModel = route({ id: 'switchModel', method: 'post', path: '/api/models/:model/switch', summary: 'Switches a model off, or on again; one that is off is never asked.', params, body: Type.Object({ off: Type.Boolean() }, closed), answer: Model })
export const setModelApiKey = route({
  id: 'setModelApiKey',
  method: 'put',
  path: '/api/models/:model/api-key',
  summary: 'Keeps the key of a model, sealed, or forgets it. It can never be read again.',
  params,
  body: Type.Object({ apiKey: orNull(Type.String({ minLength: 1, maxLength: 4_000 })) }, closed),
  answer: Model,
})
export const tryModel = route({
  id: 'tryModel',
  method: 'post',
  path: '/api/models/:model/try',
  summary: 'Asks a model for a few words, to see whether it answers.',
  params,
  answer: Type.Object({ said: orNull(Type.String()), tookMs: Type.Integer(), problem: orNull(Type.String()) }),
})

/** Ways in which the simulated models misbehave, for practice. */
export const MISBEHAVIOURS = {
  none: 'answer as they should',
  waits: 'wait three seconds',
  drops: 'drop the answer half way',
  busy: 'say they are busy',
  fails: 'fail',
  'refuses-key': 'refuse the key',
  'no-quota': 'say the quota is used up',
  prose: 'wrap the answer in chatter',
  cut: 'break the answer off',
  'ignores-shape': 'ignore the shape',
  'wrong-case': 'write names in another case',
  describes: 'describe a picture',
  'sends-picture': 'send a picture',
  'settings-in-text': 'mix settings into the text',
  'invents-word': 'make words up',
  'other-language': 'answer in another language',
  endless: 'answer without an end',
  markup: 'put markup around the words',
  hangs: 'never answer',
} as const
export const Misbehaviour = Type.Unsafe<keyof typeof MISBEHAVIOURS>(Type.Union(Object.keys(MISBEHAVIOURS).map((one) => Type.Literal(one)), { title: 'Misbehaviour' }))
export const practiseModels = route({
  id: 'practiseModels',
  method: 'put',
  path: '/api/simulated-models',
  summary: 'Has the simulated models misbehave a few times, or follow whatever stands in their materials, to see what happens then.',
  body: Type.Object({ misbehaviour: Type.Optional(Misbehaviour), times: Type.Optional(Type.Integer({ minimum: 1, maximum: 100 })), gullible: Type.Optional(Type.Boolean()) }, closed),
})
