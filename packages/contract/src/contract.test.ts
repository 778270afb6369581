import { describe, expect, it } from 'vitest'
import { CHECKED_IN_BROWSER, SHARED } from './checked-in-browser.ts'
import { hoist } from './hoist.ts'
import { openApiDocument } from './openapi.ts'
import { ROUTES } from './routes.ts'

describe('the routes', () => {
  it('have names and addresses of their own', () => {
    expect(new Set(ROUTES.map(({ id }) => id)).size).toBe(ROUTES.length)
    expect(new Set(ROUTES.map(({ method, path }) => `${method} ${path}`)).size).toBe(ROUTES.length)
  })

  it('describe every parameter in their path', () => {
    for (const { path, params } of ROUTES) {
      const named = [...path.matchAll(/:(\w+)/g)].map((match) => match[1])
      expect(Object.keys(params?.properties ?? {}), path).toEqual(named)
    }
  })
})

describe('hoist', () => {
  it('moves what has a title to one place, and leaves a property called title alone', () => {
    const shared = {}
    const schema = { type: 'object', properties: { title: { type: 'string' }, best: { title: 'Proof', type: 'object' } } }
    expect(hoist(schema, shared, (title) => `#${title}`)).toEqual({ type: 'object', properties: { title: { type: 'string' }, best: { $ref: '#Proof' } } })
    expect(shared).toEqual({ Proof: { type: 'object' } })
  })

  it('leaves no reference without its schema', () => {
    const refs = [...JSON.stringify([CHECKED_IN_BROWSER, SHARED]).matchAll(/"\$ref":"shared:(\w+)"/g)].map((match) => match[1]!)
    expect(refs.length).toBeGreaterThan(10)
    expect(refs.filter((title) => !(title in SHARED))).toEqual([])
  })
})

it('names a problem document for every operation', () => {
  const { paths } = openApiDocument('1') as { paths: Record<string, Record<string, { responses: Record<string, unknown> }>> }
  for (const operations of Object.values(paths)) for (const { responses } of Object.values(operations)) expect(responses).toHaveProperty('default')
})
