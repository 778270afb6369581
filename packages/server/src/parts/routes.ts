import { addPart, deletePart, listParts, readPart, savePartVersion } from '@idolon/contract'
import type { Register } from '../http/register.ts'
import type { Parts } from './service.ts'

export function partRoutes(on: Register, parts: Parts): void {
  on(listParts, ({ query }) => parts.list(query.project))
  on(readPart, ({ params }) => parts.read(params.part))
  on(addPart, ({ actor, body }) => parts.add(actor, body))
  on(savePartVersion, ({ actor, params, body }) => parts.saveVersion(actor, params.part, body))
  on(deletePart, async ({ actor, params }) => {
    await parts.delete(actor, params.part)
    return undefined
  })
}
