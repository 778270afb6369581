import { Draft, Edit } from '@idolon/core'
import type { TSchema } from '@sinclair/typebox'
import { ChangeEvent } from './event.ts'
import { HelperExport } from './helper.ts'
import { hoist } from './hoist.ts'
import { Problem } from './problem.ts'
import { ROUTES } from './routes.ts'

const CHECKED: Record<string, TSchema> = {
  ...Object.fromEntries(ROUTES.flatMap(({ id, answer }) => (answer ? [[id, answer]] : []))),
  ChangeEvent,
  HelperExport,
  Problem,
  Draft,
  Edit,
}

/** Titled schemas that others refer to as `shared:<title>`, so that each is compiled once. */
export const SHARED: Record<string, object> = {}

/** Schemas the page checks what it receives by, by the name of their check: every answer, events, problems, and what its own store gives back. */
export const CHECKED_IN_BROWSER: Record<string, object> = Object.fromEntries(
  Object.entries(CHECKED).map(([name, schema]) => [name, hoist(schema, SHARED, (title) => `shared:${title}`) as object]),
)
