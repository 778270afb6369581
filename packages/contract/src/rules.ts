import { HouseRules } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id } from './primitives.ts'
import { route } from './route.ts'

/** A prompt that breaks house rules, with what it breaks. */
export const TouchedPrompt = Type.Object({ promptId: Id, title: Type.String(), reasons: Type.Array(Type.String()) }, { title: 'TouchedPrompt' })
export type TouchedPrompt = Static<typeof TouchedPrompt>

const params = Type.Object({ project: Id }, closed)

export const readRules = route({
  id: 'readRules',
  method: 'get',
  path: '/api/projects/:project/rules',
  summary: 'The house rules of a project.',
  params,
  answer: HouseRules,
})
export const setRules = route({
  id: 'setRules',
  method: 'put',
  path: '/api/projects/:project/rules',
  summary: 'Sets the house rules of a project. Rules that forbid what another demands are refused, and nothing is changed.',
  params,
  body: HouseRules,
  answer: HouseRules,
})
export const promptsBreakingRules = route({
  id: 'promptsBreakingRules',
  method: 'get',
  path: '/api/projects/:project/rules/prompts',
  summary: 'Prompts of the project that break its house rules as they stand, the last changed first.',
  params,
  answer: Type.Object({ prompts: Type.Array(TouchedPrompt), checked: Type.Integer({ description: 'Prompts that were looked at.' }) }),
})
