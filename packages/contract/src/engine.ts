import { EngineProfile } from '@idolon/core'
import { Type } from '@sinclair/typebox'
import { route } from './route.ts'

export const listEngines = route({
  id: 'listEngines',
  method: 'get',
  path: '/api/engines',
  summary: 'The profiles of all engines, oldest revision first.',
  answer: Type.Array(EngineProfile),
})
