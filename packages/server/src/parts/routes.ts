import { addPart, deletePart, listParts, makeSheet, readPart, readSheetLists, savePartVersion } from '@idolon/contract'
import type { Register } from '../http/register.ts'
import type { Parts } from './service.ts'
import type { PartSheets } from './sheet.ts'

export function partRoutes(on: Register, parts: Parts, sheets: PartSheets): void {
  on(listParts, ({ query }) => parts.list(query.project))
  on(readPart, ({ params }) => parts.read(params.part))
  on(addPart, ({ actor, body }) => parts.add(actor, body))
  on(savePartVersion, ({ actor, params, body }) => parts.saveVersion(actor, params.part, body))
  on(makeSheet, ({ actor, params, body }) => sheets.make(actor, params.part, body.style))
  on(readSheetLists, ({ params }) => sheets.lists(params.part))
  on(deletePart, async ({ actor, params }) => {
    await parts.delete(actor, params.part)
    return undefined
  })
}
