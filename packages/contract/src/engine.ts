import { EngineProfile } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed } from './primitives.ts'
import { route } from './route.ts'

/** An engine as this copy of Idolon knows it. */
export const Engine = Type.Object(
  {
    profile: EngineProfile,
    connected: Type.Boolean({ description: 'Whether it can be asked for pictures from here; one that is not is written for and copied to.' }),
    origin: Type.Union([Type.Literal('shipped'), Type.Literal('changed'), Type.Literal('own')], { description: 'Shipped with Idolon, shipped and changed by the writer, or added.' }),
  },
  { title: 'Engine' },
)
export type Engine = Static<typeof Engine>

const name = Type.String({ minLength: 1, maxLength: 60 })
const params = Type.Object({ engine: name, revision: name }, closed)

export const listEngines = route({
  id: 'listEngines',
  method: 'get',
  path: '/api/engines',
  summary: 'All engines with their profiles, oldest revision first.',
  answer: Type.Array(Engine),
})
export const saveEngine = route({
  id: 'saveEngine',
  method: 'put',
  path: '/api/engines/:engine/:revision',
  summary: 'Adds an engine, or changes the profile of one. A profile that contradicts itself is refused with the place, and nothing is changed.',
  params,
  body: EngineProfile,
  answer: Engine,
})
export const removeEngine = route({
  id: 'removeEngine',
  method: 'delete',
  path: '/api/engines/:engine/:revision',
  summary: 'Removes an engine that was added; of one that ships, takes the changes back.',
  params,
})
