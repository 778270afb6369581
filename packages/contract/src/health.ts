import { Type } from '@sinclair/typebox'
import { route } from './route.ts'

export const readHealth = route({
  id: 'readHealth',
  method: 'get',
  path: '/api/health',
  summary: 'Whether the server and its database answer.',
  answer: Type.Object({ status: Type.Literal('ok'), version: Type.String() }),
})
