import type { TObject, TSchema } from '@sinclair/typebox'
import { hoist } from './hoist.ts'
import { Problem } from './problem.ts'
import { ROUTES } from './routes.ts'
import type { Route } from './route.ts'

type Json = Record<string, unknown>

const inComponents = (title: string) => `#/components/schemas/${title}`

export function openApiDocument(version: string): Json {
  const components: Record<string, unknown> = {}
  const content = (schema: TSchema, type = 'application/json') => ({ [type]: { schema: hoist(schema, components, inComponents) } })
  const parameters = (schema: TObject | undefined, where: 'path' | 'query') =>
    Object.entries(schema?.properties ?? {}).map(([name, property]) => ({
      name,
      in: where,
      required: where === 'path' || (schema?.required ?? []).includes(name),
      schema: hoist(property, components, inComponents),
    }))
  const paths: Record<string, Json> = {}
  for (const route of ROUTES as readonly Route[]) {
    const path = route.path.replace(/:(\w+)/g, '{$1}')
    const operation: Json = {
      operationId: route.id,
      summary: route.summary,
      parameters: [...parameters(route.params, 'path'), ...parameters(route.query, 'query')],
      responses: {
        [route.status]: { description: route.answer ? 'The answer.' : 'Done.', ...(route.answer ? { content: content(route.answer) } : {}) },
        default: { description: 'A problem (RFC 9457).', content: content(Problem, 'application/problem+json') },
      },
    }
    if (route.body) operation['requestBody'] = { required: true, content: content(route.body) }
    paths[path] = { ...paths[path], [route.method]: operation }
  }
  return { openapi: '3.1.0', info: { title: 'Idolon', version }, paths, components: { schemas: components } }
}
