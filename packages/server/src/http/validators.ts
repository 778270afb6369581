import Ajv, { type ErrorObject, type ValidateFunction } from 'ajv'
import { ProblemError } from './problem.ts'

// Lengths are UTF-16 code units, as in the browser's text; hence no counting of code points.
const shared = { allErrors: true, strict: false, unicode: false, logger: false } as const
const exact = new Ajv(shared)
const coercing = new Ajv({ ...shared, coerceTypes: true })

const compiled = new WeakMap<object, ValidateFunction>()

function validator(schema: object, coerce: boolean): ValidateFunction {
  let found = compiled.get(schema)
  if (!found) compiled.set(schema, (found = (coerce ? coercing : exact).compile(schema)))
  return found
}

const describe = (where: string) => (error: ErrorObject) => ({
  where: where + error.instancePath,
  message: error.keyword === 'additionalProperties' ? `has an unknown field ${JSON.stringify(error.params['additionalProperty'])}` : (error.message ?? 'is not valid'),
})

/**
 * Throws an `invalid` problem that names each place unless `value` fits `schema`.
 * With `coerce`, texts of a query or path become the numbers and booleans the schema asks for, in place.
 */
export function demand(schema: object, value: unknown, where: 'body' | 'query' | 'path', coerce = false): void {
  const validate = validator(schema, coerce)
  if (validate(value)) return
  const errors = (validate.errors ?? []).slice(0, 10).map(describe(where))
  const what = where === 'body' ? 'What was sent' : 'This address'
  throw new ProblemError('invalid', `${what} is not what Idolon takes here. Nothing was changed. Reload the page and try again.`, { errors })
}

/** Every way in which `value` departs from `schema`; empty when it fits. */
export function departures(schema: object, value: unknown): string[] {
  const validate = validator(schema, false)
  return validate(value) ? [] : (validate.errors ?? []).map((error) => `${error.instancePath} ${error.message ?? ''}`)
}
